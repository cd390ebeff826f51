import { tallyRows } from '../../../exchange/csv.js';
import { CUBIC_FOOT_MM3 } from '../../../measure/length.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import { working } from '../../../plan/working.js';
import { jobOf, planOf, straight, type OneWall, rowsBehind, sayFor } from '../../../test/jobs.js';
import { mortarOfWall } from './ofWall.js';

const FT3 = CUBIC_FOOT_MM3 / 1e9;
const INCH = 25.4;

const block = (build: OneWall['build'] = {}): WallPlan =>
  planOf({ line: straight("16'"), height: "8'", unit: 'cmu-4x8x16', build });

test('two tied leaves of hollow block are bedded on their shells, and the joint between them is filled', () => {
  const [one, two] = [block(), block({ wythes: 2 })];
  // A joint of ⅜ in from end to end and from the footing to the top.
  const collar = ((3 / 8) * INCH * (16 * 12 - 3 / 8) * INCH * 96 * INCH) / 1e9;
  expect(two.tally.mortar.geometric).toBeCloseTo(2 * one.tally.mortar.geometric + collar, 6);
  // 8.5 ft³ to 100 ft² of a leaf (from memory), so twice as much of two, and the joint between.
  const area = ((16 * 12 - 3 / 8) * 96) / 144;
  expect(two.tally.mortar.used / FT3).toBeCloseTo((2 * 8.5 * area) / 100 + collar / FT3, 1);
});

test('an opening off gauge between two leaves leaves nothing out and counts nothing solid', () => {
  const brick = (sill: number): WallPlan =>
    planOf({
      line: [{ run: 2240 }],
      height: 900,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      lengths: 'actual',
      build: { wythes: 2, start: 'whole', cuts: 'jamb' },
      openings: [{ at: 675, width: 900, sill, head: 900 }],
    });
  // 40 mm more of sill on a course: a strip 900 by 40 stands in each leaf, its bed 10 high under all of it.
  const [on, off] = [brick(300), brick(340)];
  const strip = (off.runs[0]?.rows[4]?.pieces ?? []).filter((x) => x.band !== null);
  const bricks = strip.reduce((sum, x) => sum + x.to - x.from, 0) * 30 * 102.5;
  const inner = (rowsBehind(off)[4]?.pieces ?? []).filter((x) => x.band !== null);
  const innerBricks = inner.reduce((sum, x) => sum + x.to - x.from, 0) * 30 * 102.5;
  const more = (900 * 40 * 215 - bricks - innerBricks) / 1e9;
  expect(strip.length).toBeGreaterThan(3);
  expect(off.tally.mortar.geometric - on.tally.mortar.geometric).toBeCloseTo(more, 6);
});

test('soldiers have their bed and their joints', () => {
  const over = (soldiers: boolean): WallPlan =>
    planOf({
      line: [{ run: 2240 }],
      height: 1350,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      lengths: 'actual',
      build: { start: 'whole', cuts: 'jamb' },
      // With soldiers over it a head at 675; without, an opening as high as they reach.
      openings: [
        {
          at: 675,
          width: 910,
          sill: 0,
          head: soldiers ? 675 : 900,
          ...(soldiers ? { over: 'soldiers' } : {}),
        },
      ],
    });
  const [plain, dressed] = [over(false), over(true)];
  // Twelve bricks on end, thirteen joints: (910 − 12 × 65) ÷ 13 = 10 each, 215 high, and a bed of 10 under them.
  const more = (910 * 10 * 102.5 + 13 * 10 * 215 * 102.5) / 1e9;
  expect(dressed.tally.mortar.geometric - plain.tally.mortar.geometric).toBeCloseTo(more, 6);
});

test('halves of a beam are sawn from trough units, two from one', () => {
  const p = planOf({
    line: straight("16'"),
    height: '16"',
    build: { start: 'whole' },
    wall: { steel: { beams: [{ course: 'top', bar: '#4', count: 1 }] } },
  });
  // Course 2 of a wall twelve units long: a half at each end and eleven between.
  expect(p.buy.find((l) => l.kind === 'beam')).toMatchObject({ net: 12, toSaw: 1 });
  expect(p.buy.find((l) => l.kind === 'half')).toBeUndefined();
});

test('the mortar to order is both leaves’, in the table, the working and the file', () => {
  const wall: OneWall = {
    line: [{ run: 6000 }],
    height: 2400,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { cavity: { inner: 'block-440x215x100', width: 100 } },
  };
  const job = jobOf(wall);
  const planned = plan(job, [], { advise: false });
  const p = planned.walls[0] as WallPlan;
  const { pack } = p.wall.profile;
  const both = p.tally.mortar.used + (p.tallies[1]?.tally.mortar.used ?? 0);
  expect(p.tallies[1]?.tally.mortar.used).toBeGreaterThan(0);
  expect(mortarOfWall(p).used).toBeCloseTo(both, 9);
  const packs = Math.ceil(both / pack.m3);
  expect(packs).toBeGreaterThan(Math.ceil(p.tally.mortar.used / pack.m3));
  expect(tallyRows(planned, sayFor('mm')).find((r) => r.at(-1) === 'm3, packs')).toContain(packs);
  expect(working(job, [], 'w/wall/mortar.ordered')?.result).toBe(packs);
});
