import { checkForm } from '../statement/check.js';
import type { Fault } from '../statement/fault.js';
import { nesting, parseJson } from '../statement/text.js';
import { migrated, type Migration } from '../statement/migrate.js';
import { JOB_FORM } from './form.js';
import { LIMITS } from './limits.js';
import { checkRules } from './rules.js';
import type { Job, JobDocument } from './types.js';

export type Checked = { ok: true; job: Job } | { ok: false; faults: Fault[] };

/** What older job files are brought along by. There has been one version so far. */
const MIGRATIONS: readonly Migration[] = [];

/**
 * The one door: a plain value in, a checked Job or every fault out. The value is not copied or changed. `before`: a job that was
 * sound, of which this is an edit; walls that are the same objects in both are not walked again.
 */
export function checkJob(
  value: unknown,
  { steps = MIGRATIONS, before }: { steps?: readonly Migration[]; before?: Job } = {},
): Checked {
  const now = migrated(value, { format: 'even-tally/job', version: 1, steps });
  if (!now.ok) return { ok: false, faults: [now.fault] };
  const form = checkForm(
    now.value,
    JOB_FORM,
    '',
    before && new Set<unknown>([...before.walls, ...(before.units ?? [])]),
  );
  if (form.length > 0) return { ok: false, faults: form };
  const rules = checkRules(now.value as JobDocument, before);
  return rules.length > 0 ? { ok: false, faults: rules } : { ok: true, job: now.value as Job };
}

/** Refuses a text too large or too deep to be a job, before anything parses it. */
export function checkText(text: string): Extract<Checked, { ok: false }> | null {
  if (text.length > LIMITS.bytes) {
    return {
      ok: false,
      faults: [{ path: '', wanted: 'at most 5 MB', got: `${(text.length / 1048576).toFixed(1)} MB` }],
    };
  }
  const depth = nesting(text);
  if (depth > LIMITS.nesting) {
    return {
      ok: false,
      faults: [{ path: '', wanted: `nesting of at most ${LIMITS.nesting}`, got: `${depth}` }],
    };
  }
  return null;
}

/** Reads a job file's text. */
export function readJob(text: string): Checked {
  const refused = checkText(text);
  if (refused) return refused;
  const read = parseJson(text, 'a JSON job file');
  return 'fault' in read ? { ok: false, faults: [read.fault] } : checkJob(read.value);
}
