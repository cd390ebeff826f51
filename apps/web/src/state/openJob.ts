import {
  checkJob,
  editOf,
  inverse,
  same,
  sayEdit,
  sayFault,
  type Edit,
  type Job,
  type JobDocument,
  type Patch,
  type Said,
} from '@even-tally/core';
import { KEEPING } from '@even-tally/words';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { addJob, Away, readJobById, Refused, saveJob, type KeptJob } from './api';
import { became, carriedOver, type Change, type Stale } from './carrying';
import { Failure, saidBy } from './failure';
import { dropPending, holdPending, readPending, type Pending, type PendingDocument } from './pending';

export type Keeping = 'kept' | 'keeping' | 'held' | 'stale' | 'refused';

/** One step that can be taken back: the edit, and what it did in a few words. */
export interface Step {
  edit: Edit;
  says: Said;
}

export interface OpenJob {
  id: string | null;
  revision: number;
  job: Job | null;
  /** The job as the server has it: what is not kept yet is what is different. */
  kept: Job | null;
  undone: Step[];
  done: Step[];
  keeping: Keeping;
  keptAt: string | null;
  /** Why the last edit was refused; cleared by the next that is not. */
  refusal: Said | null;
  stale: Stale | null;
  failure: Said | null;
  /** The document a drag started from; while set, edits are tried on it and not yet kept. */
  base: Job | null;
}

const EMPTY: OpenJob = {
  id: null,
  revision: 0,
  job: null,
  kept: null,
  undone: [],
  done: [],
  keeping: 'kept',
  keptAt: null,
  refusal: null,
  stale: null,
  failure: null,
  base: null,
};

/** What an open job stands on: the server, this device, and how long it waits. */
export interface Ground {
  read: typeof readJobById;
  save: typeof saveJob;
  add: typeof addJob;
  hold: typeof holdPending;
  held: typeof readPending;
  drop: typeof dropPending;
  saveAfter: number;
  retryAfter: number;
}

const GROUND: Ground = {
  read: readJobById,
  save: saveJob,
  add: addJob,
  hold: holdPending,
  held: readPending,
  drop: dropPending,
  saveAfter: 500,
  retryAfter: 4000,
};

export interface JobEdits {
  /** Applies it for good: undoable, and kept soon. False, with the reason shown, when the wall cannot be so. */
  edit: (what: Change) => boolean;
  /** Applies it while the finger is down: always on the document the drag began with. */
  drag: (what: Patch) => boolean;
  /** The finger is up: what stands becomes one step to undo. */
  drop: (what: Patch) => void;
  undo: () => void;
  redo: () => void;
  /** Takes an older version back: one step like any other, and what stood before it stays among the versions. */
  takeBack: (document: JobDocument) => boolean;
}

export interface OpenJobHandle extends JobEdits {
  store: StoreApi<OpenJob>;
  /** Opens a job: what this device still holds unsent is carried over the server's copy. */
  open: (id: string) => Promise<void>;
  /** Settles a clash. Gives the id of the copy when one was made. */
  settle: (how: 'mine' | 'theirs' | 'copy') => Promise<string | null>;
  whenKept: (what: Said) => Promise<string>;
  /** The network is back, or the page is: try again now. */
  wake: () => void;
  /** It is looked at no more: what is not sent is sent, and stays on the device until it is. */
  close: () => void;
}

/** A job that is open: one document, its steps back and forth, and what of it the server has. */
export function createOpenJob(ground: Ground = GROUND): OpenJobHandle {
  const store = createStore<OpenJob>(() => EMPTY);
  const { getState, setState } = store;
  /** Which page holds it: two pages of one device do not overwrite what each holds. */
  const page = crypto.randomUUID();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let saving = false;
  /** What is being sent: sent again after a lost answer it has the same id, so that it is known again. */
  let sending: { job: Job; revision: number; save: string } | null = null;
  /** The next save goes back to an older version: what stands there until then is kept as one. */
  let goesBack = false;
  let closed = false;
  /** What was held when the job was opened: it stays held until it is part of what this page holds, or settled. */
  let taken: { jobId: string; page: string }[] = [];

  const dropTaken = async (): Promise<void> => {
    const all = taken;
    taken = [];
    for (const one of all) await ground.drop(one).catch(() => undefined);
  };

  const soon = (after: number): void => {
    clearTimeout(timer);
    if (!closed) timer = setTimeout(() => void keep(), after);
  };

  const refuse = (says: Said): false => {
    setState({ refusal: says });
    return false;
  };

  /** What the server does not have yet, held on the device. */
  async function hold(): Promise<void> {
    const { id, revision, job, kept } = getState();
    if (!id || !job || !kept) return;
    const edit = editOf(kept, job);
    await ground
      .hold({ jobId: id, page, revision, edit, at: new Date().toISOString() })
      .catch(() => undefined);
  }

  /** Held on the device at once, sent when the hand rests. */
  function changed(): void {
    const { keeping } = getState();
    void hold();
    if (keeping === 'stale') return;
    setState({ keeping: 'keeping' });
    soon(ground.saveAfter);
  }

  function take(job: Job): void {
    const { done, job: from } = getState();
    if (!from) return;
    const edit = editOf(from, job);
    if (edit.changes.length === 0) return setState({ job, base: null, refusal: null });
    const step = { edit, says: sayEdit(edit, job) };
    setState({ job, base: null, done: [...done.slice(-199), step], undone: [], refusal: null });
    changed();
  }

  function edit(what: Change): boolean {
    const { job } = getState();
    if (!job || (Array.isArray(what) && what.length === 0)) return false;
    const result = became(job, what);
    if ('cannot' in result) return refuse(result.cannot);
    take(result);
    return true;
  }

  function drag(what: Patch): boolean {
    const { job, base } = getState();
    const from = base ?? job;
    if (!from) return false;
    const result = became(from, what);
    if ('cannot' in result) return refuse(result.cannot);
    setState({ job: result, base: from, refusal: null });
    return true;
  }

  function drop(what: Patch): void {
    const { base } = getState();
    if (!base) return;
    setState({ job: base, base: null });
    edit(what);
  }

  function walk(from: 'done' | 'undone', to: 'done' | 'undone'): void {
    const state = getState();
    const step = state[from].at(-1);
    if (!step || !state.job || state.base) return;
    const result = became(state.job, from === 'done' ? inverse(step.edit) : step.edit);
    if ('cannot' in result) {
      const cannot = from === 'done' ? KEEPING.takenBack : KEEPING.doneAgain;
      return void refuse(cannot({ step: step.says, why: result.cannot }));
    }
    setState({
      job: result,
      refusal: null,
      ...({ [from]: state[from].slice(0, -1), [to]: [...state[to], step] } as Pick<
        OpenJob,
        'done' | 'undone'
      >),
    });
    changed();
  }

  /** What this device held of a job, taken up again over the document the server has now. */
  function takeUp(newer: KeptJob, pending: Pending | PendingDocument): void {
    const { job, kept, stale } = getState();
    if (!job || !kept) return;
    if ('document' in pending && pending.revision !== newer.revision) {
      const mine = checkJob(pending.document);
      const why = KEEPING.olderWhole;
      if (mine.ok)
        setState({
          job: mine.job,
          keeping: 'stale',
          stale: { newer, clashes: [], why, mine: mine.job, theirs: kept },
        });
      return;
    }
    const mine = 'document' in pending ? editOf(kept, pending.document) : pending.edit;
    const result = carriedOver({ ...newer, document: job }, mine, { kept, job });
    if ('cannot' in result) return;
    if ('job' in result) return setState({ job: result.job });
    const clashes = [...(stale?.clashes ?? []), ...result.clashes];
    setState({ job: result.mine, keeping: 'stale', stale: { ...result, newer, clashes } });
  }

  async function open(id: string): Promise<void> {
    clearTimeout(timer);
    closed = false;
    taken = [];
    if (typeof window !== 'undefined') window.addEventListener('online', wake);
    setState(EMPTY, true);
    try {
      const newer = await ground.read(id);
      const checked = checkJob(newer.document);
      if (!checked.ok) throw new Error(checked.faults.map(sayFault).join('; '));
      const { revision } = newer;
      setState({ id, revision, job: checked.job, kept: checked.job, keptAt: newer.savedAt });
      // A device that keeps nothing holds nothing.
      for (const pending of await ground.held(id).catch(() => [])) {
        if (getState().id !== id) return;
        takeUp(newer, pending);
        taken.push(pending);
      }
      const { job, keeping } = getState();
      // Until it is said which stands, what is held is what was done, from what it was: asked about again next time.
      if (keeping === 'stale') return;
      if (job === checked.job || same(job, checked.job)) return await dropTaken();
      await hold();
      await dropTaken();
      setState({ keeping: 'held' });
      soon(0);
    } catch (error) {
      setState({ failure: saidBy(error) });
    }
  }

  async function keep(): Promise<void> {
    const { id, revision, job, kept, keeping, base } = getState();
    if (!id || !job || !kept || keeping === 'stale' || keeping === 'kept') return;
    if (saving || base) return soon(ground.saveAfter);
    saving = true;
    try {
      if (sending?.job !== job || sending.revision !== revision)
        sending = { job, revision, save: crypto.randomUUID() };
      const answer = await ground.save(id, revision, job, {
        save: sending.save,
        ...(goesBack ? { keep: true } : {}),
      });
      goesBack = false;
      if (getState().id === id) await settled(id, answer.revision, answer.savedAt, job);
    } catch (error) {
      if (getState().id !== id) return;
      if (error instanceof Refused && error.newer) await rebase(id, error.newer);
      else if (error instanceof Away) {
        setState({ keeping: 'held' });
        soon(ground.retryAfter);
      } else setState({ keeping: 'refused', refusal: saidBy(error) });
    } finally {
      saving = false;
    }
  }

  /** The server has `sent`; what was done since is all that is held. */
  async function settled(id: string, revision: number, savedAt: string, sent: Job): Promise<void> {
    const moved = getState().job !== sent;
    setState({ revision, kept: sent, keptAt: savedAt, keeping: moved ? 'keeping' : 'kept' });
    if (moved) changed();
    else await ground.drop({ jobId: id, page }).catch(() => undefined);
  }

  /** Somebody saved in between: what is not kept is carried over theirs, and asked about only where that cannot be. */
  async function rebase(id: string, newer: KeptJob): Promise<void> {
    const { job, kept, base } = getState();
    if (!job || !kept) return;
    // Not under the hand: what is dragged is of the document it began with.
    if (base) return soon(ground.saveAfter);
    const result = carriedOver(newer, editOf(kept, job), { kept, job });
    if ('cannot' in result) return setState({ keeping: 'refused', refusal: result.cannot });
    if (!('job' in result)) return setState({ keeping: 'stale', stale: result });
    setState({ job: result.job, kept: result.kept, revision: newer.revision, keptAt: newer.savedAt });
    // The answer to an earlier save may have been lost on the way: then there is nothing left to send.
    if (same(result.job, result.kept)) return settled(id, newer.revision, newer.savedAt, result.job);
    changed();
  }

  async function settle(how: 'mine' | 'theirs' | 'copy'): Promise<string | null> {
    const { id, job, stale } = getState();
    if (!id || !job || !stale) return null;
    const { newer } = stale;
    const theirs = checkJob(newer.document);
    if (!theirs.ok) return null;
    const copy =
      how === 'copy' ? await ground.add({ ...job, name: `${job.name} (my copy)`.slice(0, 200) }) : null;
    const to = { mine: stale.mine, theirs: stale.theirs, copy: theirs.job }[how];
    setState({
      revision: newer.revision,
      kept: theirs.job,
      job: to,
      stale: null,
      keeping: 'kept',
      keptAt: newer.savedAt,
      ...(how === 'copy' ? { done: [], undone: [] } : {}),
    });
    if (same(to, theirs.job)) await ground.drop({ jobId: id, page }).catch(() => undefined);
    else {
      await hold();
      setState({ keeping: 'held' });
      soon(0);
    }
    await dropTaken();
    return copy?.id ?? null;
  }

  const wake = (): void => {
    if (getState().keeping === 'held') soon(0);
  };
  return {
    store,
    open,
    edit,
    drag,
    drop,
    undo: () => walk('done', 'undone'),
    redo: () => walk('undone', 'done'),
    takeBack: (document) => {
      goesBack = true;
      return edit(document);
    },
    settle,
    wake,
    /**
     * The id of the open job once the server holds it as it stands: what is printed there is what is seen here.
     * Rejects, saying what needs the server and why not, when it cannot be kept.
     */
    whenKept: (what) =>
      new Promise((resolve, reject) => {
        const look = (s: OpenJob): boolean => {
          if (s.id && s.keeping === 'kept') resolve(s.id);
          else if (s.keeping === 'keeping') return false;
          else reject(new Failure(KEEPING.needsServer({ what })));
          return true;
        };
        if (look(getState())) return;
        const stop = store.subscribe((s) => {
          if (look(s)) stop();
        });
      }),
    close: () => {
      closed = true;
      clearTimeout(timer);
      // What the hand has just done is not left until the job is opened again.
      void keep();
      if (typeof window !== 'undefined') window.removeEventListener('online', wake);
    },
  };
}
