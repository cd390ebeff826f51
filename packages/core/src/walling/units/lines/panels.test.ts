import fc from 'fast-check';
import { kinds, lengths, planOf, straight, type OneWall } from '../../../test/jobs.js';
import type { WallPlan } from '../../../plan/plan.js';

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };
/** Forty bricks, a window that stands 60 mm off the bond. */
const wall = (cuts: 'panel' | 'jamb', over: Partial<OneWall> = {}): WallPlan =>
  planOf({
    ...brick,
    line: straight(40 * 225 - 10),
    height: 2250,
    build: { cuts },
    openings: [{ at: 3210, width: 1135, sill: 600, head: 1500 }],
    ...over,
  });
const beside = (p: WallPlan, course: number): number[] =>
  (p.runs[0]?.rows[course - 1]?.pieces ?? [])
    .filter((x) => Math.abs(x.to - 3210) < 1 || Math.abs(x.from - 4345) < 1)
    .map((x) => Math.round((x.to - x.from) * 10) / 10);

describe('where the cuts go', () => {
  test('in mid-panel: both reveals are whole bricks and halves by turns, from the sill to the head', () => {
    const p = wall('panel');
    for (let course = 9; course <= 20; course++)
      expect(beside(p, course).every((l) => l === 215 || l === 102.5)).toBe(true);
    expect([...new Set(beside(p, 9).concat(beside(p, 10)))].sort()).toEqual([102.5, 215]);
    const found = p.findings.find((f) => f.code === 'opening-off-bond');
    expect(found?.opening).toBe('O1');
    expect(p.findings.filter((f) => f.severity === 'fault').map((f) => f.code)).toEqual([]);
  });

  test('at the jamb: units are sawn there, none under a half, and nothing elsewhere', () => {
    const p = wall('jamb');
    const cut = (p.runs[0]?.rows[9]?.pieces ?? []).filter((x) => x.kind === 'cut');
    expect(cut.length).toBeGreaterThan(0);
    // The bond stands on its own perps to within two units of a jamb: what is cut is cut there.
    expect(
      cut.every(
        (x) => (x.to <= 3211 && x.from > 3210 - 2.6 * 225) || (x.from >= 4344 && x.to < 4345 + 2.6 * 225),
      ),
    ).toBe(true);
    expect(cut.every((x) => x.to - x.from >= 102.4)).toBe(true);
  });

  test('left unsaid: fair brick and reinforced block in mid-panel; adobe, render and plain block at the jamb', () => {
    const said = (over: Partial<OneWall>): string =>
      planOf({ line: straight(6000), height: 2000, ...over }).wall.cuts;
    expect(said(brick)).toBe('panel');
    expect(said({ ...brick, build: { face: { finish: 'rendered' } } })).toBe('jamb');
    expect(said({})).toBe('jamb');
    expect(said({ wall: { steel: { vertical: { bar: '#4', every: '32"' } } } })).toBe('panel');
    expect(said({ unit: 'adobe-10x14x4', profile: 'earth' })).toBe('jamb');
  });

  test('bringing the opening to the run’s own perps is offered, and settles it', () => {
    const p = planOf(
      {
        ...brick,
        line: straight(40 * 225 - 10),
        height: 2250,
        openings: [{ at: 3210, width: 1135, sill: 600, head: 1500 }],
      },
      true,
    );
    const fixes = p.findings.find((f) => f.code === 'opening-off-bond')?.fixes.map((f) => f.says);
    expect(fixes).toContain('Move O1 70 mm left');
  });

  test('openings on the bond leave the run’s own perps alone', () => {
    const p = wall('panel', { openings: [{ at: 3140, width: 1135, sill: 600, head: 1500 }] });
    expect(p.runs[0]?.lines[0]?.panels).toBeUndefined();
    expect(lengths(p, 1).every((l) => l === 215)).toBe(true);
    expect(kinds(p, 1)).not.toContain('cut');
  });

  test('wherever a window stands, its reveals are never slivers and the courses still fill', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 900, max: 5000 }),
        fc.integer({ min: 500, max: 2500 }),
        fc.integer({ min: 30, max: 42 }),
        (at, width, n) => {
          const p = wall('panel', {
            line: straight(n * 225 - 10),
            openings: [{ at, width: Math.min(width, n * 225 - at - 700), sill: 600, head: 1500 }],
          });
          return (p.runs[0]?.rows ?? []).every((row) => {
            const sum =
              row.pieces.reduce((s, x) => s + x.to - x.from, 0) + row.perps.reduce((s, x) => s + x.width, 0);
            const bedded = row.bedded.reduce((s, b) => s + b.to - b.from, 0);
            return Math.abs(sum - bedded) < 0.01 && row.pieces.every((x) => x.to - x.from >= 25 - 1e-6);
          });
        },
      ),
      { numRuns: process.env.LONG === '1' ? 1000 : 70 },
    );
  });
});
