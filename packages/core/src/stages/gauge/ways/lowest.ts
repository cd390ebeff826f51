import { SAME_PLACE } from '../../../measure/length.js';
import { sayMm } from '../../../measure/format.js';
import type { SetWall } from '../../set-out/wall.js';
import { bedLimits, layCourses } from '../courses.js';
import { changeAt, hiddenLimits } from '../limits.js';
import type { GaugeSolution } from '../solve.js';
import { countsNear, inForce } from './eased.js';
import { gaugeEdit, plural, sumSquares, type GaugeWay } from './way.js';

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
  const say = (value: number): string => sayMm(value, wall.show);
  const limits = bedLimits(wall);
  const { lowest, bed: low } = found;
  const courses = layCourses({ count: n, lowest, lowBed: low, bed: wall.bed, odd: null }, wall.unitHeight);
  const past = low < limits.least - SAME_PLACE || low > limits.most + SAME_PLACE;
  const hides = (courses[lowest - 1]?.top ?? 0) <= wall.hiddenTo;
  const where = hides
    ? 'The finish hides it.'
    : seen
      ? `The fewest beds the limits allow; a change of ${say(Math.abs(low - wall.bed))} shows on a fair face.`
      : 'One change near the ground, too small to catch the eye.';
  return {
    kind: seen ? 'lowest-beds' : 'lowest-unnoticed',
    name: `Lose it in the lowest ${plural(lowest, 'bed')}`,
    says: `Lose it low down: the lowest ${plural(lowest, 'bed')} at ${say(low)}, then ${n - lowest} at ${say(wall.bed)}. ${where}`,
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
