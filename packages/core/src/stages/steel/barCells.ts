import { firstThat } from '../../measure/inOrder.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { SetWall } from '../set-out/wall.js';
import { pourLimit } from '../set-out/reinforcement.js';
import { spaceFor } from '../../tables/grout.js';
import { middleOf, type Shaft } from './shafts.js';

/** The shafts of a run that are its own: a corner's cell belongs to the run that begins there. */
export const ownShafts = (wall: SetWall, run: BondedRun, shafts: readonly Shaft[]): Shaft[] =>
  run.ends.end.other === null ? [...shafts] : shafts.filter((c) => middleOf(c) < run.to - wall.unitWidth);

/** Shafts one over another at one place, the nearest first for each height. They come in order along the run. */
export function stackAt(shafts: readonly Shaft[], x: number, reach: number): Shaft[] {
  const off = (c: Shaft): number => Math.abs(middleOf(c) - x);
  let i = firstThat(shafts, (c) => c.to >= x - reach);
  const near: Shaft[] = [];
  for (; i < shafts.length && (shafts[i] as Shaft).from < x + reach; i++) {
    const c = shafts[i] as Shaft;
    if (off(c) < reach) near.push(c);
  }
  if (near.length < 2) return near;
  near.sort((a, b) => off(a) - off(b));
  const stack: Shaft[] = [];
  for (const c of near) if (stack.every((s) => c.low > s.high || c.high < s.low)) stack.push(c);
  return stack;
}

/** Whether masonry stands in a course at a place. */
const standsAt = (run: BondedRun, i: number, x: number): boolean => {
  const within = (b: { from: number; to: number }): boolean => x > b.from && x < b.to;
  return (run.rows[i]?.bedded ?? []).some(within) || (run.rows[i]?.shown ?? []).some(within);
};

/** What is asked of the cells of a run when a bar is to go up one. */
export interface BarCells {
  /** Whether masonry stands in a course, by its place in the list, at a place along the run. */
  masonryAt: (course: number, x: number) => boolean;
  /** Whether a bar in a cell goes all the way up through what stands there. */
  whole: (c: Shaft) => boolean;
  /** Whether a cell is too tight for grout poured down it as high as it goes, or as is poured at once. */
  tight: (c: Shaft) => boolean;
}

export function barCells(wall: SetWall, run: BondedRun): BarCells {
  const masonryAt = (i: number, x: number): boolean => i >= 0 && i < run.rows.length && standsAt(run, i, x);
  const goesUp = new Map<Shaft, boolean>();
  const whole = (c: Shaft): boolean => {
    let is = goesUp.get(c);
    if (is === undefined) {
      const x = middleOf(c);
      is = !masonryAt(c.high + 1, x) && !masonryAt(c.low - 1, x);
      goesUp.set(c, is);
    }
    return is;
  };
  const pour = pourLimit(wall);
  const tight = (c: Shaft): boolean => {
    const space = spaceFor(wall.grout?.aggregate ?? 'fine', Math.min(c.top - c.bottom, pour));
    return space !== null && c.to - c.from < space.cell[0] - 0.5;
  };
  return { masonryAt, whole, tight };
}
