import { formatISO } from 'date-fns';
import type { NewEntry, RecordEntry } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';
import { addRecord, Away, readRecord } from './api';
import type { OpenJobHandle } from './openJob';

interface SiteRecord {
  /** The job it is of; null while none is read. */
  job: string | null;
  entries: RecordEntry[];
  failure: string | null;
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
    if (record.getState().job === job) record.setState({ failure: (error as Error).message });
  }
}

/** Records something, once the job it is about is kept. Throws the refusal, in a sentence. */
export async function addEntry(
  { whenKept }: Pick<OpenJobHandle, 'whenKept'>,
  entry: NewEntry,
): Promise<void> {
  const signing = entry.kind === 'hold-signed';
  const job = await whenKept(signing ? 'Signing' : 'Recording a step');
  const happened = formatISO(new Date());
  const full = { id: crypto.randomUUID(), ...entry, happened, sent: happened } as RecordEntry;
  const added = await addRecord(job, full).catch((error: unknown) => {
    if (!(error instanceof Away)) throw error;
    throw new Error(
      `The server does not answer: ${signing ? 'nothing is signed' : 'nothing is recorded'} yet. Try again when it is back.`,
    );
  });
  record.setState((was) => ({ entries: [...was.entries.filter((e) => e.id !== added.id), added] }));
}
