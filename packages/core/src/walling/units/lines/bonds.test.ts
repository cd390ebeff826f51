import { planJson } from '../../../plan/json.js';
import { leastPieceOf } from './lines.js';
import type { UnitBuild } from '../../../job/types.js';
import {
  closed,
  corner,
  kinds,
  lengths,
  planOf,
  straight,
  type OneWall,
  rowsBehind,
  sayFor,
} from '../../../test/jobs.js';

const brick = (build: Partial<UnitBuild>, more: Partial<OneWall> = {}): OneWall => ({
  line: straight(2015),
  height: 1200,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  build,
  ...more,
});
const codes = (w: OneWall): string[] => planOf(w).findings.map((f) => f.code);
const back = (p: ReturnType<typeof planOf>, course: number, run = 0): number[] =>
  (rowsBehind(p, run)[course - 1]?.pieces ?? []).map((x) => x.to - x.from);

describe('running bonds step by their part of a unit', () => {
  test.each([
    ['half', 225 / 2 - 10],
    ['third', 225 / 3 - 10],
    ['quarter', 225 / 4 - 10],
  ] as const)('%s: course 2 begins with a piece of %p mm', (bond, first) => {
    const p = planOf(brick({ bond }));
    expect(lengths(p, 1)[0]).toBe(215);
    expect(lengths(p, 2)[0]).toBeCloseTo(first, 3);
    // What one end lacks the other has: nine modules less a joint, whatever the step.
    expect(lengths(p, 2).reduce((a, b) => a + b + 10, -10)).toBeCloseTo(2015, 3);
  });
  test('stack bond: every perp over the one below, and a caution instead of faults', () => {
    const p = planOf(brick({ bond: 'stack' }));
    expect(lengths(p, 2)).toEqual(lengths(p, 1));
    expect(codes(brick({ bond: 'stack' }))).toEqual(['stack-bond']);
  });
  test('stack bond turns a corner with a closer beside the return, so that its perps still stand in line', () => {
    const p = planOf(brick({ bond: 'stack' }, { line: corner(2015, 2015) }));
    const line = (course: number): number[] =>
      (p.runs[1]?.rows[course - 1]?.perps ?? []).map((x) => Math.round(x.at));
    for (const at of line(2)) expect(line(1)).toContain(at);
  });
});

describe('one-brick walls', () => {
  test('English, stopped ends: stretchers back to back, then quoin header, closer, headers', () => {
    const p = planOf(brick({ bond: 'english', wythes: 2 }));
    expect(kinds(p, 1)).toEqual(Array(9).fill('stretcher'));
    expect(back(p, 1)).toEqual(Array(9).fill(215));
    expect(kinds(p, 2)).toEqual([
      'header',
      'closer',
      ...Array<string>(15).fill('header'),
      'closer',
      'header',
    ]);
    expect(back(p, 2)).toEqual([]);
    expect(codes(brick({ bond: 'english', wythes: 2 }))).toEqual([]);
  });
  test.each(['english', 'english-garden', 'flemish', 'flemish-garden'] as const)(
    '%s laps 40 mm or more everywhere, whole or broken in mid-panel (EN 1996-1-1 8.1.4: the greater of 0.4 of the height and 40)',
    (bond) => {
      // A length each of them divides: 27 stretchers is 9 Flemish pairs and a stretcher, and 7 garden groups and a stretcher.
      for (const run of [2015, 225 * 1.5 * 9 + 215, 787.5 * 7 + 215]) {
        const p = planOf(brick({ bond, wythes: 2 }, { line: straight(run) }));
        const rows = p.runs[0]?.rows ?? [];
        const laps = rows
          .slice(1)
          .flatMap((row, i) =>
            row.perps.map((x) => Math.min(...(rows[i]?.perps ?? []).map((y) => Math.abs(y.at - x.at)))),
          );
        expect([run, p.findings]).toEqual([run, []]);
        expect(Math.min(...laps)).toBeGreaterThan(40);
      }
    },
  );
  test('Flemish: a header over the middle of every stretcher', () => {
    const p = planOf(brick({ bond: 'flemish', wythes: 2 }, { line: straight(225 * 1.5 * 6 + 215) }));
    const middles = (course: number, kind: string): number[] =>
      (p.runs[0]?.rows[course - 1]?.pieces ?? [])
        .filter((x) => x.kind === kind)
        .map((x) => Math.round(x.from + x.to));
    const headers = middles(2, 'header').slice(1, -1);
    expect(headers.length).toBeGreaterThan(4);
    for (const at of headers) expect(middles(1, 'stretcher')).toContain(at);
    expect(p.findings).toEqual([]);
  });
  test('Flemish garden wall: three stretchers to a header, the header over the middle one', () => {
    const p = planOf(brick({ bond: 'flemish-garden', wythes: 2 }, { line: straight(787.5 * 4 + 675 - 10) }));
    expect(kinds(p, 1).slice(0, 8)).toEqual([
      'stretcher',
      'stretcher',
      'stretcher',
      'header',
      'stretcher',
      'stretcher',
      'stretcher',
      'header',
    ]);
    expect(kinds(p, 2).slice(0, 6)).toEqual([
      'header',
      'three-quarter',
      'header',
      'stretcher',
      'stretcher',
      'stretcher',
    ]);
    expect(p.findings).toEqual([]);
  });
  test('English garden wall: one course of headers in four', () => {
    const p = planOf(brick({ bond: 'english-garden', wythes: 2 }));
    const headers = [1, 2, 3, 4, 5, 6, 7, 8].filter(
      (c) => kinds(p, c).filter((k) => k === 'header').length > 4,
    );
    expect(headers).toEqual([2, 6]);
  });
  test('round a building each brick stands once: bricks and joints make up the wall', () => {
    const side = 225 * 10 - 10;
    const w = brick({ bond: 'english', wythes: 2 }, { line: closed(side, side), height: 600 });
    const p = planOf(w);
    expect(p.findings).toEqual([]);
    const gross = (4 * side - 4 * 215) * 215 * 600;
    const bricks = p.leaves.flatMap((l) => l.runs.flatMap((r) => r.rows)).flatMap((row) => row.pieces);
    const through = (k: string): boolean => k === 'header' || k === 'closer';
    const solid = bricks.reduce((sum, b) => sum + (b.to - b.from) * (through(b.kind) ? 215 : 102.5) * 65, 0);
    expect(p.tally.mortar.geometric * 1e9).toBeCloseTo(gross - solid, -3);
  });
  test('the second leaf has its own rows in the plan', () => {
    const p = planOf(brick({ bond: 'english', wythes: 2 }));
    const rows =
      (planJson({ walls: [p] }, sayFor('mm')) as { walls: { rows: { course: number; leaf: number }[] }[] })
        .walls[0]?.rows ?? [];
    expect(rows.slice(0, 4).map((r) => [r.course, r.leaf])).toEqual([
      [1, 0],
      [1, 1],
      [2, 0],
      [2, 1],
    ]);
  });
});

describe('units that cannot bond through', () => {
  const own: OneWall = brick({ bond: 'english', wythes: 2, unit: 'odd' });
  const job = { ...own, units: [{ id: 'odd', actual: { length: 210, height: 65, width: 105 } }] };
  test('are a fault, and both ways out of it hold', () => {
    const p = planOf(job, true);
    const finding = p.findings.find((f) => f.code === 'header-bond-impossible');
    expect(finding?.severity).toBe('fault');
    expect(finding?.fixes).toHaveLength(2);
  });
  test('too long they stand out past the back, and that is one too', () => {
    // 440 long and 140 wide: 160 would have to be left between the wythes.
    const p = planOf({ ...own, build: { ...own.build, unit: 'block-440x215x140' } });
    const finding = p.findings.find((f) => f.code === 'header-bond-impossible');
    expect(finding?.severity).toBe('fault');
    expect(finding?.says).toContain('stands out past');
  });
});

describe('closers beside corners', () => {
  // 140 mm block: the return is 140 where the half is 215; a slip of 65 beside it brings the perps back.
  const block = (closers: boolean): OneWall => ({
    line: corner(4490, 4490),
    height: 900,
    unit: 'block-440x215x140',
    profile: 'uk',
    show: 'mm',
    build: { closers },
  });
  const lap = (p: ReturnType<typeof planOf>): number => {
    const [odd, even] = [p.runs[1]?.rows[0]?.perps ?? [], p.runs[1]?.rows[1]?.perps ?? []];
    return Math.min(...odd.slice(3).map((x) => Math.min(...even.map((y) => Math.abs(y.at - x.at)))));
  };
  test('bring half bond back beside a return that is not half a unit', () => {
    expect(lap(planOf(block(true)))).toBeGreaterThan(220);
    expect(lap(planOf(block(false)))).toBeLessThan(160);
    expect(kinds(planOf(block(true)), 1, 1)[0]).toBe('closer');
  });
});

describe('two tied wythes', () => {
  test('the inner one is a wall of its own, shorter by a wythe and a joint at each corner', () => {
    const p = planOf(brick({ bond: 'half', wythes: 2 }, { line: closed(2240, 2240) }));
    const row = rowsBehind(p)[0]?.pieces ?? [];
    expect(row[0]?.from).toBeGreaterThanOrEqual(112.5 - 1e-6);
    expect(row.at(-1)?.to).toBeCloseTo(2240 - 112.5, 3);
    expect(p.tally.total).toBeGreaterThan(
      planOf(brick({ bond: 'half' }, { line: closed(2240, 2240) })).tally.total * 1.7,
    );
  });
});

describe('corners of unlike thickness', () => {
  const block = (unit: string, closers: boolean): OneWall => ({
    line: closed("24'", "16'"),
    height: "8'",
    unit,
    build: { closers },
    wall: { jointEvery: "90'" },
  });
  test('12 in block: the closer beside the return is 12 in block, bought and not sawn, and no fault', () => {
    const p = planOf(block('cmu-12x8x16', true));
    expect(p.findings.filter((f) => f.severity === 'fault')).toEqual([]);
    // 12 courses, four corners, one closer beside each return: 24 in less 12 in of return, 11 5/8 on the tape.
    expect(p.buy.find((l) => l.kind === 'closer')).toMatchObject({ net: 48, toSaw: 0, ordered: 50 });
    const closer = p.runs[1]?.rows[0]?.pieces.find((x) => x.kind === 'closer');
    expect(closer?.cutFrom).toBe(null);
    expect(((closer?.to ?? 0) - (closer?.from ?? 0)) / 25.4).toBeCloseTo(11.625, 6);
  });
  test('4 in block: its closer is 3 5/8 in on the tape, 4 in nominal, and no sliver', () => {
    const p = planOf(block('cmu-4x8x16', true));
    expect(p.findings.map((f) => f.code)).not.toContain('sliver');
    expect(p.buy.find((l) => l.kind === 'closer')?.net).toBe(48);
  });
  test('the least piece is judged nominal where lengths are: 3 5/8 in of block; 4 in where they are what the tape reads', () => {
    const least = (lengths: 'nominal' | 'actual'): number =>
      leastPieceOf(planOf({ line: straight("10'"), height: "4'", lengths }).wall) / 25.4;
    expect(least('nominal')).toBeCloseTo(3.625, 9);
    expect(least('actual')).toBeCloseTo(4, 9);
  });
});
