import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Edit, JobDocument } from '@even-tally/core';

interface Held {
  jobId: string;
  /** The page that holds it: each has its own. */
  page: string;
  /** The revision it was made on. */
  revision: number;
  at: string;
}

/** What a page has done to a job and the server has not acknowledged, held on this device. */
export interface Pending extends Held {
  edit: Edit;
}

/** As it was held before edits were: a whole document, which can be carried over the revision it was made on alone. */
export interface PendingDocument extends Held {
  document: JobDocument;
}

interface Shelf extends DBSchema {
  edits: { key: [jobId: string, page: string]; value: Pending; indexes: { job: string } };
}

/** Whole documents, from before edits were held. Read and emptied, never filled. */
interface OldShelf extends DBSchema {
  pending: { key: string; value: Omit<PendingDocument, 'page'> };
}

let shelf: Promise<IDBPDatabase<Shelf>> | null = null;
let oldShelf: Promise<IDBPDatabase<OldShelf>> | null = null;

// A shelf of its own: one that is open in an older page could not be rebuilt until that is closed.
const open = (): Promise<IDBPDatabase<Shelf>> =>
  (shelf ??= openDB<Shelf>('even-tally-edits', 1, {
    upgrade: (db) =>
      db.createObjectStore('edits', { keyPath: ['jobId', 'page'] }).createIndex('job', 'jobId'),
  }));
const openOld = (): Promise<IDBPDatabase<OldShelf>> =>
  (oldShelf ??= openDB<OldShelf>('even-tally', 1, {
    upgrade: (db) => void db.createObjectStore('pending', { keyPath: 'jobId' }),
  }));

/** The page of what was held as a whole document. */
const OLD = '';

export const holdPending = async (pending: Pending): Promise<void> =>
  void (await (await open()).put('edits', pending));

/** Everything held of a job, in the order it was held. */
export async function readPending(jobId: string): Promise<(Pending | PendingDocument)[]> {
  const edits = await (await open()).getAllFromIndex('edits', 'job', jobId);
  const whole = await (await openOld()).get('pending', jobId);
  const all = [...edits, ...(whole ? [{ ...whole, page: OLD }] : [])];
  return all.sort((a, b) => (a.at < b.at ? -1 : 1));
}

export async function dropPending({ jobId, page }: { jobId: string; page: string }): Promise<void> {
  if (page === OLD) await (await openOld()).delete('pending', jobId);
  else await (await open()).delete('edits', [jobId, page]);
}
