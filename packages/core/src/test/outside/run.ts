import { sayFor } from '../jobs.js';
import { checkJob } from '../../job/check.js';
import { planJson } from '../../plan/json.js';
import { plan } from '../../plan/plan.js';
import { defectsOf } from './check.js';
import type { JobFile, PlanFile } from './files.js';

/** The plan of a job file as it goes out, or null where the door does not let the job in. */
export function plannedJson(job: unknown, advise = false): PlanFile | null {
  const checked = checkJob(job);
  if (!checked.ok) return null;
  return JSON.parse(JSON.stringify(planJson(plan(checked.job, [], { advise }), sayFor('mm')))) as PlanFile;
}

/** What is wrong with the plan of a job; null where the door does not let it in. */
export function triedOn(job: unknown): string[] | null {
  const planned = plannedJson(job);
  return planned && defectsOf(job as JobFile, planned);
}
