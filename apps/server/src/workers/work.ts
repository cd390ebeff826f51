import {
  canonical,
  checkJob,
  editOf,
  holdsOf,
  sayEdit,
  type Said,
  workWall,
  type Hold,
  type Job,
} from '@even-tally/core';
import { takeAway, type Taking } from '../exports/takeAway.js';
import { openCarried, type Carried } from './carried.js';
import { openEnvelope, type Envelope, type Opened } from './envelope.js';

/** A document that was checked elsewhere: its text comes back, and not the job, which would only be copied. */
type Unread = { ok: true; envelope: Envelope; job: null } | Extract<Opened, { ok: false }>;

/** What is long enough to hold others up, and so is done beside them. Everything in and out is plain data. */
export const WORK = {
  /** A document too large to be checked between two requests. */
  open: ({ body, saved }: { body: string; saved: boolean }): Unread => {
    const opened = openEnvelope(body, saved);
    return opened.ok ? { ok: true, envelope: opened.envelope, job: null } : opened;
  },
  /** A job with its record, as a yard's file carries it. */
  carried: ({ line }: { line: string }): Carried => openCarried(line),
  /** The holds of one wall, or null where there is no such wall. */
  holds: ({ document, wall }: { document: Job; wall: string }): Hold[] | null => {
    const index = document.walls.findIndex((w) => w.id === wall);
    return index < 0 ? null : holdsOf(workWall(document, index));
  },
  takeAway: (asked: Taking): Promise<Uint8Array | null> => takeAway(asked),
  /** The job file as it goes out: in the order of the form. */
  file: ({ text }: { text: string }): string => JSON.stringify(canonical(JSON.parse(text) as Job)),
  /** What changed between versions, in words, oldest first: one for each but the first. */
  changes: ({ texts }: { texts: string[] }): (Said | null)[] => {
    const jobs = texts.map((text) => {
      const checked = checkJob(JSON.parse(text));
      return checked.ok ? checked.job : null;
    });
    return jobs.slice(1).map((job, i) => {
      const before = jobs[i];
      return job && before ? sayEdit(editOf(before, job), job) : null;
    });
  },
} as const;

export type Work = keyof typeof WORK;

/** The one door of a worker thread. */
export default function work<W extends Work>({
  what,
  given,
}: {
  what: W;
  given: Parameters<(typeof WORK)[W]>[0];
}): unknown {
  const does = WORK[what] as (given: unknown) => unknown;
  return does(given);
}
