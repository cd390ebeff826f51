import { documentOf, faultsOf, sayFor, soundJob, straight, type OneWall } from '../../test/jobs.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { madeOf } from '../../plan/says.js';
import type { OwnRules } from '../../job/types.js';

const brick: OneWall = {
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  line: straight(2015),
  height: 1200,
};
const WHY = 'as agreed with the client';
const planned = (
  job: Partial<OwnRules> | null,
  wall: Partial<OwnRules> | null = null,
  w = brick,
): WallPlan => {
  const doc = documentOf({
    ...w,
    ...(wall ? { wall: { rules: { why: 'this wall is shown', ...wall } } } : {}),
  });
  const p = plan(soundJob(job ? { ...doc, rules: { why: WHY, ...job } } : doc), [], { advise: false })
    .walls[0];
  if (!p) throw new Error('no wall');
  return p;
};
const codes = (p: WallPlan): string[] => p.findings.map((f) => f.code);

test('beds: a height that 6 to 15 mm reaches is off the gauge where the job allows 9 to 11', () => {
  // 1 110 in courses of 65: 15 of 74 would be beds of 9; 14 of 79.3 beds of 14.3.
  const w = { ...brick, height: 1110 };
  expect(codes(planned(null, null, w))).not.toContain('height-off-gauge');
  const off = planned({ bed: { least: 9.5, most: 10.5 } }, null, w).findings.find(
    (f) => f.code === 'height-off-gauge',
  );
  expect(sayFor('mm')(off?.source ?? '')).toBe(`stated for this job: ${WHY}`);
});

test('a wall’s own rule goes before its job’s, which goes before the profile’s', () => {
  const lap = (p: WallPlan): number => p.wall.profile.leastLap(p.wall.unit) / 24_000;
  expect(lap(planned(null))).toBe(40);
  expect(lap(planned({ leastLap: 50 }))).toBe(50);
  expect(lap(planned({ leastLap: 50 }, { leastLap: 60 }))).toBe(60);
});

test('least piece: what was sound is a sliver', () => {
  const w: OneWall = { ...brick, build: { bond: 'third' } };
  expect(codes(planned({ leastPiece: 60 }, null, w))).not.toContain('sliver');
  expect(codes(planned({ leastPiece: 90 }, null, w))).toContain('sliver');
});

test('breakage, mortar and grout are ordered by what is said, and the working says that the job said so', () => {
  const plain = planned(null);
  const said = planned({ breakage: 0.1, mortar: 1.4 });
  const ordered = (p: WallPlan): number => p.buy.find((l) => l.kind === 'stretcher')?.ordered ?? 0;
  const net = plain.buy.find((l) => l.kind === 'stretcher')?.net ?? 0;
  expect(ordered(said)).toBe(Math.ceil(net * 1.1));
  expect(ordered(plain)).toBe(Math.ceil(net * 1.05));
  expect(said.tally.mortar.used / said.tally.mortar.geometric).toBeCloseTo(1.4, 9);
  const working = madeOf(said, 'mortar.used', null);
  expect(working?.inputs.map((i) => sayFor('mm')(i.source ?? ''))).toContain(`stated for this job: ${WHY}`);
  const block: OneWall = { line: straight("16'"), height: "8'", wall: { grout: { fill: 'all' } } };
  const grout = (p: WallPlan): number => p.pours.reduce((s, q) => s + q.filled.used, 0);
  expect(grout(planned({ grout: 1.32 }, null, block)) / grout(planned(null, null, block))).toBeCloseTo(
    1.2,
    9,
  );
});

test('head joints: pieces are sawn where joints may take no more', () => {
  const w: OneWall = { ...brick, line: straight(2030) };
  const sawn = (p: WallPlan): number =>
    p.runs[0]?.rows[0]?.pieces.filter((x) => x.cutFrom !== null).length ?? 0;
  expect(sawn(planned(null, null, w))).toBe(0);
  expect(sawn(planned({ head: { least: 9.9, most: 10.1 } }, null, w))).toBeGreaterThan(0);
});

test('a reason is asked, and limits that leave no room are refused where they stand', () => {
  const doc = documentOf(brick);
  expect(faultsOf({ ...doc, rules: { leastLap: 50 } })[0]).toContain('/rules/why');
  expect(faultsOf({ ...doc, rules: { why: WHY, bed: { least: 20 } } })[0]).toContain('/rules/bed');
  expect(
    faultsOf({ ...doc, walls: [{ ...doc.walls[0], rules: { why: WHY, head: { most: 3 } } }] })[0],
  ).toContain('/walls/0/rules/head');
  expect(faultsOf({ ...doc, rules: { why: WHY, breakage: 3 } })[0]).toContain('/rules/breakage');
});
