import { expect, test } from '@jest/globals';
import type { Standing } from '../../record/fold.js';
import type { BatchClock } from './clocks.js';
import { learnedFrom } from './learned.js';

const clock = (
  why: 'used' | 'thrown' | 'dried' | null,
  minutes: number,
  left: number | null = null,
  volume: number | null = 0.1,
): BatchClock => ({
  id: String(minutes),
  wall: null,
  number: 1,
  mix: 'cement-lime-s',
  name: 'S',
  volume,
  date: '2026-07-01',
  measures: null,
  mixed: 0,
  dies: 9e9,
  retemper: true,
  ended: why && { at: minutes * 60_000, why, left },
});

test('what was thrown away, with its spread, and how long a batch lasted', () => {
  const found = learnedFrom([
    clock('used', 50),
    clock('used', 70),
    clock('thrown', 140, 0.05),
    clock('thrown', 150, null),
    clock('dried', 90),
    clock('thrown', 100, 0.01, null),
    clock(null, 0),
  ]);
  expect(found.batches).toBe(6);
  expect(found.enough).toBe(true);
  expect(found.dried).toBe(1);
  // Of two used up nothing, of one half; of the rest nobody knows how much.
  expect(found.thrown?.mean).toBeCloseTo(0.5 / 3, 9);
  expect([found.thrown?.least, found.thrown?.most]).toEqual([0, 0.5]);
  expect(found.usedUp).toEqual({ mean: 60, least: 50, most: 70 });
});

test('few teach nothing, and none nothing at all', () => {
  expect(learnedFrom([clock('used', 50)]).enough).toBe(false);
  expect(learnedFrom([])).toEqual({
    batches: 0,
    thrown: null,
    usedUp: null,
    diedAt: null,
    laid: null,
    dried: 0,
    enough: false,
  });
});

test('what batches laid, day by day, and how soon one was dead', () => {
  const laid = (at: string, units: number, wall = 'w') =>
    ({ id: at, kind: 'course-laid', wall, run: 0, course: 1, units, happened: at, by: 'Ann' }) as Standing;
  const batch = (
    date: string,
    measures: number | null,
    why: 'used' | 'dried' | null = 'used',
    mix = 'n',
  ) => ({
    ...clock(why, 60),
    wall: 'w',
    date,
    measures,
    mix,
  });
  const clocks = [
    batch('2026-07-01', 6),
    batch('2026-07-01', 3, 'dried'),
    batch('2026-07-02', 6),
    // Still on the boards; and nobody said what went in.
    batch('2026-07-03', 6, null),
    batch('2026-07-04', null),
    batch('2026-07-05', 6, 'used', 'other'),
  ];
  const entries = [
    laid('2026-07-01T09:00:00Z', 120),
    laid('2026-07-01T10:00:00Z', 60),
    laid('2026-07-01T10:00:00Z', 500, 'another'),
    laid('2026-07-02T09:00:00Z', 150),
    laid('2026-07-03T09:00:00Z', 150),
    laid('2026-07-04T09:00:00Z', 150),
    laid('2026-07-05T09:00:00Z', 600),
  ];
  const found = learnedFrom(clocks, entries, 'n');
  expect(found.laid).toEqual({
    days: 2,
    measures: 15,
    units: 330,
    spread: { mean: 22.5, least: 20, most: 25 },
  });
  expect(found.diedAt).toEqual({ mean: 60, least: 60, most: 60 });
  expect(learnedFrom(clocks, [], 'n').laid).toBeNull();
});
