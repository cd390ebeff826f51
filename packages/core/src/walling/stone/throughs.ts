import type { Mm } from '../../measure/length.js';
import type { ThroughRow } from '../../stages/set-out/stone.js';
import { lengthOf, sectionAlong, widthAt, type Stretch } from './section.js';

/** A hole in the wall, as far as stones go round it. */
export interface Hole {
  from: Mm;
  to: Mm;
  low: Mm;
  high: Mm;
}

export interface Throughs {
  at: Mm;
  count: number;
  /** As long as the wall is wide there: of a wall that is not alike along it, the longest. */
  length: Mm;
  /** Where each lies along the run. */
  places: Mm[];
}

const SAME = 1e-6;

/** The first lies half a spacing in, and those of the next row half a spacing on: no two rows have a line up the wall. */
function placesOf(length: Mm, every: Mm, row: number): Mm[] {
  const places: Mm[] = [];
  for (let at = every / 2 + (row % 2) * (every / 2); at < length - SAME; at += every) places.push(at);
  return places;
}

/** Rows of throughs, from the lowest up. None over the top of the wall, and none in a hole. */
export function throughsIn(
  stretches: readonly Stretch[],
  rows: readonly ThroughRow[],
  holes: readonly Hole[] = [],
): Throughs[] {
  return [...rows]
    .sort((a, b) => a.at - b.at)
    .map(({ at, every }, row) => {
      const places = placesOf(lengthOf(stretches), every, row).filter(
        (x) =>
          sectionAlong(stretches, x).height > at + SAME &&
          !holes.some((h) => x > h.from - SAME && x < h.to + SAME && at > h.low - SAME && at < h.high + SAME),
      );
      const length = Math.max(0, ...places.map((x) => widthAt(sectionAlong(stretches, x), at)));
      return { at, count: places.length, length, places };
    });
}

/** Rows by a spacing up the wall: the first half of it up, as the first along is half of it in. */
export function rowsUp(stretches: readonly Stretch[], along: Mm, up: Mm): ThroughRow[] {
  const high = Math.max(0, ...stretches.flatMap((s) => s.ends.map((e) => e.height)));
  const rows: ThroughRow[] = [];
  for (let at = up / 2; at < high - SAME; at += up) rows.push({ at, every: along });
  return rows;
}

/** Copes stand on edge from the low end up: so many as cover it. */
export const copesOn = (length: Mm, each: Mm): number => Math.ceil(length / each - SAME);
