import { checkForm } from './checkForm.js';
import type { Fault } from './fault.js';
import { JOB_FORM } from './form.js';
import { LIMITS } from './limits.js';
import { checkRules } from './rules.js';
import type { Job, JobDocument } from './types.js';

export type Checked = { ok: true; job: Job } | { ok: false; faults: Fault[] };

const fail = (path: string, wanted: string, got: string): Checked => ({
  ok: false,
  faults: [{ path, wanted, got }],
});

/** The one door: a plain value in, a checked Job or every fault out. The value is not copied or changed. */
export function checkJob(value: unknown): Checked {
  if (typeof value === 'object' && value !== null && 'version' in value && 'format' in value) {
    if (value.format === 'even-tally/job' && typeof value.version === 'number' && value.version !== 1) {
      return fail('/version', 'version 1', `version ${value.version}`);
    }
  }
  const form = checkForm(value, JOB_FORM);
  if (form.length > 0) return { ok: false, faults: form };
  const rules = checkRules(value as JobDocument);
  return rules.length > 0 ? { ok: false, faults: rules } : { ok: true, job: value as Job };
}

/** Deepest nesting of a JSON text, read without recursion so that depth itself can do no harm. */
export function nesting(text: string): number {
  let [depth, deepest, quoted] = [0, 0, false];
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (quoted) {
      if (c === 0x5c) i++;
      else if (c === 0x22) quoted = false;
    } else if (c === 0x22) quoted = true;
    else if (c === 0x7b || c === 0x5b) deepest = Math.max(deepest, ++depth);
    else if (c === 0x7d || c === 0x5d) depth--;
  }
  return deepest;
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
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\ufeff/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message.replace(/\p{Cc}/gu, ' ') : 'not JSON';
    return fail('', 'a JSON job file', why.slice(0, 120));
  }
  return checkJob(value);
}
