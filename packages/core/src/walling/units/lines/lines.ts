import { toMillimetres, type Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { CourseClass, Pattern } from '../bonds/bondRule.js';
import type { EndSpec } from './ends.js';

export type Parity = 'odd' | 'even';

/**
 * The perps of one course of a run as if no opening broke it. A place `u` is the left edge of the piece that
 * starts there, so the last entry is the end of the course plus one joint. Pieces are `u[i]` to `u[i+1] − joint`.
 */
export interface PerpLine {
  u: number[];
  joint: Mm;
  /** The first or last piece belongs to the run round the corner: it only shows its end here. */
  shownAtStart: boolean;
  shownAtEnd: boolean;
  /** Lengths of the pieces its ends begin with that are not the bond's own: what shows of another run, a closer. */
  leads?: { start: readonly number[]; end: readonly number[] };
  /** Laid panel by panel between reveals, joints eased in each: and the opening each panel's cuts are for, −1 for none. */
  panels?: readonly { from: number; to: number; opening: number }[];
  /** Openings whose jambs stand off the run's own perps, so that the panels were laid to them. */
  off?: readonly number[];
  /** The run's own perps, as if no opening asked anything of them: where an opening may be brought to. */
  own?: PerpLine;
  /** How courses on this line are laid beside openings, where that was found together with the line. */
  beside?: readonly BesideLine[];
  /** Where movement joints part the run: each section with its own line. */
  sections?: readonly { from: number; to: number; line: PerpLine }[];
  /** A course all of headers: a jamb on one of its perps would saw the stretchers above and below. */
  headers?: true;
}

/** The edges of a course that stops at some of the openings in a length of its run, and at no others there. */
export interface BesideLine {
  from: Mm;
  to: Mm;
  /** All openings in that length, and those the course stops at, by their index in the wall. */
  among: readonly number[];
  stops: readonly number[];
  u: readonly number[];
}

/** The lines of a run, one for each course of the bond's period: course n lies on line (n − 1) mod period. */
export type RunLines = PerpLine[];

export const lineOf = (lines: RunLines, course: number): PerpLine =>
  lines[(course - 1) % lines.length] as PerpLine;

export interface Ends {
  start: EndSpec;
  end: EndSpec;
}

/** One course's ends, and what kind of course it is. */
export interface ClassedEnds {
  ends: Ends;
  course: CourseClass;
}

export interface HeadLimits {
  least: Mm;
  most: Mm;
}

export function headLimits(wall: SetWall): HeadLimits {
  return {
    least: Math.min(toMillimetres(wall.profile.head.least), wall.head),
    most: Math.max(toMillimetres(wall.profile.head.most), wall.head),
  };
}

/** The least piece worth laying, mm: the profile's, but a half of this wall's own unit and joint is never too short. */
export const leastPieceOf = (wall: SetWall): Mm =>
  Math.min(toMillimetres(wall.profile.leastPiece(wall.unit)) - judgedNominal(wall), wall.half);

/** Where lengths are nominal a piece is judged with its joint, as it is said: a 4 in piece is 3 5/8 in long. A half is a half already. */
const judgedNominal = ({ nominal, unit, head }: SetWall): Mm =>
  nominal && unit.family === 'block' ? head : 0;

/** A sawn piece thinner than this cannot be held or bedded: common practice. */
export const THINNEST_PIECE = 25;

/** A unit and its joint. */
export const moduleOf = (wall: SetWall): Mm => wall.unitLength + wall.head;

export interface Span {
  from: Mm;
  to: Mm;
}

export const pieceOf = (p: Pattern, i: number): Mm =>
  (i < p.lead.length ? p.lead[i] : p.cycle[(i - p.lead.length) % p.cycle.length]) ?? 0;

/** The place in an ascending list of the first that is not less than `x`. Written out: it is asked for by the million. */
export function firstFrom(list: readonly number[], x: number): number {
  let low = 0;
  for (let high = list.length; low < high;) {
    const middle = (low + high) >> 1;
    if ((list[middle] as number) < x) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** What of an ascending list lies between `from` and `to`, neither counted. */
export function between(list: readonly number[], from: number, to: number): number[] {
  let first = firstFrom(list, from);
  while (first < list.length && (list[first] as number) <= from) first++;
  return list.slice(first, Math.max(first, firstFrom(list, to)));
}

/** What of an ascending list lies from `from` to `to`, both counted. */
export function within(list: readonly number[], from: number, to: number): number[] {
  const first = firstFrom(list, from);
  let end = first;
  while (end < list.length && (list[end] as number) <= to) end++;
  return list.slice(first, end);
}
