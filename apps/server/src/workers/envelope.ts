import { scan, type Scanned } from './scan.js';
import { checkJob, LIMITS, sayFault, sharing, type Fault, type Job } from '@even-tally/core';

/** What comes with a document: read as text, for a document never goes through the transformer of small requests. */
export interface Envelope {
  revision: number | null;
  /** The id of this save, so that one repeated after a lost answer is known again. */
  save: string | null;
  /** The document goes back to an older version: what stands now is kept as one, however new it is. */
  keep: boolean;
  name: string;
  walls: number;
  /** The document as it is kept. */
  text: string;
}

export type Opened =
  { ok: true; envelope: Envelope; job: Job } | { ok: false; says: string; faults?: Fault[] };

/** Keys and values of a document at most; 5 MB of ones and commas would be millions, and every one is walked. */
const MOST_NODES = 600_000;
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
const KEYS = ['document', 'revision', 'save', 'keep'];

const refuse = (says: string): Opened => ({ ok: false, says });

/** Bounds are looked at on the text, before anything recursive meets it. Null when it may be parsed. */
export function boundsOf({ depth, nodes }: Scanned): string | null {
  if (depth > LIMITS.nesting + 2) return `Wanted nesting of at most ${LIMITS.nesting}, got ${depth}.`;
  return nodes > MOST_NODES ? `Wanted at most ${MOST_NODES} keys and values, got ${nodes}.` : null;
}

/** The document as it was sent, where it stands under its own name: it need not be written anew. */
function written(body: string, { values }: Scanned): string | null {
  const span = values.get('document');
  return span ? body.slice(...span).trim() : null;
}

/**
 * Reads and checks a document with what comes with it. `saved`: it stands on a revision, which must be said. `before`: a job that was found
 * sound, of which this may be an edit; what is equal in both is not checked twice.
 */
export function openEnvelope(body: string, saved: boolean, before?: Job): Opened {
  const scanned = scan(body);
  const over = boundsOf(scanned);
  if (over !== null) return refuse(over);
  let value: unknown;
  try {
    value = JSON.parse(body);
  } catch {
    return refuse('Wanted JSON, got text that does not parse.');
  }
  if (value === null || typeof value !== 'object' || Array.isArray(value))
    return refuse('document: wanted a job file');
  const given = value as Record<string, unknown>;
  const strange = Object.keys(given).find((key) => !KEYS.includes(key));
  if (strange !== undefined)
    return refuse(`${JSON.stringify(strange).slice(1, -1).slice(0, 60)}: wanted nothing under that key`);
  const { revision, save, keep } = given;
  if (
    saved &&
    !(Number.isInteger(revision) && (revision as number) >= 1 && (revision as number) < 2 ** 31 - 1)
  )
    return refuse('revision: wanted the whole number the edit was made on, 1 or more');
  if (save !== undefined && !(typeof save === 'string' && UUID.test(save)))
    return refuse('save: wanted a UUID');
  if (keep !== undefined && typeof keep !== 'boolean') return refuse('keep: wanted true or false');
  const { document } = given;
  if (document === null || typeof document !== 'object' || Array.isArray(document))
    return refuse('document: wanted a job file');
  const checked = checkJob(before ? sharing(document, before) : document, before ? { before } : {});
  if (!checked.ok) {
    const [first, ...more] = checked.faults;
    const rest = more.length > 0 ? ` (and ${more.length} more)` : '';
    return {
      ok: false,
      says: `${first ? sayFault(first) : 'Not a job file'}${rest}`,
      faults: checked.faults.slice(0, 100),
    };
  }
  return {
    ok: true,
    envelope: {
      revision: saved ? (revision as number) : null,
      save: typeof save === 'string' ? save.toLowerCase() : null,
      keep: keep === true,
      name: checked.job.name,
      walls: checked.job.walls.length,
      text: written(body, scanned) ?? JSON.stringify(checked.job),
    },
    job: checked.job,
  };
}
