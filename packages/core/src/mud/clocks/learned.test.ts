import { expect, test } from '@jest/globals';
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
  expect(learnedFrom([])).toEqual({ batches: 0, thrown: null, usedUp: null, dried: 0, enough: false });
});
