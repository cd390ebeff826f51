import { SAYS } from '../messages.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../set-out/wall.js';
import { bedLimits, layCourses } from '../courses.js';
import { changeAt, hiddenLimits } from '../limits.js';
import type { GaugeSolution } from '../solve.js';
import { countsNear, inForce } from './eased.js';
import { gaugeEdit, sumSquares, type GaugeWay } from './way.js';

interface Low {
  lowest: number;
  bed: number;
}

/**
 * The least number of lowest beds that take the difference, each inside its limits (wider where ground, skirting
 * or render hides it). `unnoticed`: the one change of gauge must also be small for the height it stands at. Null
 * when even all but one of the beds will not do.
 */
export function leastLowest(wall: SetWall, count: number, unnoticed: boolean): Low | null {
  const { unitHeight, bed, height } = wall;
  const limits = bedLimits(wall);
  const hidden = hiddenLimits(wall);
  const difference = height - count * (unitHeight + bed);
  for (let lowest = 1; lowest < count; lowest++) {
    const low = bed + difference / lowest;
    const top = lowest * (unitHeight + low);
    const of = top <= wall.hiddenTo ? hidden : limits;
    if (low < of.least - SAME_PLACE || low > of.most + SAME_PLACE) continue;
    if (!unnoticed || Math.abs(low - bed) <= changeAt(wall, top) + SAME_PLACE) return { lowest, bed: low };
  }
  return null;
}

function lowestWay(wall: SetWall, now: GaugeSolution, n: number, found: Low, seen: boolean): GaugeWay {
  const limits = bedLimits(wall);
  const { lowest, bed: low } = found;
  const courses = layCourses({ count: n, lowest, lowBed: low, bed: wall.bed, odd: null }, wall.unitHeight);
  const past = low < limits.least - SAME_PLACE || low > limits.most + SAME_PLACE;
  const hides = (courses[lowest - 1]?.top ?? 0) <= wall.hiddenTo;
  const where = hides
    ? SAYS['finish-hides']()
    : seen
      ? SAYS['change-shows']({ by: Math.abs(low - wall.bed) })
      : SAYS['change-unseen']();
  return {
    kind: seen ? 'lowest-beds' : 'lowest-unnoticed',
    name: SAYS['lose-lowest']({ beds: lowest }),
    says: SAYS['lose-lowest-because']({ beds: lowest, low, rest: n - lowest, bed: wall.bed, seen: where }),
    edit: gaugeEdit(wall, { courses: n, lowest }),
    cost: sumSquares(courses, wall.bed) + (past ? lowest * wall.weights.gauge.bedOutside : 0),
    applied: inForce(now, n, lowest),
    courses,
  };
}

/** Lost low down: the fewest beds the limits allow, and the fewest that go unnoticed where those are more. */
export function lowestWays(wall: SetWall, now: GaugeSolution): GaugeWay[] {
  return countsNear(wall).flatMap((n): GaugeWay[] => {
    const fewest = leastLowest(wall, n, false);
    const unseen = leastLowest(wall, n, true);
    return [
      ...(unseen && unseen.lowest !== fewest?.lowest ? [lowestWay(wall, now, n, unseen, false)] : []),
      ...(fewest ? [lowestWay(wall, now, n, fewest, unseen?.lowest !== fewest.lowest)] : []),
    ];
  });
}
