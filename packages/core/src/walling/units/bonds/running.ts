import { SAME_PLACE, toMillimetres, type Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondRule, CourseAt, Pattern, RevealOf, Strictness } from './bondRule.js';
import type { EndSpec } from '../lines/ends.js';

/** The thinnest slip worth bedding beside a corner, mm: common practice. */
const THINNEST_SLIP = 40;

/**
 * The closer that brings a running bond back beside a return that is not a step of the bond, or null where the
 * return is one already, or where no piece worth laying would do it.
 */
export function cornerCloser(wall: SetWall): Mm | null {
  const module = wall.unitLength + wall.head;
  const shown = wall.unitWidth + wall.head;
  const { step } = wall.bond;
  const steps = step === 0 ? [1, 2] : [step, 1 - step, 1 + step, 2 - step];
  const found = steps
    .map((s) => s * module - shown - wall.head)
    .filter((c) => c > -wall.head - SAME_PLACE)
    .sort((a, b) => a - b);
  if (found.some((c) => Math.abs(c + wall.head) < wall.head)) return null;
  return found.find((c) => c >= THINNEST_SLIP && c <= wall.unitLength + SAME_PLACE) ?? null;
}

/** Block is made in lengths of so many inches besides its own, for corners whose return is no half of it, mm: common practice. */
const MADE_IN_STEPS_OF = 101.6;

/** Whether the closer beside a corner is a unit to buy: 4 in and 12 in block, which every yard that sells 12 in and 6 in wall has. */
export function isMadeCloser(wall: SetWall, length: Mm): boolean {
  const steps = (length + wall.head) / MADE_IN_STEPS_OF;
  return (
    wall.unit.shells !== null &&
    wall.profile.id === 'us' &&
    Math.abs(steps - Math.round(steps)) < 0.01 &&
    Math.round(steps) > 0
  );
}

/** What stands beside another run's unit: what it shows, and a closer where there is one. */
function beside(wall: SetWall, end: EndSpec, stacked: boolean): number[] {
  if (end.shows !== undefined) return [end.shows];
  // Stack bond stands its perps over one another only with a closer; in the others it is the mason's to ask.
  const closer = wall.closers || stacked ? cornerCloser(wall) : null;
  return closer === null ? [wall.unitWidth] : [wall.unitWidth, closer];
}

/**
 * What a course that goes into another wall ends with there: nothing but whole units, or a half before them where the perp of
 * a whole one would lap too little over the joint of the courses that stop at that wall's face.
 */
function goingIn(wall: SetWall, { shows: past }: EndSpec): number[] {
  if (past === undefined) return [];
  const module = wall.unitLength + wall.head;
  const off = (lead: number): number => {
    const by = (past - lead + 2 * module) % module;
    return Math.min(by, module - by);
  };
  const laps = off(wall.unitLength) >= toMillimetres(wall.profile.leastLap(wall.unit)) - SAME_PLACE;
  return laps || off(wall.half) <= off(wall.unitLength) ? [] : [wall.half];
}

/** Every unit lengthwise, each course so much of a unit on from the one below; nought for stack bond. Common practice. */
export function running(step: number): BondRule {
  const stacked = step === 0;
  const part = (wall: SetWall, s: number): number => s * (wall.unitLength + wall.head) - wall.head;

  const begins = (wall: SetWall, end: EndSpec, { long }: { long: boolean }, any: boolean): Pattern[] => {
    const cycle = [wall.unitLength];
    const led = (...lead: number[]): Pattern => ({ lead, cycle });
    if (end.legs) return [led(end.kind === 'own' ? end.legs.own : end.legs.shown)];
    if (end.kind === 'own') return [led(...goingIn(wall, end))];
    if (end.kind === 'return') return [led(...beside(wall, end, stacked))];
    if (stacked) return [led()];
    if (!any) return [long ? led() : led(part(wall, step))];
    return [...new Set([step, 1 - step])].reduce((list, s) => [...list, led(part(wall, s))], [led()]);
  };

  const fixed = (
    wall: SetWall,
    end: EndSpec,
    { first, long, atStart }: CourseAt,
    keep: Strictness,
  ): number[] => {
    if (end.kind === 'return') return end.legs ? [end.legs.shown] : beside(wall, end, stacked);
    if (keep === 'returns') return [];
    if (end.kind === 'own') return end.legs ? [end.legs.own] : [...goingIn(wall, end), wall.unitLength];
    // A free end: the first course begins as asked; in half bond the rest may begin and end as costs least.
    if (!atStart || (!first && step === 1 / 2)) return [];
    return [long || stacked ? wall.unitLength : part(wall, step)];
  };

  // A whole unit and a half by turns, whichever begins; other steps have no half to stand at a reveal.
  const reveals = (wall: SetWall, courses: readonly unknown[]): RevealOf[][] =>
    step !== 1 / 2
      ? []
      : [0, 1].map((whole) =>
          courses.map((_, i): RevealOf => {
            const half = i % 2 !== whole;
            const end: EndSpec = { kind: 'own', legs: half ? { own: wall.half, shown: wall.half } : null };
            return { before: end, after: end, astride: half ? wall.unitLength : null };
          }),
        );

  return {
    courseClass: (_course, _corner, turn) => ({ long: turn, headers: false }),
    begins,
    fixed,
    reveals,
  };
}
