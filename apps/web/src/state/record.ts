import { formatISO } from 'date-fns';
import type { NewEntry, RecordEntry, Said, ToldEntry } from '@even-tally/core';
import { KEEPING } from '@even-tally/words';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { addRecord, Away, readRecord, recordEvents } from './api';
import { Failure, saidBy } from './failure';
import { dropEntry, heldEntries, holdEntry } from './heldEntries';
import type { OpenJobHandle } from './openJob';
import { trueNow } from './serverClock';

interface SiteRecord {
  /** The job it is of; null while none is read. */
  job: string | null;
  entries: RecordEntry[];
  /** Ids of those that only this device has. */
  held: readonly string[];
  failure: Said | null;
}

const record = createStore<SiteRecord>(() => ({ job: null, entries: [], held: [], failure: null }));
export const useRecord = <T>(pick: (state: SiteRecord) => T): T => useStore(record, pick);

/** What this device made comes behind what the server has, once. */
const together = (had: readonly RecordEntry[], own: readonly RecordEntry[]): RecordEntry[] => {
  const ids = new Set(had.map((e) => e.id));
  return [...had, ...own.filter((e) => !ids.has(e.id))];
};

/** Reads what happened on site; what was read of another job is dropped, what this device still holds is there too. */
export async function openRecord(job: string): Promise<void> {
  if (record.getState().job !== job) record.setState({ job, entries: [], held: [], failure: null });
  const own = await heldEntries(job).catch(() => []);
  if (record.getState().job !== job) return;
  const held = own.map((h) => h.id);
  record.setState((was) => ({
    held,
    entries: together(
      was.entries,
      own.map((h) => h.entry),
    ),
  }));
  try {
    const entries = await readRecord(job);
    if (record.getState().job === job)
      record.setState({
        entries: together(
          entries,
          own.map((h) => h.entry),
        ),
        failure: null,
      });
  } catch (error) {
    if (record.getState().job === job && !(error instanceof Away))
      record.setState({ failure: saidBy(error) });
  }
  if (own.length > 0) void send(job);
}

const now = (): string => formatISO(new Date());

/** Records something, once the job it is about is kept. Throws the refusal, in a sentence. */
export async function addEntry(
  { whenKept }: Pick<OpenJobHandle, 'whenKept'>,
  entry: NewEntry,
): Promise<void> {
  const signing = entry.kind === 'hold-signed';
  const job = await whenKept(signing ? KEEPING.signing : KEEPING.recording);
  const happened = now();
  const full = { id: crypto.randomUUID(), ...entry, happened, sent: happened } as RecordEntry;
  const added = await addRecord(job, full).catch((error: unknown) => {
    if (!(error instanceof Away)) throw error;
    throw new Failure(signing ? KEEPING.notSigned : KEEPING.notRecorded);
  });
  record.setState((was) => ({ entries: [...was.entries.filter((e) => e.id !== added.id), added] }));
}

/**
 * Records something that needs nobody's leave: it stands at once, is held on this device, and is sent when the server answers. Its id is
 * made here, so that sending it twice records it once.
 */
export async function logEntry(
  job: string,
  entry: ToldEntry<'batch-mixed' | 'batch-ended' | 'weather'>,
): Promise<void> {
  const happened = now();
  // Until the server says when it had it, by the server's clock as far as this device knows it.
  const received = formatISO(new Date(trueNow()));
  const full = { id: crypto.randomUUID(), ...entry, happened, sent: happened, received } as RecordEntry;
  record.setState((was) => ({ entries: [...was.entries, full], held: [...was.held, full.id] }));
  await holdEntry({ id: full.id, jobId: job, at: Date.now(), entry: full }).catch(() => undefined);
  await send(job);
}

/** One sending at a time, of whichever job: what comes meanwhile has its own round behind it. */
let sending: Promise<void> = Promise.resolve();
const AGAIN = 3000;
let timer: ReturnType<typeof setTimeout> | undefined;

function send(job: string): Promise<void> {
  sending = sending.then(() => sendAll(job));
  return sending;
}

async function sendAll(job: string): Promise<void> {
  clearTimeout(timer);
  const refused = new Set<string>();
  for (;;) {
    const [next] = (await heldEntries(job).catch(() => [])).filter((h) => !refused.has(h.id));
    if (!next) return;
    const { received: _, ...entry } = next.entry;
    try {
      const added = await addRecord(job, { ...entry, sent: now() });
      await dropEntry(next.id);
      record.setState((was) => ({
        entries: was.entries.map((e) => (e.id === added.id ? added : e)),
        held: was.held.filter((id) => id !== next.id),
      }));
    } catch (error) {
      if (error instanceof Away) {
        timer = setTimeout(() => void send(job), AGAIN);
        return;
      }
      // It stays on this device, and is said: nothing that happened is dropped.
      refused.add(next.id);
      record.setState({ failure: saidBy(error) });
    }
  }
}

/** Follows a job's record: another screen's entry is here within a second. Gives what stops it. */
export function watchRecord(job: string): () => void {
  const stop = recordEvents(job, () => void openRecord(job));
  const back = (): void => void openRecord(job);
  window.addEventListener('online', back);
  return () => {
    stop();
    window.removeEventListener('online', back);
  };
}
