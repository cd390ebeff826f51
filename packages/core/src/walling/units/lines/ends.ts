import type { Mm } from '../../../measure/length.js';
import { isTangent } from '../../../stages/set-out/line.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { laidDepth } from '../leaves/depth.js';

/**
 * How a run's course meets what stands at its end:
 * `free`: nothing, the course stops; `own`: its own unit turns the corner; `return`: the other run's unit shows.
 */
export type EndKind = 'free' | 'own' | 'return';

export interface RunEnd {
  /** The run round the corner, or null at a free end. */
  other: number | null;
  odd: EndKind;
  even: EndKind;
  /** How far the corner unit stands past the outside face: at an inside corner, what goes through it. */
  past: Mm;
  /** How much of the course's length another takes where that is not one unit's width: the wall a tee goes into, both wythes of a bonded one, mm. */
  shows?: number;
  /** The legs of the special at a corner that is not square: on its own face and round the corner, mm. */
  legs: Legs | null;
}

export interface Legs {
  own: number;
  shown: number;
  /** The corner goes in. */
  inside?: true;
}

/** One end of one course: who has it, and the special it takes there. */
export interface EndSpec {
  kind: EndKind;
  legs: Legs | null;
  shows?: number;
  /** What it begins with at the reveal of an opening, where its bond says so: pieces once, then others over and over. */
  reveal?: { lead: readonly number[]; cycle: readonly number[] };
}

export const endSpec = (end: RunEnd, parity: 'odd' | 'even'): EndSpec => ({
  kind: end[parity],
  legs: end.legs,
  ...(end.shows === undefined ? {} : { shows: end.shows }),
});

/** How much of a course another run's work takes at an end where it goes through, mm. */
export const shownWidth = (wall: SetWall, { shows, legs }: Pick<EndSpec, 'shows' | 'legs'>): Mm =>
  shows ?? legs?.shown ?? wall.unitWidth;

export interface RunEnds {
  start: RunEnd;
  end: RunEnd;
}

export const FREE: RunEnd = { other: null, odd: 'free', even: 'free', past: 0, legs: null };

export const isSquare = (turn: number): boolean => Math.abs(Math.abs(turn) - 90) < 1e-6;

/**
 * The special of a corner that is not square: a three-quarter on its own face and a quarter round the corner, so
 * that the perps of the two faces stand half a unit apart. Common practice.
 */
function squintLegs(wall: SetWall, turn: number): Legs {
  const module = wall.unitLength + wall.head;
  const inside = turn < 0 ? { inside: true as const } : {};
  return { own: 0.75 * module - wall.head, shown: 0.25 * module - wall.head, ...inside };
}

/**
 * Who takes each corner. In turn (the contract's rule): the earlier run on odd courses, so at a closing corner
 * the last run. In pairs: every second run takes both of its corners, which needs an even number of runs round
 * a building.
 */
export function runEnds(wall: SetWall): RunEnds[] {
  const ends: RunEnds[] = wall.runs.map(() => ({ start: FREE, end: FREE }));
  const pairs = cornersTaken(wall) === 'in-pairs';
  for (const corner of wall.line.corners) {
    const [before, after] = [ends[corner.from], ends[corner.to]];
    if (!before || !after || isTangent(corner.turn)) continue;
    const earlierOnOdd = pairs ? corner.from % 2 === 0 : true;
    const legs = isSquare(corner.turn) ? null : squintLegs(wall, corner.turn);
    const past = corner.turn < 0 && !legs ? laidDepth(wall) : 0;
    const shows = past > wall.unitWidth ? { shows: past } : {};
    const [odd, even]: [EndKind, EndKind] = earlierOnOdd ? ['own', 'return'] : ['return', 'own'];
    before.end = { other: corner.to, odd, even, past, ...shows, legs };
    after.start = { other: corner.from, odd: even, even: odd, past, ...shows, legs };
  }
  const last = ends.at(-1);
  if (wall.goesIn && last?.end.other === null && wall.bond.family === 'running') {
    const { past, on } = wall.goesIn;
    const [odd, even]: [EndKind, EndKind] = on === 'odd' ? ['own', 'return'] : ['return', 'own'];
    last.end = { other: null, odd, even, past, shows: past, legs: null };
  }
  return ends;
}

/**
 * How the corners are in fact taken. A course of headers has headers at both its ends, so a header bond takes its
 * corners in pairs wherever the line lets it.
 */
export function cornersTaken(wall: SetWall): SetWall['corners'] {
  const header = wall.bond.family === 'header' && (!wall.line.closed || canPair(wall));
  return header || (wall.corners === 'in-pairs' && canPair(wall)) ? 'in-pairs' : 'in-turn';
}

export const canPair = (wall: SetWall): boolean =>
  wall.line.closed && wall.runs.length % 2 === 0 && wall.line.corners.every((c) => isSquare(c.turn));
