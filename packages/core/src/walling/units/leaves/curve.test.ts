import { kinds, lengths, planOf, type OneWall } from '../../../test/jobs.js';

const brick = (line: OneWall['line'], more: Partial<OneWall> = {}): OneWall => ({
  line,
  height: 900,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  ...more,
});
const codes = (w: OneWall): string[] => planOf(w).findings.map((f) => f.code);

describe('curves', () => {
  test('a quarter round between two runs is laid on from them: no straight joint where they meet', () => {
    const p = planOf(brick([{ run: 1000 }, { arc: 4000, sweep: 90 }, { run: 1000 }]));
    expect(p.runs).toHaveLength(3);
    expect(p.findings.map((f) => f.code)).not.toContain('straight-joint');
    // The outside of the curve is a quarter of a circle of 4 m: 6 283 mm, by geometry.
    expect(p.wall.runs[1]?.length).toBeCloseTo((Math.PI / 2) * 4000, 6);
    // Nothing is lost where the runs are parted.
    const bricks = p.runs.flatMap((r) => r.rows[0]?.pieces ?? []);
    const perps = p.runs.flatMap((r) => r.rows[0]?.perps ?? []);
    const sum = bricks.reduce((a, b) => a + b.to - b.from, 0) + perps.reduce((a, b) => a + b.width, 0);
    expect(sum).toBeCloseTo(2000 + (Math.PI / 2) * 4000, 3);
  });
  test('tighter than its wedge joints allow is a fault that names the least radius', () => {
    const tight = planOf(brick([{ arc: 1500, sweep: 90 }]));
    const fault = tight.findings.find((f) => f.code === 'curve-too-tight');
    expect(fault?.severity).toBe('fault');
    // Joints 6 inside to 15 outside: 102.5 × 230 / 9 = 2 619 for whole bricks (M159).
    expect(fault?.says).toContain('2619');
    expect(codes(brick([{ arc: 5000, sweep: 60 }]))).not.toContain('curve-too-tight');
  });
  test('asking for the radius it names settles it', () => {
    const fixes = planOf(brick([{ arc: 1500, sweep: 90 }]), true).findings.find(
      (f) => f.code === 'curve-too-tight',
    )?.fixes;
    expect(fixes?.length).toBeGreaterThan(0);
  });
  test('a ring has no end: whole bricks all round, and as many joints as bricks', () => {
    const p = planOf(brick([{ arc: 3000, sweep: 360 }]));
    for (const course of [1, 2]) {
      expect(new Set(kinds(p, course))).toEqual(new Set(['stretcher']));
      const row = p.runs[0]?.rows[course - 1];
      expect(row?.perps).toHaveLength(row?.pieces.length ?? 0);
      const round =
        lengths(p, course).reduce((a, b) => a + b, 0) + (row?.perps ?? []).reduce((a, b) => a + b.width, 0);
      expect(round).toBeCloseTo(2 * Math.PI * 3000, 2);
    }
    expect(p.findings.map((f) => f.code)).not.toContain('line-not-closed');
    expect(p.findings.map((f) => f.code)).not.toContain('straight-joint');
  });
});

describe('corners that are not square', () => {
  const bay = brick([{ run: 2240 }, { turn: 45 }, { run: 1790 }, { turn: 45 }, { run: 2240 }]);
  test('one special a course at each, whichever face it lies on, and spares in the order', () => {
    const p = planOf(bay);
    const specials = p.runs.flatMap((r) => r.rows.flatMap((row) => row.pieces)).filter((x) => x.special);
    expect(specials).toHaveLength(2 * 12);
    expect(specials.every((s) => s.kind === 'corner')).toBe(true);
    expect(p.tally.specials).toEqual({ outside: 24, inside: 0 });
    const line = p.buy.find((l) => l.kind === 'corner');
    expect(line?.net).toBe(24);
    expect(line?.ordered).toBeGreaterThanOrEqual(26);
    expect(p.buy.reduce((sum, l) => sum + l.net - l.toSaw, 0)).toBeLessThanOrEqual(p.tally.total);
  });

  test('where a bay goes in its specials are inside squints: ordered apart, with spares of their own', () => {
    // A bay of two outside and two inside corners of 45°, twelve courses: twelve at each.
    const p = planOf({
      line: [
        { run: 1340 },
        { turn: -45 },
        { run: 1340 },
        { turn: 45 },
        { run: 1340 },
        { turn: 45 },
        { run: 1340 },
        { turn: -45 },
        { run: 1340 },
      ],
      height: 900,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
    });
    expect(p.tally.specials).toEqual({ outside: 24, inside: 24 });
    const bought = p.buy.filter((l) => l.special).map((l) => [l.unit, l.net, l.ordered]);
    expect(bought).toEqual([
      ['brick-215x102.5x65', 24, 26],
      ['brick-215x102.5x65-inside-squint', 24, 26],
    ]);
    const said = p.findings.filter((f) => f.code === 'squint-specials').map((f) => f.says);
    expect(said.map((t) => t.includes('inside squints'))).toEqual([true, false, false, true]);
  });
  test('said with the angle it is cut to', () => {
    const finding = planOf(bay).findings.find((f) => f.code === 'squint-specials');
    expect(finding?.says).toContain('135°');
    expect(finding?.says).toContain('67.5°');
  });
  test('the perps of the courses there lap half a brick', () => {
    const p = planOf(bay);
    const rows = p.runs[1]?.rows ?? [];
    const lap = Math.min(
      ...(rows[0]?.perps ?? [])
        .slice(0, 2)
        .map((x) => Math.min(...(rows[1]?.perps ?? []).map((y) => Math.abs(x.at - y.at)))),
    );
    expect(lap).toBeGreaterThan(100);
  });
  test('one too sharp for any unit is said to be so', () => {
    expect(codes(brick([{ run: 2240 }, { turn: 170 }, { run: 2240 }]))).toContain('run-not-planned');
  });
});
