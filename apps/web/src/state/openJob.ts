import {
  applyEdit,
  checkJob,
  sayFault,
  type Edit,
  type Guard,
  type Job,
  type JobDocument,
} from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';
import { addJob, Away, readJobById, Refused, saveJob, type KeptJob } from './api';
import { dropPending, holdPending, readPending } from './pending';

export type Keeping = 'kept' | 'keeping' | 'held' | 'stale' | 'refused';

interface Step {
  /** Takes the document from before to after, and back. */
  forward: Edit;
  back: Edit;
}

export interface OpenJob {
  id: string | null;
  revision: number;
  job: Job | null;
  undone: Step[];
  done: Step[];
  keeping: Keeping;
  keptAt: string | null;
  /** Why the last edit was refused; cleared by the next that is not. */
  refusal: string | null;
  /** The newer document a stale write met. */
  newer: KeptJob | null;
  failure: string | null;
  /** The document a drag started from; while set, edits are tried on it and not yet kept. */
  base: Job | null;
}

const EMPTY: OpenJob = {
  id: null,
  revision: 0,
  job: null,
  undone: [],
  done: [],
  keeping: 'kept',
  keptAt: null,
  refusal: null,
  newer: null,
  failure: null,
  base: null,
};

export const openJob = createStore<OpenJob>(() => EMPTY);
export const useOpenJob = <T>(pick: (state: OpenJob) => T): T => useStore(openJob, pick);

const SAVE_AFTER = 500;
const RETRY_AFTER = 4000;
let timer: ReturnType<typeof setTimeout> | undefined;
let saving = false;

const same = (a: JobDocument, b: JobDocument): boolean => JSON.stringify(a) === JSON.stringify(b);

const soon = (after: number): void => {
  clearTimeout(timer);
  timer = setTimeout(() => void keep(), after);
};

/** Opens a job: what this device still holds unsent comes first, the server's copy otherwise. */
export async function open(id: string): Promise<void> {
  clearTimeout(timer);
  openJob.setState(EMPTY, true);
  try {
    const kept = await readJobById(id);
    const checked = checkJob(kept.document);
    if (!checked.ok) throw new Error(checked.faults.map(sayFault).join('; '));
    openJob.setState({ id, revision: kept.revision, job: checked.job, keptAt: kept.savedAt });
    const pending = await readPending(id);
    if (!pending || same(pending.document, kept.document)) return await dropPending(id);
    const mine = checkJob(pending.document);
    if (!mine.ok) return await dropPending(id);
    if (pending.revision === kept.revision) {
      openJob.setState({ job: mine.job, keeping: 'held' });
      soon(0);
    } else openJob.setState({ job: mine.job, keeping: 'stale', newer: kept });
  } catch (error) {
    openJob.setState({ failure: error instanceof Error ? error.message : String(error) });
  }
}

function refuse(says: string): false {
  openJob.setState({ refusal: says });
  return false;
}

function tried(from: Job, edit: Edit, guards: Guard[]): { job: Job; inverse: Edit } | string {
  const applied = applyEdit(from, edit, guards);
  if (!applied.ok) return applied.why;
  const checked = checkJob(applied.value);
  if (checked.ok) return { job: checked.job, inverse: applied.inverse };
  const first = checked.faults[0];
  return first ? `Wanted ${first.wanted}, got ${first.got}.` : 'That cannot be.';
}

function take(job: Job, step: Step): void {
  const { done } = openJob.getState();
  openJob.setState({ job, base: null, done: [...done.slice(-199), step], undone: [], refusal: null });
  changed();
}

/** Applies an edit for good: undoable, and kept soon. False, with the reason shown, when the wall cannot be so. */
export function edit(steps: Edit, guards: Guard[] = []): boolean {
  const { job } = openJob.getState();
  if (!job || steps.length === 0) return false;
  const result = tried(job, steps, guards);
  if (typeof result === 'string') return refuse(result);
  take(result.job, { forward: steps, back: result.inverse });
  return true;
}

/** Applies an edit while the finger is down: always on the document the drag began with. */
export function drag(steps: Edit): boolean {
  const { job, base } = openJob.getState();
  const from = base ?? job;
  if (!from) return false;
  const result = tried(from, steps, []);
  if (typeof result === 'string') return refuse(result);
  openJob.setState({ job: result.job, base: from, refusal: null });
  return true;
}

/** The finger is up: what stands becomes one step to undo. */
export function drop(steps: Edit): void {
  const { base } = openJob.getState();
  if (!base) return;
  openJob.setState({ job: base, base: null });
  edit(steps);
}

function walk(from: 'done' | 'undone', to: 'done' | 'undone'): void {
  const state = openJob.getState();
  const step = state[from].at(-1);
  if (!step || !state.job || state.base) return;
  const applied = applyEdit(state.job, from === 'done' ? step.back : step.forward);
  if (!applied.ok) return void refuse(applied.why);
  openJob.setState({
    job: applied.value,
    refusal: null,
    ...({ [from]: state[from].slice(0, -1), [to]: [...state[to], step] } as Pick<OpenJob, 'done' | 'undone'>),
  });
  changed();
}

export const undo = (): void => walk('done', 'undone');
export const redo = (): void => walk('undone', 'done');

/** Held on the device at once, sent when the hand rests. */
function changed(): void {
  const { id, revision, job, keeping } = openJob.getState();
  if (!id || !job) return;
  if (keeping !== 'stale') openJob.setState({ keeping: 'keeping' });
  void holdPending({ jobId: id, revision, document: job, at: new Date().toISOString() }).catch(
    () => undefined,
  );
  if (keeping !== 'stale') soon(SAVE_AFTER);
}

async function keep(): Promise<void> {
  const { id, revision, job, keeping, base } = openJob.getState();
  if (!id || !job || keeping === 'stale' || keeping === 'kept') return;
  if (saving || base) return soon(SAVE_AFTER);
  saving = true;
  try {
    const kept = await saveJob(id, revision, job);
    if (openJob.getState().id !== id) return;
    const moved = openJob.getState().job !== job;
    openJob.setState({ revision: kept.revision, keptAt: kept.savedAt, keeping: moved ? 'keeping' : 'kept' });
    if (moved) changed();
    else await dropPending(id).catch(() => undefined);
  } catch (error) {
    if (openJob.getState().id !== id) return;
    if (error instanceof Refused && error.newer) {
      // The answer to an earlier save may have been lost on the way: then there is nothing to settle.
      if (same(error.newer.document, job)) {
        openJob.setState({ revision: error.newer.revision, keptAt: error.newer.savedAt, keeping: 'kept' });
        await dropPending(id).catch(() => undefined);
      } else openJob.setState({ keeping: 'stale', newer: error.newer });
    } else if (error instanceof Away) {
      openJob.setState({ keeping: 'held' });
      soon(RETRY_AFTER);
    } else {
      openJob.setState({
        keeping: 'refused',
        refusal: error instanceof Error ? error.message : String(error),
      });
    }
  } finally {
    saving = false;
  }
}

/** Settles a stale write. Returns the id of the copy when one was made. */
export async function settle(how: 'mine' | 'theirs' | 'copy'): Promise<string | null> {
  const { id, job, newer } = openJob.getState();
  if (!id || !job || !newer) return null;
  if (how === 'mine') {
    openJob.setState({ revision: newer.revision, newer: null, keeping: 'held' });
    await holdPending({
      jobId: id,
      revision: newer.revision,
      document: job,
      at: new Date().toISOString(),
    }).catch(() => undefined);
    soon(0);
    return null;
  }
  const copy = how === 'copy' ? await addJob({ ...job, name: `${job.name} (my copy)`.slice(0, 200) }) : null;
  const checked = checkJob(newer.document);
  if (!checked.ok) return null;
  openJob.setState({
    revision: newer.revision,
    job: checked.job,
    newer: null,
    keeping: 'kept',
    keptAt: newer.savedAt,
    done: [],
    undone: [],
  });
  await dropPending(id).catch(() => undefined);
  return copy?.id ?? null;
}

/**
 * The id of the open job once the server holds it as it stands: what is printed there is what is seen here.
 * Rejects, saying what needs the server and why not, when it cannot be kept.
 */
export function whenKept(what: string): Promise<string> {
  return new Promise((resolve, reject) => {
    const look = (s: OpenJob): boolean => {
      if (s.id && s.keeping === 'kept') resolve(s.id);
      else if (s.keeping === 'keeping') return false;
      else reject(new Error(`${what} needs the server, and this job is not kept there yet.`));
      return true;
    };
    if (look(openJob.getState())) return;
    const stop = openJob.subscribe((s) => {
      if (look(s)) stop();
    });
  });
}

/** The network is back, or the page is: try again now. */
export function wake(): void {
  if (openJob.getState().keeping === 'held') soon(0);
}

if (typeof window !== 'undefined') window.addEventListener('online', wake);
