import type { OneWall } from './jobs.js';

/** Adobes 400 square and 100 high, beds and head joints of 20. */
export const SQUARE = [
  { id: 'square', family: 'adobe' as const, actual: { length: 400, height: 100, width: 400 } },
];

/** A hut of them of 4.600 by 3.760 m outside, twenty courses of 120. */
export const ADOBE_HUT: OneWall = {
  profile: 'earth',
  show: 'mm',
  lengths: 'actual',
  unit: 'square',
  line: [
    { run: 4600 },
    { turn: 90 },
    { run: 3760 },
    { turn: 90 },
    { run: 4600 },
    { turn: 90 },
    { run: 3760 },
    { turn: 90 },
  ],
  height: 2400,
  build: { bed: 20, head: 20 },
};
