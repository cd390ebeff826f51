import { SAME_PLACE, toMillimetres, type Mm } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import type { MetCourse } from './meet.js';

export interface Course {
  number: number;
  /** Underside of its bed, mm above the wall's base. */
  bottom: Mm;
  top: Mm;
  bed: Mm;
  unitHeight: Mm;
  kind: CourseKind;
}

export type CourseKind = 'whole' | 'half-high' | 'sawn';

export interface BedLimits {
  least: Mm;
  most: Mm;
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
export const gaugeSlack = (wall: SetWall): Mm => {
  const { bed } = wall.profile;
  const up = toMillimetres(bed.most) - wall.bed;
  return up > SAME_PLACE ? up : Math.max(SAME_PLACE, wall.bed - toMillimetres(bed.least));
};

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
export const nearestCount = (height: Mm, pitch: Mm): number =>
  Math.max(1, Math.ceil(height / pitch - 0.5 - 1e-9));

export interface Spread {
  count: number;
  lowest: number;
  lowBed: number;
  bed: Mm;
  /** One course of another height, or null. */
  odd: { number: number; unitHeight: number; kind: 'half-high' | 'sawn' } | null;
}

/** Every bed alike. */
export const evenSpread = (count: number, bed: number): Spread => ({
  count,
  lowest: count,
  lowBed: bed,
  bed,
  odd: null,
});

/** Courses from a spread, every height by multiplication from the base so that nothing accumulates. */
export function layCourses(spread: Spread, unitHeight: number): Course[] {
  const courses: Course[] = [];
  const lost = spread.odd ? unitHeight - spread.odd.unitHeight : 0;
  for (let k = 1; k <= spread.count; k++) {
    const below = k - 1;
    const low = Math.min(below, spread.lowest);
    const odd = spread.odd?.number === k ? spread.odd : null;
    const bottom =
      low * (unitHeight + spread.lowBed) +
      (below - low) * (unitHeight + spread.bed) -
      (spread.odd && below >= spread.odd.number ? lost : 0);
    const bed = k <= spread.lowest ? spread.lowBed : spread.bed;
    const height = odd?.unitHeight ?? unitHeight;
    courses.push({
      number: k,
      bottom,
      top: bottom + bed + height,
      bed,
      unitHeight: height,
      kind: odd?.kind ?? 'whole',
    });
  }
  return courses;
}

/** Courses of a solved pole. Beds alike stand at multiples from where they begin, so nothing accumulates. */
export function layMet(met: readonly MetCourse[]): Course[] {
  let [base, since] = [0, 0];
  return met.map((c, k) => {
    const before = met[k - 1];
    if (before && (before.bed !== c.bed || before.unitHeight !== c.unitHeight)) {
      base += (k - since) * (before.bed + before.unitHeight);
      since = k;
    }
    const bottom = base + (k - since) * (c.bed + c.unitHeight);
    return { number: k + 1, bottom, top: bottom + c.bed + c.unitHeight, ...c };
  });
}
