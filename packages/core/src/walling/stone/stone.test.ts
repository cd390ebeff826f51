import fc from 'fast-check';
import {
  batterOf,
  offsetsAt,
  sectionAt,
  volumeBetween,
  volumeOf,
  widthAt,
  type Section,
  type Stretch,
} from './section.js';
import { copesOn, rowsUp, throughsIn } from './throughs.js';
import { dryVolumes, heapOf, mortaredVolumes } from './volumes.js';

const length = fc.double({ min: 300, max: 9000, noNaN: true });
const section = fc
  .record({
    base: fc.double({ min: 400, max: 900, noNaN: true }),
    lean: fc.double({ min: 0, max: 350, noNaN: true }),
    height: fc.double({ min: 300, max: 2000, noNaN: true }),
  })
  .map(({ base, lean, height }): Section => ({ base, top: base - lean, height }));
const stretch = fc
  .record({ length, a: section, b: section })
  .map((s): Stretch => ({ length: s.length, ends: [s.a, s.b] }));

/** Summed in a thousand slices: the middle of each stands for it. */
function bySlices(s: Stretch, low: number, high: number): number {
  const slices = 1000;
  let sum = 0;
  for (let i = 0; i < slices; i++) {
    const t = (i + 0.5) / slices;
    const [a, b] = s.ends;
    const at = (x: number, y: number): number => x + (y - x) * t;
    const [base, top, height] = [at(a.base, b.base), at(a.top, b.top), at(a.height, b.height)];
    const to = Math.min(high, height);
    const from = Math.min(low, height);
    const width = (y: number): number => base - ((base - top) * y) / height;
    sum += ((width(from) + width(to)) / 2) * (to - from) * (s.length / slices);
  }
  return sum / 1e9;
}

test('what lies between two heights is what slices of it come to, however unlike its ends are', () => {
  fc.assert(
    fc.property(stretch, fc.double({ min: 0, max: 1, noNaN: true }), (s, part) => {
      const high = Math.max(s.ends[0].height, s.ends[1].height);
      const low = high * part * 0.9;
      const wanted = bySlices(s, low, high);
      expect(Math.abs(volumeBetween(s, [0, s.length], [low, high]) - wanted)).toBeLessThan(
        1e-5 * Math.max(1e-3, wanted) + 1e-7,
      );
      expect(volumeBetween(s, [0, s.length], [0, high])).toBeCloseTo(volumeOf(s), 9);
    }),
    { numRuns: 200 },
  );
});

test('a wall in two stretches adds up to the wall in one', () => {
  fc.assert(
    fc.property(stretch, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (s, part) => {
      const at = s.length * part;
      const middle = sectionAt(s, at);
      const left = volumeOf({ length: at, ends: [s.ends[0], middle] });
      const right = volumeOf({ length: s.length - at, ends: [middle, s.ends[1]] });
      return Math.abs(left + right - volumeOf(s)) < 1e-9;
    }),
    { numRuns: 300 },
  );
});

test('face, back, hearting, mortar and voids are the whole of it, dry or in mortar', () => {
  const part = fc.double({ min: 0.05, max: 0.6, noNaN: true });
  fc.assert(
    fc.property(stretch, part, part, fc.constantFrom<1 | 2>(1, 2), (s, hearting, open, faces) => {
      const gross = volumeOf(s);
      const made = { gross, density: 2400, hearting };
      for (const v of [
        dryVolumes({ ...made, voids: open }),
        mortaredVolumes({ ...made, share: 1 - open, faces }),
      ]) {
        expect(v.face + v.back + v.hearting + v.mortar + v.voids).toBeCloseTo(gross, 9);
        expect(v.mass).toBeCloseTo((v.face + v.back + v.hearting) * 2400, 6);
        expect(v.ordered).toBeCloseTo(v.mass * 1.1, 6);
      }
    }),
    { numRuns: 200 },
  );
});

test('a facing of one face has no back, and nothing between but what is stated', () => {
  expect(mortaredVolumes({ gross: 1, density: 2400, faces: 1 })).toMatchObject({
    face: 0.7,
    back: 0,
    hearting: 0,
  });
});

test('throughs are staggered, none over the top and none in a hole; bonders by rows', () => {
  const wall: Stretch = {
    length: 4000,
    ends: [
      { base: 700, top: 400, height: 1200 },
      { base: 700, top: 400, height: 600 },
    ],
  };
  const rows = [
    { at: 850, every: 1000 },
    { at: 450, every: 1000 },
  ];
  // The top falls from 1200 to 600: at 2333 it is 850, so that only the first two of the upper row have wall over them.
  expect(throughsIn([wall], rows).map((r) => [r.at, r.places])).toEqual([
    [450, [500, 1500, 2500, 3500]],
    [850, [1000, 2000]],
  ]);
  expect(throughsIn([wall], rows, [{ from: 1200, to: 1800, low: 0, high: 600 }])[0]?.places).toEqual([
    500, 2500, 3500,
  ]);
  const flat: Stretch = { length: 3000, ends: [wall.ends[0], wall.ends[0]] };
  expect(rowsUp([flat], 1000, 500).map((r) => r.at)).toEqual([250, 750]);
  expect(copesOn(4000, 80)).toBe(50);
  expect(copesOn(4010, 80)).toBe(51);
});

test('ends of unlike height lean alike in all, and so not alike at a height', () => {
  const [tall, low]: [Section, Section] = [
    { base: 700, top: 400, height: 1200 },
    { base: 700, top: 400, height: 600 },
  ];
  expect(offsetsAt(tall, 600)).toEqual({ width: 550, outer: 75, inner: 75 });
  expect(offsetsAt(low, 600)).toEqual({ width: 400, outer: 150, inner: 150 });
  expect([batterOf(tall), batterOf(low)]).toEqual([8, 4]);
  expect(widthAt(low, 900)).toBe(400);
  expect(heapOf(0.75)).toBeCloseTo(1.25, 12);
});
