import { planJson } from '../../../plan/json.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import { jobOf, planOf, type OneWall, rowsBehind, sayFor } from '../../../test/jobs.js';
import { behindCavity } from './leaf.js';
import type { Row } from '../laying/row.js';

/** Bricks of 215 × 102.5 × 65 with joints of 10: a wall of two leaves is 215 thick. */
const brick = (build: OneWall['build'], more: Partial<OneWall> = {}): OneWall => ({
  line: [{ run: 2250 }, { turn: -90 }, { run: 2250 }],
  height: 900,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  lengths: 'actual',
  build: { wythes: 2, ...build },
  ...more,
});

const first = (row: Row | undefined): number => Math.min(...(row?.pieces ?? []).map((p) => p.from));
const last = (row: Row | undefined): number => Math.max(...(row?.pieces ?? []).map((p) => p.to));

test('tied leaves turn an inside corner each for itself, a leaf deep', () => {
  const p = planOf(brick({ bond: 'half', start: 'whole' }));
  const [a, b] = p.runs;
  // Odd courses of run 1 own the corner: the outer leaf goes past it by its own width, the inner one to the back of the wall.
  expect(last(a?.rows[0])).toBeCloseTo(2250 + 102.5, 6);
  expect(last(rowsBehind(p)[0])).toBeCloseTo(2250 + 215, 6);
  // Run 2's begin beside them: a joint from the face of run 1, and from its inner leaf's.
  expect(first(b?.rows[0])).toBeCloseTo(10, 6);
  expect(first(rowsBehind(p, 1)[0])).toBeCloseTo(10 - 112.5, 6);
});

test.each(['english', 'flemish', 'english-garden', 'flemish-garden'] as const)(
  'in %s bond one course goes through an inside corner and the next begins a joint before it',
  (bond) => {
    const p = planOf(brick({ bond }));
    expect(last(p.runs[0]?.rows[0])).toBeCloseTo(2250 + 215, 6);
    // Its joints are eased with the rest of the course.
    expect(first(p.runs[1]?.rows[0])).toBeGreaterThanOrEqual(6);
    expect(first(p.runs[1]?.rows[0])).toBeLessThanOrEqual(15);
  },
);

test('behind the quoin of an English garden wall the other run is backed as far as it goes', () => {
  const p = planOf(brick({ bond: 'english-garden' }, { line: [{ run: 2240 }, { turn: 90 }, { run: 2240 }] }));
  // Course 3 is of stretchers on both faces: run 2's first lies beside the end of run 1's quoin, and so does the one behind it.
  expect(first(p.runs[1]?.rows[2])).toBeCloseTo(112.5, 6);
  expect(first(rowsBehind(p, 1)[2])).toBeCloseTo(112.5, 6);
});

test('round an oblique corner the inner leaf is shorter by its depth times the tangent of half the turn', () => {
  const p = planOf(brick({ bond: 'half' }, { line: [{ run: 2250 }, { turn: 45 }, { run: 2250 }] }));
  const inner = rowsBehind(p)[0];
  expect(last(inner)).toBeCloseTo(2250 - 112.5 * Math.tan(Math.PI / 8), 3);
});

describe('round a curve', () => {
  const radius = 4000;
  const sweep = 60;
  const round = (more: OneWall['build'] = {}): OneWall =>
    brick({ bond: 'half', ...more }, { line: [{ arc: radius, sweep }] });
  const arc = (r: number): number => (r * sweep * Math.PI) / 180;
  const laid = (row: Row | undefined): number =>
    (row?.pieces ?? []).reduce((s, x) => s + x.to - x.from, 0) +
    (row?.perps ?? []).reduce((s, x) => s + x.width, 0);

  test('each leaf is laid on its own radius, and a curve each can be laid to is none too tight', () => {
    const p = planOf(round());
    // Whole bricks half a brick deep go round 2 619 (M159); a wall 215 deep laid as one would want 5 494.
    expect(p.findings.map((f) => f.code)).not.toContain('curve-too-tight');
    expect(laid(p.runs[0]?.rows[0])).toBeCloseTo(arc(radius), 2);
    expect(laid(p.leaves[1]?.runs[0]?.rows[0])).toBeCloseTo(arc(radius - 112.5), 2);
  });

  test('a curve the outer leaf goes round and the inner one does not is too tight for that one', () => {
    const p = planOf(brick({ bond: 'half' }, { line: [{ arc: 2700, sweep: 90 }] }), true);
    const found = p.findings.filter((f) => f.code === 'curve-too-tight');
    // 2 700 clears the 2 619 that half a brick's depth wants; 2 587.5 behind it does not.
    expect(found).toHaveLength(1);
    expect(found[0]?.says).toContain('in the inner leaf');
    // The radius to ask for is the face's: what the inner leaf wants and what lies before it.
    expect(found[0]?.fixes.length).toBeGreaterThan(0);
  });

  test('what is behind is given where it is seen from the face, with its own length beside', () => {
    const json = planJson(plan(jobOf(round()), [], { advise: false }), sayFor('mm')) as {
      walls: { rows: { leaf: number; pieces: { from: number; to: number; length?: number }[] }[] }[];
    };
    const [face, back] = [0, 1].map((leaf) => json.walls[0]?.rows.find((r) => r.leaf === leaf)?.pieces ?? []);
    expect(face?.every((x) => x.length === undefined)).toBe(true);
    expect(back?.at(-1)?.to).toBeCloseTo(arc(radius), 1);
    for (const x of back ?? [])
      expect(x.length).toBeCloseTo((x.to - x.from) * ((radius - 112.5) / radius), 4);
  });

  test('its mortar is what it encloses less its bricks', () => {
    for (const build of [{}, { bond: 'english' } as const]) {
      const p = planOf(round(build));
      const top = p.gauge.courses.at(-1)?.top ?? 0;
      const enclosed = ((radius ** 2 - (radius - 215) ** 2) / 2) * ((sweep * Math.PI) / 180) * top;
      const bricks = (rows: readonly Row[] = []): number =>
        rows.flatMap((row) => row.pieces).reduce((sum, x) => sum + (x.to - x.from) * deep(x.kind) * 65, 0);
      // In English bond headers, and closers split lengthwise, lie across the wall.
      const deep = (kind: string): number => (kind === 'header' || kind === 'closer' ? 215 : 102.5);
      const units = p.leaves.reduce((sum, leaf) => sum + bricks(leaf.runs[0]?.rows), 0);
      const off = p.tally.mortar.geometric - (enclosed - units) / 1e9;
      expect(Math.abs(off)).toBeLessThan((0.001 * enclosed) / 1e9);
    }
  });

  test('a cavity’s inner leaf too', () => {
    const p: WallPlan = planOf(
      brick(
        { bond: 'half', wythes: 1, cavity: { inner: 'block-440x215x100', width: 100 } },
        {
          line: [{ arc: 8000, sweep }],
        },
      ),
    );
    const own = (8000 - 202.5) * ((sweep * Math.PI) / 180);
    expect(behindCavity(p)?.wall.runs[0]?.radius).toBeCloseTo(8000 - 202.5, 6);
    expect(laid(behindCavity(p)?.runs[0]?.rows[0])).toBeCloseTo(own, 2);
  });
});
