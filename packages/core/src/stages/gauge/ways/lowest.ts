import { SAYS } from '../messages.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../set-out/wall.js';
import { bedLimits, layCourses } from '../courses.js';
import { changeAt, hiddenLimits } from '../limits.js';
import type { GaugeSolution } from '../solve.js';
import { countsNear, inForce } from './counts.js';
import { bedsCost, gaugeEdit, type GaugeWay } from './way.js';

/** So high a change of gauge is still at the foot of the wall, mm: common practice. */
const NEAR_GROUND = 600;

interface Low {
  lowest: number;
  bed: number;
}

/**
 * The answer that hides all of a remainder where ground or a skirting covers the foot of the wall: how many courses, and how many of the lowest
 * beds take it. A mason does that before easing a bed that shows. Null where nothing is hidden, all of it is, or it does not go in.
 */
export function hiddenLow(wall: SetWall): (Low & { count: number }) | null {
  const { hiddenTo, unitHeight } = wall;
  if (!(hiddenTo > 0) || hiddenTo === Infinity) return null;
  const counts = countsNear(wall);
  if (counts.length === 1) return null;
  const ways = counts.flatMap((count) => {
    const low = leastLowest(wall, count, false);
    return low && low.lowest * (unitHeight + low.bed) <= hiddenTo + SAME_PLACE ? [{ ...low, count }] : [];
  });
  return ways.reduce<(typeof ways)[number] | null>(
    (best, w) => (best === null || Math.abs(w.bed - wall.bed) < Math.abs(best.bed - wall.bed) ? w : best),
    null,
  );
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
    const [least, most] = [Math.max(of.least, limits.firstLeast), Math.min(of.most, limits.firstMost)];
    if (low < least - SAME_PLACE || low > most + SAME_PLACE) continue;
    if (!unnoticed || Math.abs(low - bed) <= changeAt(wall, top) + SAME_PLACE) return { lowest, bed: low };
  }
  return null;
}

function lowestWay(wall: SetWall, now: GaugeSolution, n: number, found: Low, seen: boolean): GaugeWay {
  const limits = bedLimits(wall);
  const { lowest, bed: low } = found;
  const courses = layCourses({ count: n, lowest, lowBed: low, bed: wall.bed, odd: null }, wall.unitHeight);
  const past = low < limits.least - SAME_PLACE || low > limits.most + SAME_PLACE;
  const top = courses[lowest - 1]?.top ?? 0;
  const hides = top <= wall.hiddenTo;
  const usual = hiddenLow(wall);
  const where = hides
    ? SAYS['finish-hides']({ by: wall.hiddenTo === Infinity ? 'finish' : 'ground' })
    : seen
      ? SAYS['change-shows']({ by: Math.abs(low - wall.bed) })
      : top <= NEAR_GROUND
        ? SAYS['change-unseen']()
        : SAYS['change-unseen-at']({ at: top });
  return {
    kind: seen ? 'lowest-beds' : 'lowest-unnoticed',
    name: SAYS['lose-lowest']({ beds: lowest }),
    says: SAYS['lose-lowest-because']({ beds: lowest, low, rest: n - lowest, bed: wall.bed, seen: where }),
    edit: gaugeEdit(wall, usual?.count === n && usual.lowest === lowest ? null : { courses: n, lowest }),
    cost: bedsCost(wall, courses) + (past && !hides ? lowest * wall.weights.gauge.bedOutside : 0),
    applied: inForce(now, n, lowest),
    courses,
    leads: usual?.count === n && usual.lowest === lowest,
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
