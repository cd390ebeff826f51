import { checkForm } from '../statement/check.js';
import type { Fault } from '../statement/fault.js';
import { ownUnit, type OwnUnit } from './forms/build.js';
import { checkRules } from './rules.js';
import type { JobDocument } from './types.js';

export type CheckedUnit = { ok: true; unit: OwnUnit } | { ok: false; faults: Fault[] };

/** A unit by itself, for whoever keeps units apart from a job: sound where a job that has it is. Paths are within it. */
export function checkUnit(value: unknown): CheckedUnit {
  const form = checkForm(value, ownUnit, '');
  if (form.length > 0) return { ok: false, faults: form };
  const unit = value as OwnUnit;
  const alone: JobDocument = {
    format: 'even-tally/job',
    version: 1,
    name: 'A unit',
    show: 'mm',
    profile: 'us',
    units: [unit],
    walls: [],
  };
  const rules = checkRules(alone);
  return rules.length > 0
    ? { ok: false, faults: rules.map((f) => ({ ...f, path: f.path.replace(/^\/units\/0/, '') })) }
    : { ok: true, unit };
}
