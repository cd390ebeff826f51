import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { JobDocument } from '@even-tally/core';

/** An edit the server has not acknowledged, held on this device. */
export interface Pending {
  jobId: string;
  /** The revision it was made on. */
  revision: number;
  document: JobDocument;
  at: string;
}

interface Shelf extends DBSchema {
  pending: { key: string; value: Pending };
}

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;

const open = (): Promise<IDBPDatabase<Shelf>> =>
  (shelf ??= openDB<Shelf>('even-tally', 1, {
    upgrade: (db) => void db.createObjectStore('pending', { keyPath: 'jobId' }),
  }));

export const holdPending = async (pending: Pending): Promise<void> =>
  void (await (await open()).put('pending', pending));
export const readPending = async (jobId: string): Promise<Pending | undefined> =>
  (await open()).get('pending', jobId);
export const dropPending = async (jobId: string): Promise<void> => (await open()).delete('pending', jobId);
