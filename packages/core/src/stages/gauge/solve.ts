import { SAME_PLACE } from '../../measure/length.js';
import type { GaugeHelp } from '../../job/types.js';
import type { SetWall } from '../set-out/wall.js';
import {
  bedLimits,
  easedCount,
  evenSpread,
  layCourses,
  layMet,
  nearestCount,
  type Course,
  type Spread,
} from './courses.js';
import { fixedHeights } from './fixed.js';
import { changeAt, hiddenLimits, LEAST_SAWN_OFF, THINNEST_SAWN } from './limits.js';
import { hiddenLow } from './ways/lowest.js';
import { meetHeights, type MeetProblem, type MeetSolution } from './meet.js';

/** How the courses are got to the height: what was asked for, with every default decided. */
export interface GaugeSolution {
  courses: Course[];
  /** Courses up to the wall's height; those above belong to tops that rise past it. */
  count: number;
  /** Lowest beds that take the difference; equal to `count` when all are eased. */
  lowest: number;
  sawn: number | null;
  halfHigh: number | null;
  /** When each stretch between fixed heights was given its own gauge: how that was solved. */
  met: MeetSolution | null;
  /** Height stated less height reached, mm. Zero when the top course lands. */
  short: number;
  /** Beds outside the profile's limits, by course number. */
  outside: number[];
}

/** The wall's fixed heights as a problem for the solver. */
export function meetProblem(wall: SetWall, allow: readonly GaugeHelp[]): MeetProblem {
  const limits = bedLimits(wall);
  return {
    weights: wall.weights.gauge,
    unitHeight: wall.unitHeight,
    halfHigh: allow.includes('half-high') ? wall.halfHigh : null,
    sawn: allow.includes('sawn') ? { least: THINNEST_SAWN, most: wall.unitHeight - LEAST_SAWN_OFF } : null,
    bed: wall.bed,
    limits,
    outer: { ...limits, ...hiddenLimits(wall) },
    hiddenTo: wall.hiddenTo,
    change: (height) => changeAt(wall, height),
    heights: fixedHeights(wall),
  };
}

/**
 * Every fixed height met, or, when no gauge inside the limits meets all the musts together, as many as can be:
 * what is missed then counts as a wish not met, and is listed.
 */
export function meetWall(wall: SetWall, allow: readonly GaugeHelp[]): MeetSolution {
  const problem = meetProblem(wall, allow);
  const strict = meetHeights(problem);
  if (strict.courses.length > 0) return strict;
  const top = problem.heights.length - 1;
  return meetHeights({ ...problem, heights: problem.heights.map((h, i) => ({ ...h, must: i === top })) });
}

/** One course of another height among whole ones at even beds, or null when what is left suits no such course. */
function withOdd(wall: SetWall, whole: number, number: number, kind: 'half-high' | 'sawn'): Spread | null {
  const { height, unitHeight, bed } = wall;
  const place = Math.min(number, whole + 1);
  if (kind === 'half-high') {
    const odd = wall.halfHigh;
    if (odd === null) return null;
    const eased = (height - odd - whole * unitHeight) / (whole + 1);
    return eased > 0
      ? { ...evenSpread(whole + 1, eased), odd: { number: place, unitHeight: odd, kind } }
      : null;
  }
  const left = height - whole * (unitHeight + bed) - bed;
  if (!(left > SAME_PLACE && left < unitHeight - SAME_PLACE)) return null;
  return { ...evenSpread(whole + 1, bed), odd: { number: place, unitHeight: left, kind } };
}

function spreadFor(wall: SetWall): Spread {
  const { height, unitHeight, bed, gauge } = wall;
  const pitch = unitHeight + bed;
  const whole = gauge.courses !== undefined ? gauge.courses - 1 : Math.floor(height / pitch + 1e-9);
  if (gauge.sawn !== undefined)
    return withOdd(wall, whole, gauge.sawn, 'sawn') ?? evenSpread(Math.max(1, whole), bed);
  if (gauge.halfHigh !== undefined)
    return withOdd(wall, whole, gauge.halfHigh, 'half-high') ?? evenSpread(Math.max(1, whole), bed);
  if (gauge.courses === undefined && gauge.lowest === undefined) {
    const hid = hiddenLow(wall);
    if (hid) return { count: hid.count, lowest: hid.lowest, lowBed: hid.bed, bed, odd: null };
    const count = easedCount(height, unitHeight, bed, bedLimits(wall));
    return count === null
      ? evenSpread(nearestCount(height, pitch), bed)
      : evenSpread(count, height / count - unitHeight);
  }
  const count = gauge.courses ?? nearestCount(height, pitch);
  const lowest = Math.min(gauge.lowest ?? count, count);
  const lowBed = bed + (height - count * pitch) / lowest;
  // A bed cannot be less than nothing: an impossible number of courses is laid at target and reported.
  if (!(lowBed > 0)) return evenSpread(count, bed);
  return { count, lowest, lowBed, bed: lowest === count ? lowBed : bed, odd: null };
}

const within = (x: number, least: number, most: number): boolean =>
  x >= least - SAME_PLACE && x <= most + SAME_PLACE;

function outsideLimits(wall: SetWall, courses: readonly Course[]): number[] {
  const limits = bedLimits(wall);
  const hidden = hiddenLimits(wall);
  const sound = (c: Course): boolean =>
    c.number === 1
      ? within(c.bed, limits.firstLeast, limits.firstMost)
      : within(c.bed, limits.least, limits.most) ||
        (c.bottom + c.bed <= wall.hiddenTo && within(c.bed, hidden.least, hidden.most));
  return courses.filter((c) => !sound(c)).map((c) => c.number);
}

/** Courses at the target bed for the gables and other tops that rise past the wall's height. */
function above(wall: SetWall, level: readonly Course[]): Course[] {
  const highest = Math.max(0, ...wall.tops.flatMap((t) => t.segments.flatMap((s) => [s.left, s.right])));
  const from = level.at(-1)?.top ?? 0;
  const pitch = wall.unitHeight + wall.bed;
  const count = Math.max(0, Math.ceil((highest - from) / pitch - 1e-9));
  return Array.from({ length: count }, (_, k): Course => {
    const bottom = from + k * pitch;
    const number = level.length + k + 1;
    return { number, bottom, top: bottom + pitch, bed: wall.bed, unitHeight: wall.unitHeight, kind: 'whole' };
  });
}

/**
 * The courses of a wall. With nothing said in `build.gauge`: the number of whole courses whose bed is inside
 * the limits and nearest its target, else the nearest whole number at the target bed (contract, Gauge).
 * With `meet`: a gauge for each stretch between fixed heights, or, when none keeps them, as if it were not asked.
 */
export function solveGauge(wall: SetWall): GaugeSolution {
  const met = wall.gauge.meet ? meetWall(wall, wall.gauge.allow ?? []) : null;
  const solved = met !== null && met.courses.length > 0;
  const spread = spreadFor(wall);
  const level = solved ? layMet(met.courses) : layCourses(spread, wall.unitHeight);
  const courses = [...level, ...above(wall, level)];
  const short = wall.height - (level.at(-1)?.top ?? 0);
  const numberOf = (kind: Course['kind']): number | null =>
    courses.find((c) => c.kind === kind)?.number ?? null;
  return {
    courses,
    count: level.length,
    lowest: solved ? level.length : spread.lowest,
    sawn: numberOf('sawn'),
    halfHigh: numberOf('half-high'),
    met,
    short: Math.abs(short) < SAME_PLACE ? 0 : short,
    outside: outsideLimits(wall, level),
  };
}
