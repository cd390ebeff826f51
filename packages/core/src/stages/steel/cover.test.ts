import { expect, test } from '@jest/globals';
import type { Wall } from '../../job/types.js';
import { applyPatch } from '../../job/edits/patch.js';
import { documentOf, planOf, soundJob, straight, type OneWall } from '../../test/jobs.js';
import { plan } from '../../plan/plan.js';

const IN = 25.4;
const wall = (
  bar: string,
  held: Wall['held'],
  more: Partial<Wall['steel']> = {},
  unit = 'cmu-8x8x16',
): OneWall => ({
  line: straight("24'"),
  height: "8'",
  unit,
  wall: {
    held,
    ...(held === 'soil' ? { retains: { height: "3'" } } : {}),
    jointEvery: "60'",
    steel: { vertical: { bar: bar, every: '32"', ...more?.vertical }, ...more },
    grout: { fill: 'steel', aggregate: 'fine' },
  },
});
const place = (w: OneWall) => {
  const { place: found } = planOf(w).steel;
  if (!found) throw new Error('no bars');
  return found;
};
const short = (w: OneWall): string | undefined =>
  planOf(w).findings.find((f) => f.code === 'cover-short')?.says;

test('1¼ in of shell and ¼ of grout serve No. 5 toward the soil, and No. 6 stands further in (TMS 402, from memory)', () => {
  // 8 in block: shells 1¼, so the cell is 5⅛ across; fine grout clears ¼.
  const five = place(wall('#5', 'soil'));
  expect(five.cover.outside.has / IN).toBeCloseTo(1.5, 6);
  expect(five.cover.outside.least / IN).toBeCloseTo(1.5, 6);
  // No. 6 with the same clearance would have the same 1½, and wants 2.
  const six = place(wall('#6', 'soil'));
  expect(six.cover.outside.has / IN).toBeCloseTo(2, 6);
  expect(six.from / IN).toBeCloseTo(2 + 0.375, 6);
  expect(short(wall('#6', 'soil'))).toBeUndefined();
});

test('coarse grout keeps a bar ½ in clear of the shell, whatever cover would let it', () => {
  const coarse = wall('#5', 'soil');
  const w = {
    ...coarse,
    wall: { ...coarse.wall, grout: { fill: 'steel' as const, aggregate: 'coarse' as const } },
  };
  // 1¼ + ½ = 1¾.
  expect(place(w).cover.outside.has / IN).toBeCloseTo(1.75, 6);
});

test('away from weather No. 6 wants 1½, as any bar does', () => {
  const six = place(wall('#6', 'floors'));
  expect(six.cover.inside).toMatchObject({ exposed: false });
  expect(six.cover.inside.least / IN).toBeCloseTo(1.5, 6);
  expect(six.off).toBeLessThan(0);
});

test('where a drawing puts it too near, that is a fault and not moved; the way out is the nearest place that serves', () => {
  const near = wall('#6', 'drawing', { vertical: { bar: '#6', every: '32"', from: '2"' } });
  expect(place(near).from / IN).toBeCloseTo(2, 6);
  expect(short(near)).toContain('1 5⁄8″');
  const job = soundJob(documentOf(near));
  const [f] = plan(job).walls[0]?.findings.filter((one) => one.code === 'cover-short') ?? [];
  const after = applyPatch(job, f?.fixes[0]?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value)).walls[0];
  expect(again?.findings.some((one) => one.code === 'cover-short')).toBe(false);
  expect((again?.steel.place?.from ?? 0) / IN).toBeCloseTo(2.375, 6);
});

test('a wall too thin for its cover says so, even with the bar in its middle', () => {
  // 4 in block, specified 3⅝: half of it less half a No. 6 is 1 7⁄16, and 2 is wanted.
  expect(short(wall('#6', 'free-standing', {}, 'cmu-4x8x16'))).toContain('is the least');
});

test('EN counts the infill alone, by exposure class', () => {
  const own = {
    id: 'hollow',
    family: 'block' as const,
    actual: { length: 440, height: 215, width: 215 },
    cells: 2,
    shell: 35,
    web: 35,
  };
  const uk = (exposure?: 'MX1' | 'MX3'): OneWall => ({
    profile: 'uk',
    show: 'mm',
    units: [own],
    unit: 'hollow',
    line: straight(8990),
    height: 2250,
    wall: {
      held: 'soil',
      retains: { height: 500 },
      jointEvery: 30_000,
      steel: { vertical: { bar: 'T16', every: 450 }, ...(exposure ? { exposure } : {}) },
      grout: { fill: 'steel', aggregate: 'fine' },
    },
  });
  // The cell is 145 across. Clearance alone, 6.35 mm, would let it to the shell; 20 and 40 of infill do not.
  expect(place(uk('MX1')).cover.outside.has).toBeCloseTo(20, 6);
  expect(place(uk('MX3')).cover.outside.has).toBeCloseTo(40, 6);
  // Nobody has said: to soil it is taken as MX3.
  expect(place(uk()).cover.outside.least).toBe(40);
});
