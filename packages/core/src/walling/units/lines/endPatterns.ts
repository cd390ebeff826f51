import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../setout/wall.js';
import type { EndSpec } from './ends.js';

/**
 * How a course goes on from one of its ends, as piece lengths: `lead` once, then `cycle` over and over. The first
 * of a lead may be the end of another run's unit.
 */
export interface Pattern {
  lead: number[];
  cycle: number[];
}

/** The brick cut lengthwise that brings a header bond back beside its quoin header: half a header less a joint. */
export const closerLength = (wall: SetWall): number => (wall.unitWidth - wall.head) / 2;

const threeQuarter = (wall: SetWall): number => 0.75 * (wall.unitLength + wall.head) - wall.head;

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

function header(wall: SetWall, end: EndSpec, long: boolean, headers: boolean, any: boolean): Pattern[] {
  const [l, w, q] = [wall.unitLength, wall.unitWidth, closerLength(wall)];
  // Against a course that goes through an inside corner, half over its bricks.
  if (end.kind === 'return' && end.shows !== undefined) return [against(wall, end.shows, headers)];
  const of = (isLong: boolean): Pattern => {
    switch (wall.bond.id) {
      case 'flemish':
        return isLong ? { lead: [], cycle: [l, w] } : { lead: [w, q], cycle: [l, w] };
      case 'flemish-garden':
        return isLong
          ? { lead: [], cycle: [l, l, l, w] }
          : { lead: [w, threeQuarter(wall), w], cycle: [l, l, l, w] };
      default:
        if (isLong) return { lead: [], cycle: [l] };
        return headers ? { lead: [w, q], cycle: [w] } : { lead: [w], cycle: [l] };
    }
  };
  if (end.kind === 'own') return [of(true)];
  if (end.kind === 'return') return [of(false)];
  // A course of headers stops on one; the rest may stop either way, so that a length of half units closes.
  return any && !headers ? [of(long), of(!long)] : [of(long)];
}

/**
 * A course that begins at an inside corner against one that goes through it, `through` mm wide: there is no quoin header of
 * its own, so other pieces bring it half over the bricks of the course below.
 */
function against(wall: SetWall, through: number, headers: boolean): Pattern {
  const [l, w, q] = [wall.unitLength, wall.unitWidth, closerLength(wall)];
  switch (wall.bond.id) {
    case 'flemish':
      return { lead: [through, threeQuarter(wall), w], cycle: [l, w] };
    case 'flemish-garden':
      return { lead: [through, q, w], cycle: [l, l, l, w] };
    default:
      return headers ? { lead: [through, q], cycle: [w] } : { lead: [through, wall.half], cycle: [l] };
  }
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
  return wall.bond.family === 'header'
    ? header(wall, end, course.long, course.headers, any)
    : running(wall, end, course.long, any);
}
