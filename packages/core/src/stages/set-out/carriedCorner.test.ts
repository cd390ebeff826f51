import fc from 'fast-check';
import { carriedCorner, type StatedRun } from './carriedCorner.js';

const box = (long: number, wide: number): StatedRun[] => [
  { stated: long, heading: 0 },
  { stated: wide, heading: 90 },
  { stated: long, heading: 180 },
  { stated: wide, heading: 270 },
];
/** Where a line's corners stand, walked from nothing: apart from the code under test. */
function corners(runs: readonly StatedRun[], changed: Map<number, number> | null = null): [number, number][] {
  let [x, y] = [0, 0];
  return runs.map((r, i) => {
    const from: [number, number] = [x, y];
    const length = changed?.get(i) ?? r.stated;
    x += length * Math.cos((r.heading * Math.PI) / 180);
    y += length * Math.sin((r.heading * Math.PI) / 180);
    return from;
  });
}
const lengths = (c: Map<number, number> | null): [number, number][] =>
  [...(c ?? [])].sort((a, b) => a[0] - b[0]);

test('a corner of a rectangle takes its two sides and the two opposite with it', () => {
  // The corner at the end of the front, 6 m by 4 m, pulled 600 to the right and 200 toward the front.
  expect(lengths(carriedCorner(box(6000, 4000), true, 1, { x: 600, y: -200 }))).toEqual([
    [0, 6600],
    [1, 4200],
    [2, 6600],
    [3, 4200],
  ]);
});

test('lengths settle on whole steps: pulled by half units a wall stays on them', () => {
  const c = carriedCorner(box(6000, 4000), true, 1, { x: 590, y: 0 }, 200);
  expect(lengths(c)).toEqual([
    [0, 6600],
    [1, 4000],
    [2, 6600],
    [3, 4000],
  ]);
});

test('a free end goes along its run, a corner of an open line takes its two runs', () => {
  const open: StatedRun[] = [
    { stated: 5000, heading: 0 },
    { stated: 3000, heading: 90 },
  ];
  expect(lengths(carriedCorner(open, false, 2, { x: 700, y: 400 }))).toEqual([[1, 3400]]);
  expect(lengths(carriedCorner(open, false, 0, { x: 700, y: 400 }))).toEqual([[0, 4300]]);
  expect(lengths(carriedCorner(open, false, 1, { x: 700, y: 400 }))).toEqual([
    [0, 5700],
    [1, 2600],
  ]);
});

test('no run comes to nothing, and a triangle is left alone', () => {
  expect(carriedCorner(box(6000, 4000), true, 1, { x: -6000, y: 0 })).toBeNull();
  const triangle: StatedRun[] = [0, 120, 240].map((heading) => ({ stated: 3000, heading }));
  expect(carriedCorner(triangle, true, 1, { x: 100, y: 0 })).toBeNull();
});

test('whatever closes and turns square closes still, and the corner goes where it was carried', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2000, max: 9000 }),
      fc.integer({ min: 2000, max: 9000 }),
      fc.integer({ min: 500, max: 1900 }),
      fc.integer({ min: 500, max: 1900 }),
      fc.integer({ min: 0, max: 5 }),
      fc.integer({ min: -400, max: 400 }),
      fc.integer({ min: -400, max: 400 }),
      (long, wide, notch, deep, corner, x, y) => {
        // An L: a rectangle with a corner taken out of it.
        const runs: StatedRun[] = [
          { stated: long, heading: 0 },
          { stated: wide - deep, heading: 90 },
          { stated: notch, heading: 180 },
          { stated: deep, heading: 90 },
          { stated: long - notch, heading: 180 },
          { stated: wide, heading: 270 },
        ];
        const changed = carriedCorner(runs, true, corner, { x, y });
        if (!changed) return true;
        const sum = runs.reduce(
          (s, r, i) => {
            const l = changed.get(i) ?? r.stated;
            const a = (r.heading * Math.PI) / 180;
            return [s[0] + l * Math.cos(a), s[1] + l * Math.sin(a)] as [number, number];
          },
          [0, 0] as [number, number],
        );
        expect(Math.hypot(...sum)).toBeLessThan(1e-6);
        // Against a corner that stays: the one across from it.
        const still = (corner + 3) % 6;
        const [was, now] = [corners(runs), corners(runs, changed)];
        const off = (at: [number, number][], k: 0 | 1): number =>
          (at[corner]?.[k] ?? 0) - (at[still]?.[k] ?? 0);
        expect(off(now, 0) - off(was, 0)).toBeCloseTo(x, 6);
        expect(off(now, 1) - off(was, 1)).toBeCloseTo(y, 6);
        return true;
      },
    ),
    { numRuns: 300 },
  );
});
