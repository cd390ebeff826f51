import { expect, test } from '@jest/globals';
import type { JobDocument, Wall } from '../../job/types.js';
import { plan } from '../../plan/plan.js';
import { documentOf, sayFor, soundJob, straight, type OneWall } from '../../test/jobs.js';

const found = (
  w: OneWall,
  site?: JobDocument['site'],
): { code: string; says: string; fixes: unknown[] }[] => {
  const job = soundJob({ ...documentOf(w), ...(site ? { site } : {}) });
  const say = sayFor(w.show ?? 'ft-in');
  return (plan(job).walls[0]?.findings ?? []).map((f) => ({
    code: f.code,
    says: say(f.says),
    fixes: f.fixes,
  }));
};
const saying = (w: OneWall, code: string, site?: JobDocument['site']): string[] =>
  found(w, site)
    .filter((f) => f.code === code)
    .map((f) => f.says);

const garden = (height: number, more: Partial<OneWall> = {}): OneWall => ({
  profile: 'uk',
  show: 'mm',
  unit: 'brick-215x102.5x65',
  line: straight(4490),
  height,
  build: { bond: 'flemish', wythes: 2 },
  wall: { held: 'free-standing', jointEvery: 30_000 },
  ...more,
});

// M137: one brick, by wind zone 1 to 4; UK leaflet on garden walls, from memory.
test.each([
  [1, 1425, 1500],
  [2, 1275, 1350],
  [3, 1125, 1200],
  [4, 1050, 1125],
] as const)(
  'one brick free-standing in zone %s: %s mm is left to the mason, %s mm is not',
  (zone, low, high) => {
    expect(saying(garden(low), 'engineer-needed', { exposure: zone })).toEqual([]);
    expect(saying(garden(high), 'engineer-needed', { exposure: zone })[0]).toContain('Take along');
  },
);

test('where nobody says how exposed it is, it is asked for; past the kindest figure an engineer decides anyway', () => {
  const [asked] = found(garden(1200)).filter((f) => f.code === 'exposure-not-said');
  expect(asked?.says).toContain('1075 mm');
  // 1 200 stands in zones 1 and 2 (1 450 and 1 300) and in no other: those are the answers that settle it.
  expect(asked?.fixes).toHaveLength(2);
  expect(saying(garden(1050), 'exposure-not-said')).toEqual([]);
  expect(saying(garden(1500), 'engineer-needed')[0]).toContain('most sheltered');
});

test('M139: block of 100, 200 and 300 has its own figures', () => {
  const block = (unit: string, height: number): OneWall => ({
    ...garden(height),
    unit,
    build: { bond: 'half' },
    line: straight(4490),
  });
  expect(saying(block('block-440x215x100', 450), 'engineer-needed', { exposure: 1 })).toEqual([]);
  expect(saying(block('block-440x215x100', 675), 'engineer-needed', { exposure: 1 })).toHaveLength(1);
  expect(saying(block('block-440x215x215', 900), 'engineer-needed', { exposure: 2 })).toEqual([]);
  expect(saying(block('block-440x215x215', 1125), 'engineer-needed', { exposure: 2 })).toHaveLength(1);
});

const us = (height: string, more: Partial<OneWall> = {}): OneWall => ({
  line: straight("24'"),
  height,
  wall: { held: 'free-standing', jointEvery: "60'" },
  ...more,
});

test('US: ¾ t² in inches at 10 psf, so 48 in of 8 in wall (BIA 29A, from memory)', () => {
  expect(saying(us("4'"), 'engineer-needed')).toEqual([]);
  expect(saying(us('4\' 8"'), 'engineer-needed')[0]).toContain('4′-0″');
  // 12 in: ¾ × 144 = 108 in.
  expect(saying(us('8\' 8"', { unit: 'cmu-12x8x16' }), 'engineer-needed')).toEqual([]);
  expect(saying(us('9\' 4"', { unit: 'cmu-12x8x16' }), 'engineer-needed')).toHaveLength(1);
});

test('with bars the drawing decides, and in seismic D to F an engineer whatever its height', () => {
  const barred: Partial<Wall> = { steel: { vertical: { bar: '#4', every: '32"' } } };
  expect(
    saying(us("6'", { wall: { held: 'free-standing', jointEvery: "60'", ...barred } }), 'engineer-needed'),
  ).toEqual([]);
  expect(saying(us("2'"), 'engineer-needed', { seismic: 'D' })[0]).toContain('seismic category D');
  expect(saying(us("2'"), 'engineer-needed', { seismic: 'C' })).toEqual([]);
});

test('two leaves that are only tied are two thin walls: of bonded brick 8 in stands 48 in, tied 12', () => {
  const brick = (bond: 'flemish' | 'half', height: string): OneWall =>
    us(height, { unit: 'brick-modular-us', build: { bond, wythes: 2 } });
  expect(saying(brick('flemish', "4'"), 'engineer-needed')).toEqual([]);
  const [says] = saying(brick('half', '16"'), 'engineer-needed');
  expect(says).toContain('two thin walls');
  // So it is against ground: statics, 20 t² / 6 = H², 102.5 mm leaves its middle third at 187 mm.
  const held = (bond: 'flemish' | 'half'): OneWall =>
    garden(900, { build: { bond, wythes: 2 }, wall: { retains: { height: 300 }, jointEvery: 30_000 } });
  expect(saying(held('flemish'), 'engineer-needed')).toEqual([]);
  expect(saying(held('half'), 'engineer-needed')[0]).toContain('187 mm');
});

test('soil that is said to stand against a wall is asked about, not passed over', () => {
  const soil = us("4'", { wall: { held: 'soil', jointEvery: "60'" } });
  expect(saying(soil, 'ground-not-said')).toHaveLength(1);
  expect(
    saying(
      us("4'", { wall: { held: 'soil', retains: { height: '12"' }, jointEvery: "60'" } }),
      'ground-not-said',
    ),
  ).toEqual([]);
});

test('a wall nobody says stands free is not judged as one', () => {
  expect(saying(us("9'", { wall: { jointEvery: "60'" } }), 'engineer-needed')).toEqual([]);
});
