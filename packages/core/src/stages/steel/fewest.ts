import { middleOf, type Shaft } from './shafts.js';

/**
 * What a bar more costs against another: one that cannot go up, each mm too far apart, a cell too tight for its grout. A
 * bar moves to a roomier cell, but none is added for it.
 */
const PRICE = { bar: 1, broken: 40, tooFar: 10, tight: 0.5, offGrid: 0.001 };

/** What the cells between two places are chosen by: the widest gap, how far a place is off the grid, which cells are tight. */
export interface ChooseBy {
  most: number;
  grid: (x: number) => number;
  tight: (c: Shaft) => boolean;
}

/**
 * The fewest bars that stand between two places with no gap over `most`, snapped to cells; of those that are as few in
 * cells with room for their grout, and nearest the grid. Shortest way from cell to cell. What no cell can help is left as
 * wide as it must be.
 */
export function fewestBetween(
  from: number,
  to: number,
  cells: readonly Shaft[],
  whole: (c: Shaft) => boolean,
  { most, grid, tight }: ChooseBy,
): { chosen: Shaft[]; gaps: [number, number][] } {
  const inside = cells.filter((c) => middleOf(c) > from + 1 && middleOf(c) < to - 1);
  const places = [from, ...inside.map(middleOf), to];
  const cost = places.map(() => Infinity);
  const before = places.map(() => -1);
  cost[0] = 0;
  for (let k = 1; k < places.length; k++) {
    const x = places[k] as number;
    const own = inside[k - 1];
    const price =
      k === places.length - 1 || !own
        ? 0
        : PRICE.bar +
          (whole(own) ? 0 : PRICE.broken) +
          (tight(own) ? PRICE.tight : 0) +
          PRICE.offGrid * grid(x);
    for (let i = k - 1; i >= 0; i--) {
      const gap = x - (places[i] as number);
      const c = (cost[i] as number) + price + (gap > most ? PRICE.tooFar * (gap - most) : 0);
      if (c < (cost[k] as number) - 1e-9) {
        cost[k] = c;
        before[k] = i;
      }
      // Further back every gap is too wide, and a cell between would be nearer.
      if (gap > 3 * most) break;
    }
  }
  const chosen: Shaft[] = [];
  const gaps: [number, number][] = [];
  for (let k = places.length - 1; k > 0;) {
    const i = before[k] as number;
    if (i < 0) break;
    if ((places[k] as number) - (places[i] as number) > most)
      gaps.push([places[i] as number, places[k] as number]);
    if (i > 0) chosen.unshift(inside[i - 1] as Shaft);
    k = i;
  }
  return { chosen, gaps };
}
