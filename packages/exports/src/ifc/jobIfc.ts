import { plan, wallsOnSite } from '@even-tally/core';
import type { ExportAsk } from '../ask.js';
import { Model } from './model.js';
import { wallIfc } from './wallIfc.js';

/**
 * A job as an IFC 4 model: each run a wall of its leaves, its openings, its bars; base quantities of the run, and what a mason counts in a
 * property set of its own. Lengths are millimetres. Where walls stand is where the site says they stand.
 */
export function jobIfc({ job, wall, now, say, done }: ExportAsk): string {
  const model = new Model(job.name, job.walls.map((w) => w.id).join('|'));
  const planned = plan(job, [], { advise: false, ...(wall === null ? {} : { only: [wall] }) });
  const site = wallsOnSite(job);
  planned.walls.forEach((p, i) => {
    const at = site.find((s) => s.index === p.wall.index);
    if (at) wallIfc(model, p, at, say);
    done?.((i + 1) / planned.walls.length);
  });
  return model.file(now);
}
