import type { Job } from '../job/types.js';
import type { Working } from '../stages/figure.js';
import { plan, type SiteRecord } from './plan.js';
import { madeOf } from './says.js';

/**
 * Rebuilds how a figure came about. `key` is `<wall id>/<run number or "wall">/<figure>`, the figure one of
 * pieces.<kind>, buy.<kind>, buy.half-high.<kind>, area, bed, mortar.geometric, mortar.used, mortar.ordered; of a whole wall also
 * grout.*, steel.* and joints.*. Null for an unknown key.
 */
export function working(job: Job, record: SiteRecord, key: string): Working | null {
  const [wallId, scope, figure = ''] = splitKey(key);
  const index = job.walls.findIndex((w) => w.id === wallId);
  if (index < 0) return null;
  const p = plan(job, record, { advise: false, only: [index] }).walls[0];
  if (!p) return null;
  const run = p.runs.find((r) => String(r.index) === scope);
  if (scope !== 'wall' && !run) return null;
  const made = madeOf(p, figure, run?.index ?? null);
  return made && { key, ...made };
}

/** Wall ids may hold any text, so the key is split from its end. */
function splitKey(key: string): string[] {
  const figure = key.slice(key.lastIndexOf('/') + 1);
  const rest = key.slice(0, key.lastIndexOf('/'));
  return [rest.slice(0, rest.lastIndexOf('/')), rest.slice(rest.lastIndexOf('/') + 1), figure];
}
