import { plan, type WallPlan } from '../../plan/plan.js';
import type { Build, JobDocument, Wall } from '../../job/types.js';
import { checkJob } from '../../job/check.js';
import { sayFor, soundJob } from '../../test/jobs.js';
import { counts } from './gap.js';
import { lookedFromRows, runningFromRows } from './looked.js';

const DRY = {
  kind: 'dry',
  stone: 'granite',
  base: 700,
  top: 400,
  voids: 0.25,
  throughs: [
    { at: 450, every: 1000 },
    { at: 850, every: 1000 },
  ],
  copes: { height: 250, each: 80 },
};
const jobOf = (
  gap: NonNullable<Wall['gap']>,
  more: Partial<Wall> = {},
  build: object = DRY,
): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Gap',
  show: 'mm',
  profile: 'uk',
  walls: [
    { id: 'w', name: 'Lane', line: [{ run: 12_000 }], height: 1200, build: build as Build, gap, ...more },
  ],
});
const planned = (job: JobDocument): WallPlan => plan(soundJob(job)).walls[0] as WallPlan;

test('four metres of gap are worked out as by hand', () => {
  // Stripped to nothing past its ends: 2.640 m³ × 0.75 × 2650 kg/m³; seven throughs; 4 m at 2.5 m a day.
  const { gap } = planned(jobOf({ from: 4000, to: 8000, strip: { left: 0, right: 0 }, perDay: '2.5 m' }));
  expect(gap).not.toBeNull();
  expect(gap?.mass).toBeCloseTo(2.64 * 0.75 * 2650, 6);
  expect(gap?.throughs).toBe(7);
  expect(gap?.days).toBeCloseTo(1.6, 9);
  expect(gap?.face).toBeCloseTo(2 * 4 * 1.2, 9);
  expect(gap?.steps.map((s) => [s.step, s.to, s.count])).toEqual([
    ['strip', null, null],
    ['footing', null, null],
    ['lift', 450, null],
    ['throughs', 450, 4],
    ['lift', 850, null],
    ['throughs', 850, 3],
    ['lift', 1200, null],
    ['copes', null, 50],
  ]);
});

test('where nobody has looked for sound throughs it is stripped by one spacing of them, and no farther than the wall goes', () => {
  const { gap } = planned(jobOf({ from: 300, to: 8000 }));
  expect(gap?.stripped).toEqual({ from: 0, to: 9000, left: 300, right: 1000, asUsual: true });
});

test('what comes down gives back what its stones show with their long way in, and the rest is to be brought', () => {
  // One lies along the face: of its 400 it will show 200. One is rotten. The others show what they show: 600 of 1200 comes back.
  const sample = [
    { shows: 400, height: 100, goesIn: 200 },
    { shows: 400, height: 100, goesIn: 300, sound: false },
    { shows: 200, height: 100, goesIn: 300 },
    { shows: 200, height: 100, goesIn: 500 },
  ];
  const p = planned(jobOf({ from: 4000, to: 8000, strip: { left: 0, right: 0 }, sample }));
  expect(p.gap?.stock?.share).toBeCloseTo(0.5, 12);
  expect(p.gap?.bring).toBeCloseTo((p.gap?.mass ?? 0) / 2, 6);
  const finding = p.findings.find((f) => f.code === 'stone-short');
  expect(sayFor('mm')(finding?.says ?? '')).toContain('50 %');
});

test('a joint is judged by what the wall is for', () => {
  const joint = { courses: 3, covered: true as const };
  expect([counts(joint, 'field'), counts(joint, 'retaining'), counts(joint, 'garden')]).toEqual([
    false,
    false,
    true,
  ]);
  expect([counts({ courses: 2 }, 'field'), counts({ courses: 2 }, 'garden')]).toEqual([false, true]);
  const joints = [{ courses: 4 }, joint, { courses: 2 }];
  const found = (purpose: 'field' | 'garden'): string =>
    sayFor('mm')(
      planned(jobOf({ from: 4000, to: 8000, joints }, {}, { ...DRY, purpose })).findings.find(
        (f) => f.code === 'stone-running-joints',
      )?.says ?? '',
    );
  expect(found('field')).toContain('1 joint runs');
  expect(found('garden')).toContain('3 joints run');
});

test('a line that kinks is said where the eye sees it', () => {
  const codes = (left: number): string[] =>
    planned(
      jobOf({ from: 4000, to: 8000, strip: { left: 0, right: 0 }, out: { left, right: 0 } }),
    ).findings.map((f) => f.code);
  // Half of four metres: 30 mm off is 15 to the metre, 60 is 30.
  expect(codes(30)).not.toContain('stone-kink');
  expect(codes(-60)).toContain('stone-kink');
});

test('a gap of another wall, or one that ends before it begins, is refused', () => {
  const faults = (job: JobDocument): string[] => {
    const checked = checkJob(job);
    return checked.ok ? [] : checked.faults.map((f) => f.path);
  };
  expect(faults(jobOf({ from: 5000, to: 4000 }))).toEqual(['/walls/0/gap/to']);
  expect(faults(jobOf({ from: 1, to: 2 }, {}, { kind: 'rubble', stone: 'granite', thickness: 500 }))).toEqual(
    ['/walls/0/gap'],
  );
});

test('what was looked at is read a line each, and the first that does not read is named', () => {
  expect(lookedFromRows([['420', '150', '260'], [''], ['16"', '6"', '10"', 'x']], 'mm')).toEqual({
    ok: true,
    list: [
      { shows: 420, height: 150, goesIn: 260 },
      { shows: 406.4, height: 152.4, goesIn: 254, sound: false },
    ],
  });
  expect(
    lookedFromRows(
      [
        ['420', '150', '260'],
        ['420', 'high', '260'],
      ],
      'mm',
    ),
  ).toEqual({
    ok: false,
    line: 2,
    got: '420, high, 260',
  });
  expect(runningFromRows([['4'], ['3', 'x']])).toEqual({
    ok: true,
    list: [{ courses: 4 }, { courses: 3, covered: true }],
  });
  expect(runningFromRows([['many']])).toMatchObject({ ok: false, line: 1 });
});
