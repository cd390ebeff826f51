import {
  applyPatch,
  carry,
  checkJob,
  forced,
  sayFault,
  type Clash,
  type Edit,
  type Job,
  type JobDocument,
  type Patch,
  type Said,
} from '@even-tally/core';
import { KEEPING } from '@even-tally/words';
import type { KeptJob } from './api';

/** What is done to a job: a patch of it as it stands, an edit that names ids, or the document it is to become. */
export type Change = Patch | Edit | JobDocument;

/** Somebody else saved, and what both have done cannot be had together. */
export interface Stale {
  newer: KeptJob;
  /** What clashes; where it is empty the two together would be no wall, and `why` says what of it. */
  clashes: Clash[];
  why: Said | null;
  /** Both put together, where they clash as I have it, and as they have it. */
  mine: Job;
  theirs: Job;
}

/** Something that cannot be, and why. */
export interface Cannot {
  cannot: Said;
}

const wanted = ([first]: readonly { wanted: string; got: string }[]): Said =>
  first ? KEEPING.wantedGot({ wanted: first.wanted, got: first.got }) : KEEPING.cannotBe;

/** A job after something was done to it, or why it cannot be so. */
export function became(from: Job, what: Change): Job | Cannot {
  let document: JobDocument;
  if (Array.isArray(what)) {
    const applied = applyPatch<JobDocument>(from, what);
    if (!applied.ok) return { cannot: applied.why };
    document = applied.value;
  } else if ('changes' in what) {
    const done = carry(what, from);
    if (!done.ok) return { cannot: KEEPING.clash };
    document = done.document;
  } else document = what;
  const checked = checkJob(document, { before: from });
  return checked.ok ? checked.job : { cannot: wanted(checked.faults) };
}

/** The server's document, with an edit it does not have carried over it. Says what clashes where it cannot be. */
export function carriedOver(
  newer: KeptJob,
  mine: Edit,
  { kept, job }: { kept: Job; job: Job },
): { kept: Job; job: Job } | Stale | Cannot {
  const theirs = checkJob(newer.document, { before: kept });
  if (!theirs.ok) return { cannot: theirs.faults.map(sayFault).join('; ') };
  const done = carry(mine, theirs.job);
  const both = checkJob(done.document, { before: theirs.job });
  if (done.ok && both.ok) return { kept: theirs.job, job: both.job };
  const own = checkJob(forced(mine, theirs.job, job), { before: theirs.job });
  return {
    newer,
    clashes: done.ok ? [] : done.clashes,
    why: both.ok ? null : wanted(both.faults),
    mine: own.ok ? own.job : job,
    theirs: both.ok ? both.job : theirs.job,
  };
}
