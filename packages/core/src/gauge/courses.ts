import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';

export interface Course {
  number: number;
  /** Underside of its bed, mm above the wall's base. */
  bottom: number;
  top: number;
  bed: number;
  unitHeight: number;
  sawn: boolean;
}

/** How the courses are got to the height: what was asked for, with every default decided. */
export interface GaugeSolution {
  courses: Course[];
  count: number;
  /** Lowest beds that take the difference; equal to `count` when all are eased. */
  lowest: number;
  sawn: number | null;
  /** Height stated less height reached, mm. Zero when the top course lands. */
  short: number;
  /** Beds outside the profile's limits, by course number. */
  outside: number[];
}

export interface BedLimits {
  least: number;
  most: number;
  firstLeast: number;
  firstMost: number;
}

export function bedLimits(wall: SetWall): BedLimits {
  const { bed, firstBed } = wall.profile;
  // A unit made for its own joint (three courses in 8 in) keeps that joint inside the limits.
  return {
    least: Math.min(toMillimetres(bed.least), wall.bed),
    most: Math.max(toMillimetres(bed.most), wall.bed),
    firstLeast: Math.min(toMillimetres(firstBed.least), wall.bed),
    firstMost: Math.max(toMillimetres(firstBed.most), wall.bed),
  };
}

/** How far off a course a sill or head may stand and still be met by its bed, mm. */
export const gaugeSlack = (wall: SetWall): number => {
  const { bed } = wall.profile;
  const up = toMillimetres(bed.most) - wall.bed;
  return up > SAME_PLACE ? up : Math.max(SAME_PLACE, wall.bed - toMillimetres(bed.least));
};

const within = (x: number, least: number, most: number): boolean =>
  x >= least - SAME_PLACE && x <= most + SAME_PLACE;

/** Whole courses whose even bed is inside the limits, nearest its target; ties to fewer. Null when none is. */
export function easedCount(
  height: number,
  unitHeight: number,
  bed: number,
  limits: BedLimits,
): number | null {
  const fewest = Math.max(1, Math.ceil((height - SAME_PLACE) / (unitHeight + limits.most)));
  const most = Math.floor((height + SAME_PLACE) / (unitHeight + limits.least));
  let best: number | null = null;
  let bestOff = Infinity;
  const pitch = unitHeight + bed;
  // Only the two counts either side of the target pitch can be nearest.
  for (const n of [Math.floor(height / pitch + 1e-9), Math.ceil(height / pitch - 1e-9)]) {
    if (n < fewest || n > most) continue;
    const off = Math.abs(height / n - pitch);
    if (off < bestOff - 1e-9) [best, bestOff] = [n, off];
  }
  return best;
}

/** The nearest whole number of courses at the target bed; a tie goes to fewer. */
export const nearestCount = (height: number, pitch: number): number =>
  Math.max(1, Math.ceil(height / pitch - 0.5 - 1e-9));

export interface Spread {
  count: number;
  lowest: number;
  lowBed: number;
  bed: number;
  /** Course sawn to this unit height, or null. */
  sawn: { number: number; unitHeight: number } | null;
}

/** Courses from a spread, every height by multiplication from the base so that nothing accumulates. */
export function layCourses(spread: Spread, unitHeight: number): Course[] {
  const courses: Course[] = [];
  const lost = spread.sawn ? unitHeight - spread.sawn.unitHeight : 0;
  for (let k = 1; k <= spread.count; k++) {
    const below = k - 1;
    const low = Math.min(below, spread.lowest);
    const isSawn = spread.sawn?.number === k;
    const bottom =
      low * (unitHeight + spread.lowBed) +
      (below - low) * (unitHeight + spread.bed) -
      (spread.sawn && below >= spread.sawn.number ? lost : 0);
    const bed = k <= spread.lowest ? spread.lowBed : spread.bed;
    const height = isSawn && spread.sawn ? spread.sawn.unitHeight : unitHeight;
    courses.push({ number: k, bottom, top: bottom + bed + height, bed, unitHeight: height, sawn: isSawn });
  }
  return courses;
}

function spreadFor(wall: SetWall): Spread {
  const { height, unitHeight, bed, gauge } = wall;
  const pitch = unitHeight + bed;
  const even = (count: number, b: number): Spread => ({
    count,
    lowest: count,
    lowBed: b,
    bed: b,
    sawn: null,
  });
  if (gauge.sawn !== undefined) {
    const whole = gauge.courses !== undefined ? gauge.courses - 1 : Math.floor(height / pitch + 1e-9);
    const left = height - whole * pitch - bed;
    if (left > SAME_PLACE && left < unitHeight - SAME_PLACE) {
      const number = Math.min(gauge.sawn, whole + 1);
      return { ...even(whole + 1, bed), sawn: { number, unitHeight: left } };
    }
    return even(Math.max(1, whole), bed);
  }
  if (gauge.courses === undefined && gauge.lowest === undefined) {
    const count = easedCount(height, unitHeight, bed, bedLimits(wall));
    return count === null ? even(nearestCount(height, pitch), bed) : even(count, height / count - unitHeight);
  }
  const count = gauge.courses ?? nearestCount(height, pitch);
  const lowest = Math.min(gauge.lowest ?? count, count);
  const lowBed = bed + (height - count * pitch) / lowest;
  // A bed cannot be less than nothing: an impossible number of courses is laid at target and reported.
  if (!(lowBed > 0)) return even(count, bed);
  return { count, lowest, lowBed, bed: lowest === count ? lowBed : bed, sawn: null };
}

/**
 * The courses of a wall. With nothing said in `build.gauge`: the number of whole courses whose bed is inside
 * the limits and nearest its target, else the nearest whole number at the target bed (contract, Gauge).
 */
export function solveGauge(wall: SetWall): GaugeSolution {
  const spread = spreadFor(wall);
  const courses = layCourses(spread, wall.unitHeight);
  const limits = bedLimits(wall);
  const outside = courses
    .filter((c) =>
      c.number === 1
        ? !within(c.bed, limits.firstLeast, limits.firstMost)
        : !within(c.bed, limits.least, limits.most),
    )
    .map((c) => c.number);
  const short = wall.height - (courses.at(-1)?.top ?? 0);
  return {
    courses,
    count: spread.count,
    lowest: spread.lowest,
    sawn: spread.sawn?.number ?? null,
    short: Math.abs(short) < SAME_PLACE ? 0 : short,
    outside,
  };
}
