import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { RecordEntry } from '@even-tally/core';

/** An entry this device has made and the server does not have yet. */
export interface HeldEntry {
  id: string;
  jobId: string;
  /** In the order they were made. */
  at: number;
  entry: RecordEntry;
}

interface Shelf extends DBSchema {
  entries: { key: string; value: HeldEntry; indexes: { job: string } };
}

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;
const open = (): Promise<IDBPDatabase<Shelf>> =>
  (shelf ??= openDB<Shelf>('even-tally-record', 1, {
    upgrade: (db) => db.createObjectStore('entries', { keyPath: 'id' }).createIndex('job', 'jobId'),
  }));

export const holdEntry = async (held: HeldEntry): Promise<void> =>
  void (await (await open()).put('entries', held));

export const dropEntry = async (id: string): Promise<void> => (await open()).delete('entries', id);

/** Everything held of a job, in the order it was made. */
export async function heldEntries(jobId: string): Promise<HeldEntry[]> {
  const all = await (await open()).getAllFromIndex('entries', 'job', jobId);
  return all.sort((a, b) => a.at - b.at);
}
