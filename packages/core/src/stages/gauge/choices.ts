import { SAYS } from './messages.js';
import { SAME_PLACE } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import type { Candidate } from '../../findings/finding.js';
import { gaugeSlack } from './courses.js';
import { fixedHeights } from './fixed.js';
import type { GaugeSolution } from './solve.js';
import { countsNear } from './ways/counts.js';
import { easedWays, jointWays } from './ways/eased.js';
import { lowestWays } from './ways/lowest.js';
import { meetWays } from './ways/meet.js';
import { movedWays, openingWays } from './ways/moved.js';
import { halfHighWays, sawnWays } from './ways/odd.js';
import type { GaugeWay } from './ways/way.js';

/** Fixed heights that would stand off the courses. The base and the top are not asked: every way lands on them. */
function offCourses(wall: SetWall, way: GaugeWay): number {
  const slack = gaugeSlack(wall) + SAME_PLACE;
  const up = way.up ?? 0;
  return fixedHeights(wall)
    .filter((h) => h.at < wall.height)
    .filter((h) => !(way.movesOpenings && !h.must))
    .filter((h) =>
      way.courses.every((c) => Math.abs(c.top - (h.at - up)) > Math.max(slack, h.tolerance + SAME_PLACE)),
    ).length;
}

/** A way that throws openings off the courses says so and pays for it. */
function weighed(wall: SetWall, way: GaugeWay): GaugeWay {
  const off = offCourses(wall, way);
  if (off === 0) return way;
  const what = wall.heights.length > 0 ? 'heights' : 'openings';
  const says = SAYS['throws-off']({ says: way.says, count: off, what });
  return { ...way, says, cost: way.cost + off * wall.weights.gauge.openingOffCourse };
}

function waysOf(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  const divides = countsNear(wall).length === 1;
  return [
    ...easedWays(wall, now),
    ...meetWays(wall, now),
    ...openingWays(wall, now),
    ...(divides
      ? []
      : [
          ...lowestWays(wall, now),
          ...jointWays(wall),
          ...movedWays(wall),
          ...halfHighWays(wall, now),
          ...sawnWays(wall, now),
        ]),
  ];
}

/** Every way to bring the courses to the height, best first. Ties keep the order above: the one a mason tries first. */
export function gaugeCandidates(wall: SetWall, now: GaugeSolution): Candidate[] {
  return waysOf(wall, now)
    .map((way, i) => ({ way: weighed(wall, way), i }))
    .sort(
      (a, b) =>
        Number(b.way.leads ?? false) - Number(a.way.leads ?? false) || a.way.cost - b.way.cost || a.i - b.i,
    )
    .map(({ way: { kind, name, says, edit, cost, applied } }) => ({
      stage: 'gauge' as const,
      kind,
      name,
      says,
      edit,
      cost,
      applied,
    }));
}
