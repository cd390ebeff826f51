import { stated } from '../../job/stated.js';
import type { JobDocument } from '../../job/types.js';
import { toMillimetres, type Mm } from '../../measure/length.js';
import { repointing, type Repointing } from '../../mud/repointing.js';
import { mixOf, type MudSettings } from '../../mud/settings.js';
import type { Mix } from '../../tables/mixes/mixes.js';
import type { BondWork } from '../bond/stage.js';
import type { GaugeWork } from '../gauge/stage.js';

type Work = BondWork & GaugeWork;

/** How much joint there is in the outside face, beds and perps together. */
export function jointsOfFace({ wall, leaves: [face], gauge }: Work): Mm {
  let all = 0;
  for (const run of face?.runs ?? [])
    run.rows.forEach(({ pieces }, i) => {
      const high = gauge.courses[i]?.unitHeight ?? 0;
      pieces.forEach((p, k) => {
        all += p.to - p.from;
        const next = pieces[k + 1];
        // What stands apart has an opening between.
        if (next && next.from - p.to <= 2 * wall.head) all += high + next.from - p.to;
      });
    });
  return all;
}

/** The joints of a wall that are pointed again, and what goes into them. */
export interface WallRepointing extends Repointing {
  mix: Mix;
  behindMix: Mix;
}

const length = (said: string | number | undefined, otherwise: Mm): Mm =>
  said === undefined ? otherwise : toMillimetres(stated(said));

/** Null where nobody points it again. */
export function repointingOf(
  job: JobDocument,
  work: Work,
  settings: MudSettings,
  laidIn: Mix,
): WallRepointing | null {
  const { repoint, build } = job.walls[work.wall.index] ?? {};
  if (!repoint) return null;
  const joints = length(repoint.joints, jointsOfFace(work));
  const mix = mixOf(job, repoint.mix ?? build?.mix) ?? laidIn;
  return {
    ...repointing(
      {
        joints,
        raked: Math.min(joints, length(repoint.raked, 0)),
        pointed: Math.min(joints, length(repoint.pointed, 0)),
        depth: length(repoint.depth, 0),
        width: length(repoint.width, work.wall.bed),
      },
      settings.basis,
    ),
    mix,
    behindMix: mixOf(job, repoint.behind) ?? mix,
  };
}
