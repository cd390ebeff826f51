import { formatISO } from 'date-fns';
import type { NewEntry, RecordEntry, Said } from '@even-tally/core';
import { KEEPING } from '@even-tally/words';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { addRecord, Away, readRecord } from './api';
import { Failure, saidBy } from './failure';
import type { OpenJobHandle } from './openJob';

interface SiteRecord {
  /** The job it is of; null while none is read. */
  job: string | null;
  entries: RecordEntry[];
  failure: Said | null;
}

const record = createStore<SiteRecord>(() => ({ job: null, entries: [], failure: null }));
export const useRecord = <T>(pick: (state: SiteRecord) => T): T => useStore(record, pick);

/** Reads what happened on site; what was read of another job is dropped. */
export async function openRecord(job: string): Promise<void> {
  if (record.getState().job !== job) record.setState({ job, entries: [], failure: null });
  try {
    const entries = await readRecord(job);
    if (record.getState().job === job) record.setState({ entries, failure: null });
  } catch (error) {
    if (record.getState().job === job) record.setState({ failure: saidBy(error) });
  }
}

/** Records something, once the job it is about is kept. Throws the refusal, in a sentence. */
export async function addEntry(
  { whenKept }: Pick<OpenJobHandle, 'whenKept'>,
  entry: NewEntry,
): Promise<void> {
  const signing = entry.kind === 'hold-signed';
  const job = await whenKept(signing ? KEEPING.signing : KEEPING.recording);
  const happened = formatISO(new Date());
  const full = { id: crypto.randomUUID(), ...entry, happened, sent: happened } as RecordEntry;
  const added = await addRecord(job, full).catch((error: unknown) => {
    if (!(error instanceof Away)) throw error;
    throw new Failure(signing ? KEEPING.notSigned : KEEPING.notRecorded);
  });
  record.setState((was) => ({ entries: [...was.entries.filter((e) => e.id !== added.id), added] }));
}
