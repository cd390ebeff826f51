import type { Shaft } from './shafts.js';
import { fewestBetween } from './fewest.js';

/** A cell a storey high, its middle at `at` and so wide along the run. */
const cell = (at: number, wide = 120): Shaft => ({
  run: 0,
  from: at - wide / 2,
  to: at + wide / 2,
  low: 0,
  high: 9,
  bottom: 0,
  top: 2000,
});

const whole = (): boolean => true;
const tight = (c: Shaft): boolean => c.to - c.from < 51;
/** How far a place is off the grid of 800 that bars stand on. */
const grid = (x: number): number => Math.min(x % 800, 800 - (x % 800));

const barsAt = (cells: readonly Shaft[], to: number): number[] =>
  fewestBetween(0, to, cells, whole, { most: 816, grid, tight }).chosen.map((c) => (c.from + c.to) / 2);

test('of cells that serve alike a bar takes the one on the grid', () => {
  expect(barsAt([cell(600), cell(800), cell(1000)], 1400)).toEqual([800]);
});

test('a cell too tight for its grout is passed over for a roomier one, off the grid as it is', () => {
  expect(barsAt([cell(600), cell(800, 41), cell(1000, 41)], 1400)).toEqual([600]);
});

test('no bar is added, and no gap left too wide, for a tight cell’s sake', () => {
  expect(barsAt([cell(400), cell(800, 41), cell(1200)], 1600)).toEqual([800]);
  expect(fewestBetween(0, 1400, [cell(700, 41)], whole, { most: 816, grid, tight }).gaps).toEqual([]);
});
