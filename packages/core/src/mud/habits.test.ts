import { expect, test } from '@jest/globals';
import { spreadAhead, strikeWindow } from './habits.js';

test('mud is spread four feet ahead for block, and four bricks for brick (common practice)', () => {
  expect(spreadAhead('block', 390, 'us')).toBeCloseTo(1219.2, 6);
  expect(spreadAhead('block', 440, 'metric')).toBe(1200);
  expect(spreadAhead('brick', 215, 'metric')).toBe(860);
});

// Common practice: 20–90 min, hot 10–30, cold 2–4 h, lime 4–24 h.
test.each([
  ['cement', 18, { least: 20, most: 90 }],
  ['cement', null, { least: 20, most: 90 }],
  ['cement', 36, { least: 10, most: 30 }],
  ['cement', 4, { least: 120, most: 240 }],
  ['lime', 18, { least: 240, most: 1440 }],
  ['earth', 18, null],
] as const)('%s at %s °C', (binds, celsius, wanted) => {
  expect(strikeWindow(binds, celsius)).toEqual(wanted);
});
