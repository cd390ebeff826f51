import { canonical, checkEntry, checkJob, sayFault, type RecordEntry } from '@even-tally/core';
import { boundsOf } from './envelope.js';
import { scan } from './scan.js';

/** A job of a yard's file, checked: ready to be kept, or why not. */
export type Carried =
  | { ok: true; name: string; walls: number; text: string; putAway: boolean; record: RecordEntry[] }
  | { ok: false; says: string };

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** Reads one line of a yard's file: `{ "job": …, "record": […], "putAway": false }`. */
export function openCarried(line: string): Carried {
  const refuse = (says: string): Carried => ({ ok: false, says });
  const over = boundsOf(scan(line));
  if (over !== null) return refuse(over);
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return refuse('wanted JSON, got text that does not parse');
  }
  const { job, record = [], putAway = false } = (value ?? {}) as Record<string, unknown>;
  const checked = checkJob(job);
  if (!checked.ok) return refuse(checked.faults[0] ? sayFault(checked.faults[0]) : 'not a job file');
  if (!Array.isArray(record)) return refuse('record: wanted a list of entries');
  const entries: RecordEntry[] = [];
  for (const [i, kept] of record.entries()) {
    // When another server received it, and from whose account there, is that server's to say.
    const { received: _r, member: _m, ...entry } = (kept ?? {}) as Record<string, unknown>;
    const [fault] = checkEntry(entry);
    if (fault) return refuse(`record/${i}${sayFault(fault)}`);
    if (typeof entry.id !== 'string' || !UUID.test(entry.id)) return refuse(`record/${i}/id: wanted a UUID`);
    entries.push({ ...entry, id: entry.id.toLowerCase() } as RecordEntry);
  }
  if (new Set(entries.map((e) => e.id)).size < entries.length) return refuse('record: wanted every id once');
  return {
    ok: true,
    name: checked.job.name,
    walls: checked.job.walls.length,
    text: JSON.stringify(canonical(checked.job)),
    putAway: putAway === true,
    record: entries,
  };
}
