import { checkJob } from '../../../job/check.js';
import type { UnitBuild, JobDocument } from '../../../job/types.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import type { Row } from '../laying/row.js';

/** Bricks of 215 × 102.5 × 65 with joints of 10. B comes from inside and ends on A, bonded in on odd courses. */
function tee(a: Partial<UnitBuild>, b: Partial<UnitBuild> = {}): [WallPlan, WallPlan] {
  const build = (more: Partial<UnitBuild>): UnitBuild => ({
    kind: 'units',
    unit: 'brick-215x102.5x65',
    bond: 'half',
    ...more,
  });
  const document: JobDocument = {
    format: 'even-tally/job',
    version: 1,
    name: 'Tee',
    show: 'mm',
    profile: 'uk',
    walls: [
      { id: 'a', name: 'A', lengths: 'actual', line: [{ run: 4490 }], height: 900, build: build(a) },
      {
        id: 'b',
        name: 'B',
        lengths: 'actual',
        line: [{ run: 2240 }],
        height: 900,
        build: build(b),
        meets: { wall: 'a', run: 0, at: 2025, how: 'bonded', on: 'odd' },
      },
    ],
  };
  const checked = checkJob(document);
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return plan(checked.job, [], { advise: false }).walls as [WallPlan, WallPlan];
}

const stands = (row: Row | undefined, x: number): boolean =>
  row?.pieces.some((p) => p.from < x && p.to > x) ?? false;
/** The middle of where B goes in, along A. */
const IN = 2025 + 102.5 / 2;

test('a wall bonded into two tied wythes goes through both', () => {
  const [a] = tee({ wythes: 2 });
  expect(a.leaves.map((l) => stands(l.runs[0]?.rows[0], IN))).toEqual([false, false]);
  expect(a.leaves.map((l) => stands(l.runs[0]?.rows[1], IN))).toEqual([true, true]);
});

test('and its last brick there is a half, so that no perp of it stands over the joint at their backs', () => {
  const [, b] = tee({ wythes: 2 });
  const [odd, even] = b.runs[0]?.rows.map((r) => r.pieces) ?? [];
  expect(odd?.at(-1)?.to).toBeCloseTo(2240 + 215, 6);
  expect((odd?.at(-1)?.to ?? 0) - (odd?.at(-1)?.from ?? 0)).toBeCloseTo(102.5, 6);
  // The others stop a joint before A's back: its width may be eased with the rest.
  expect(even?.at(-1)?.to).toBeGreaterThan(2240 - 15);
  expect(even?.at(-1)?.to).toBeLessThan(2240 - 6);
  expect(b.findings.map((f) => f.code)).not.toContain('straight-joint');
});

test('one of two wythes is bonded in with both', () => {
  const [, b] = tee({ wythes: 2 }, { wythes: 2 });
  for (const leaf of b.leaves) expect(leaf.runs[0]?.rows[0]?.pieces.at(-1)?.to).toBeCloseTo(2240 + 215, 6);
});

test('into a cavity wall it goes as far as the inner leaf: nothing of it bridges the cavity', () => {
  const [a, b] = tee({ cavity: { inner: 'brick-215x102.5x65', width: 75 } });
  const [outer, inner] = a.leaves;
  expect(stands(outer?.runs[0]?.rows[0], IN)).toBe(true);
  expect(stands(inner?.runs[0]?.rows[0], IN)).toBe(false);
  expect(b.runs[0]?.rows[0]?.pieces.at(-1)?.to).toBeCloseTo(2240 + 102.5, 6);
});
