import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Bricks, HeaderBond, Pattern } from '../bonds/headerBond.js';
import { headerBondOf } from '../bonds/registry.js';
import type { EndSpec } from './ends.js';

/** The brick cut lengthwise that brings a header bond back beside its quoin header: half a header less a joint. */
export const closerLength = (wall: SetWall): number => (wall.unitWidth - wall.head) / 2;

/** The thinnest slip worth bedding beside a corner, mm: common practice. */
const THINNEST_SLIP = 40;

/**
 * The closer that brings a running bond back beside a return that is not a step of the bond, or null where the
 * return is one already, or where no piece worth laying would do it.
 */
export function cornerCloser(wall: SetWall): number | null {
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

function running(wall: SetWall, end: EndSpec, long: boolean, any: boolean): Pattern[] {
  const module = wall.unitLength + wall.head;
  const cycle = [wall.unitLength];
  if (end.legs) return [{ lead: [end.kind === 'own' ? end.legs.own : end.legs.shown], cycle }];
  if (end.kind === 'own') return [{ lead: [], cycle }];
  if (end.kind === 'return' && end.shows !== undefined) return [{ lead: [end.shows], cycle }];
  if (end.kind === 'return') {
    // Stack bond stands its perps over one another only with a closer; in the others it is the mason's to ask.
    const closer = wall.closers || wall.bond.step === 0 ? cornerCloser(wall) : null;
    return [{ lead: closer === null ? [wall.unitWidth] : [wall.unitWidth, closer], cycle }];
  }
  const { step } = wall.bond;
  const part = (s: number): Pattern => ({ lead: [s * module - wall.head], cycle });
  const whole: Pattern = { lead: [], cycle };
  if (step === 0) return [whole];
  if (!any) return [long ? whole : part(step)];
  return step === 1 / 2 ? [whole, part(step)] : [whole, part(step), part(1 - step)];
}

const bricksOf = (wall: SetWall): Bricks => ({
  stretcher: wall.unitLength,
  header: wall.unitWidth,
  half: wall.half,
  threeQuarter: 0.75 * (wall.unitLength + wall.head) - wall.head,
  closer: closerLength(wall),
});

function header(
  wall: SetWall,
  bond: HeaderBond,
  end: EndSpec,
  { long, headers }: CourseClass,
  any: boolean,
): Pattern[] {
  const bricks = bricksOf(wall);
  const [whole, short] = [bond.long(bricks), bond.short(bricks, headers)];
  if (end.kind === 'own') return [whole];
  if (end.kind === 'return')
    return [end.shows === undefined ? short : bond.against(bricks, headers, end.shows)];
  // A course of headers stops on one; the rest may stop either way, so that a length of half units closes.
  const both = long ? [whole, short] : [short, whole];
  return any && !headers ? both : both.slice(0, 1);
}

/** What a course is, beyond which end owns which corner. */
export interface CourseClass {
  /** At a free end it begins with a whole unit. */
  long: boolean;
  /** It is a course of headers, where the bond has such. */
  headers: boolean;
}

/** The ways a course may begin at an end, the best first. `any`: whatever closes the course will do. */
export function endPatterns(wall: SetWall, end: EndSpec, course: CourseClass, any: boolean): Pattern[] {
  const bond = headerBondOf(wall.bond.id);
  return bond ? header(wall, bond, end, course, any) : running(wall, end, course.long, any);
}
