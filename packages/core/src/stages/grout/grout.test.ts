import fc from 'fast-check';
import type { Steel, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { applyPatch } from '../../job/edits/patch.js';
import { cellsOfPiece, coresOf, insideWidth } from '../steel/cells.js';
import { middleOf } from '../steel/shafts.js';
import { checkJob } from '../../job/check.js';
import {
  closed,
  documentOf,
  jobOf,
  planOf,
  soundJob,
  straight,
  type OneWall,
  sayFor,
} from '../../test/jobs.js';
import { filledVolume } from './fill.js';

const INCH = 25.4;
const CUBIC_INCH = INCH ** 3 / 1e9;
const BARS: Steel = { vertical: { bar: '#4', every: '32"' } };
const of = (wall: Partial<Wall>, more: Partial<OneWall> = {}): WallPlan =>
  planOf({
    line: straight("16'"),
    height: "8'",
    ...more,
    wall: { jointEvery: "900'", held: 'free-standing', ...wall },
  });
const grouted = (p: WallPlan): number => p.fills.reduce((s, f) => s + filledVolume(f.volume), 0) / CUBIC_INCH;

test('cells, webs and shells of every piece are the whole of it', () => {
  for (const unit of ['cmu-6x8x16', 'cmu-8x8x16', 'cmu-12x8x16', 'cmu-6x6x18', 'hollow-440x215x215']) {
    const p = planOf({ line: straight("16'"), height: "8'", unit });
    const cores = coresOf(p.wall.unit);
    if (!cores) throw new Error('hollow');
    for (const piece of p.runs[0]?.rows.slice(0, 2).flatMap((r) => r.pieces) ?? []) {
      const cells = cellsOfPiece(p.wall, piece, []);
      const length = piece.to - piece.from;
      const open = cells.reduce((s, c) => s + c.area, 0);
      const webs = (cells.length + 1) * cores.web * insideWidth(p.wall);
      const shells = 2 * cores.shell * length;
      // A sawn piece has no web at its cut end.
      if (piece.cutFrom === null) expect(open + webs + shells).toBeCloseTo(length * p.wall.unitWidth, 4);
    }
  }
});

test('a cell with a bar takes its own area in every course', () => {
  // 16 ft at 32 in: six bars on the spacing and the one at the far end; two stand in the halves of even courses.
  const p = of({ steel: BARS });
  const full = 6.3125 * 5.125;
  const half = 5.625 * 5.125;
  const inner = p.steel.verticals[0]?.bars.length ?? 0;
  const wanted = (inner - 2) * 12 * full * 8 + 2 * (6 * full + 6 * half) * 8;
  expect(grouted(p)).toBeCloseTo(wanted, 4);
});

test('a beam course is full height and inside width, and the cells in it are not counted again', () => {
  const without = grouted(of({ steel: BARS }));
  const p = of({ steel: { ...BARS, beams: [{ course: 'top', bar: '#4', count: 1 }] } });
  const beam = 191.625 * 5.125 * 8;
  // Course 12 is even: the cells it would have had are taken out of the shafts.
  const inner = p.steel.verticals[0]?.bars.length ?? 0;
  const cells = ((inner - 2) * 6.3125 + 2 * 5.625) * 5.125 * 8;
  expect(grouted(p)).toBeCloseTo(without - cells + beam, 4);
});

test('filled solid holds everything but webs: cells and the head joints between', () => {
  const p = of({ grout: { fill: 'all' } });
  const webs = 6 * (12 * 3 + 11 * 3 + 2 * 2);
  const wanted = (191.625 * 12 - webs) * 5.125 * 8;
  expect(grouted(p)).toBeCloseTo(wanted, 4);
});

test('below grade is solid, and above it only what is asked for', () => {
  const p = of({ steel: BARS, grout: { fill: 'steel', below: '16"' } });
  expect([...(p.fills[0]?.solid ?? [])]).toEqual([0, 1]);
  expect(grouted(p)).toBeGreaterThan(grouted(of({ steel: BARS })));
  const share = p.fills[0]?.byCourse ?? [];
  expect(share[0]).toBeGreaterThan((share[4] ?? 0) * 2);
});

test('every n-th cell, cells beside openings, and a cell turned on or off by hand', () => {
  const cells = (wall: Partial<Wall>, more: Partial<OneWall> = {}): number[] =>
    of(wall, more).fills[0]?.cells.flatMap((c, i) => (c.filled ? [i] : [])) ?? [];
  expect(cells({ grout: { fill: { every: 4 } } })).toEqual([0, 4, 8, 12, 16, 20]);
  const door: Partial<OneWall> = { openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }] };
  const beside = of({ grout: { fill: 'none', jambs: true } }, door).fills[0]?.cells.filter((c) => c.filled);
  expect(beside?.map((c) => Math.round((middleOf(c.shaft) / INCH) * 16) / 16)).toEqual([43.8125, 91.8125]);
  const by = (grout: boolean): Steel => ({
    ...BARS,
    cells: [{ id: 'K', run: 0, at: (grout ? 11.8125 : 35.8125) * INCH, grout }],
  });
  expect(cells({ steel: by(true) })).toContain(1);
  expect(cells({ steel: by(false) })).not.toContain(4);
});

test('no cell is filled twice: cells of a run never overlap where they stand beside one another', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 6, max: 40 }),
      fc.integer({ min: 6, max: 30 }),
      fc.integer({ min: 600, max: 4000 }),
      fc.integer({ min: 400, max: 1500 }),
      fc.constantFrom('half' as const, 'third' as const, 'quarter' as const, 'stack' as const),
      fc.constantFrom<'none' | 'steel' | 'all'>('none', 'steel', 'all'),
      (a, b, from, width, bond, fill) => {
        const w: OneWall = {
          line: closed(a * 203.2, b * 203.2),
          height: 1828.8,
          build: { bond },
          openings: [{ at: from, width, sill: 406.4, head: 1422.4 }],
          wall: {
            steel: { ...BARS, beams: [{ course: 'top', bar: '#4', count: 1 }] },
            grout: { fill },
          },
        };
        if (!checkJob(documentOf(w)).ok) return true;
        const p = planOf(w);
        const apart = p.fills.every((f) =>
          f.cells.every((x, i) =>
            f.cells.every(
              (y, k) =>
                k <= i ||
                x.shaft.to <= y.shaft.from + 1e-6 ||
                y.shaft.to <= x.shaft.from + 1e-6 ||
                x.shaft.high < y.shaft.low ||
                y.shaft.high < x.shaft.low,
            ),
          ),
        );
        // Never more than the hollow of the wall: inside width over the whole length and height.
        const hollow = p.runs.reduce((s, r) => s + (r.to - r.from), 0) * 5.125 * INCH * 1828.8;
        return apart && p.fills.reduce((s, f) => s + filledVolume(f.volume), 0) * 1e9 <= hollow + 1;
      },
    ),
    { numRuns: 80 },
  );
});

test('pours: no higher than needs no cleanouts unless asked, ended at beams, their grout the whole of it', () => {
  const p = of(
    {
      steel: {
        ...BARS,
        beams: [
          { course: 6, bar: '#4', count: 1 },
          { course: 'top', bar: '#4', count: 1 },
        ],
      },
    },
    { height: '13\' 4"' },
  );
  expect(p.pours.map((x) => [x.from, x.to])).toEqual([
    [1, 6],
    [7, 14],
    [15, 20],
  ]);
  expect(p.pours[0]?.stopsUnder).toBe(6);
  expect(p.pours.every((x) => x.cleanouts === 0)).toBe(true);
  expect(p.pours.reduce((s, x) => s + x.filled.volume, 0)).toBeCloseTo(
    p.fills.reduce((s, f) => s + filledVolume(f.volume), 0),
    9,
  );
  const high = of({ steel: BARS, grout: { fill: 'steel', pour: '12\' 8"' } }, { height: '12\' 8"' });
  expect(high.pours).toHaveLength(1);
  // One at each cell with a bar, and one lift of 12 ft 8 in once the wall has cured.
  expect(high.pours[0]?.cleanouts).toBe(high.steel.verticals[0]?.bars.length);
  expect(high.pours[0]?.lifts).toHaveLength(1);
});

test('a cell too tight for its pour is a fault, and a lower pour settles it', () => {
  // 4 in block: cells 2 1/8 in through; coarse grout poured 12 ft 8 in wants 3 × 3.
  const job = jobOf({
    line: straight("16'"),
    height: '12\' 8"',
    unit: 'cmu-4x8x16',
    wall: {
      jointEvery: "900'",
      held: 'free-standing',
      steel: BARS,
      grout: { fill: 'steel', aggregate: 'coarse', pour: '12\' 8"' },
    },
  });
  const tight = (plan(job).walls[0] as WallPlan).findings.find((f) => f.code === 'grout-space-tight');
  expect(tight?.severity).toBe('fault');
  expect(sayFor('ft-in')(tight?.says ?? '')).toContain('3″ × 3″');
  expect(tight?.fixes.length).toBeGreaterThan(0);
  const after = applyPatch(job, tight?.fixes[0]?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value), [], { advise: false }).walls[0];
  expect(again?.findings.some((f) => f.code === 'grout-space-tight')).toBe(false);
});

test('taper makes a cell hold less, and solid units hold nothing', () => {
  const own = (taper?: string): number =>
    grouted(
      of(
        { grout: { fill: 'all' } },
        {
          unit: 'own',
          units: [
            {
              id: 'own',
              family: 'block',
              actual: { length: '15 5/8"', height: '7 5/8"', width: '7 5/8"' },
              cells: 2,
              shell: '1 1/4"',
              web: '1"',
              ...(taper ? { taper } : {}),
            },
          ],
        },
      ),
    );
  expect(own('1/4"')).toBeLessThan(own());
  expect(grouted(of({ grout: { fill: 'all' } }, { unit: 'brick-modular-us' }))).toBe(0);
});

test('a bad cell does not cut every pour: it is filled as the wall goes up, and the pours stay as they are', () => {
  // A door at 4' 1" leaves one cell 1 5/8 in wide at its jamb; poured 8 ft at once it wants 2 1/2 by 3.
  const job = jobOf({
    line: straight("16'"),
    height: "8'",
    openings: [{ at: '49"', width: '3\' 4"', sill: 0, head: '6\' 8"' }],
    build: { cuts: 'jamb' },
    wall: { jointEvery: "900'", held: 'free-standing', grout: { fill: 'all', pour: "8'" } },
  });
  const before = plan(job).walls[0];
  const tight = before?.findings.find((f) => f.code === 'grout-space-tight');
  expect(sayFor('ft-in')(tight?.fixes[0]?.says ?? '')).toContain('course by course');
  const after = applyPatch(job, tight?.fixes[0]?.edit ?? []);
  if (!after.ok) throw new Error(after.why);
  const again = plan(soundJob(after.value), [], { advise: false }).walls[0];
  expect(again?.findings.map((f) => f.code)).not.toContain('grout-space-tight');
  expect(again?.pours.map((p) => p.height)).toEqual(before?.pours.map((p) => p.height));
  expect(again?.fills.flatMap((f) => f.cells).filter((c) => c.rises)).toHaveLength(1);
});

test('where most of the cells are too tight the wall is poured lower: filling each by hand is no way out', () => {
  const job = jobOf({
    line: straight("16'"),
    height: "8'",
    unit: 'cmu-4x8x16',
    wall: {
      jointEvery: "900'",
      held: 'free-standing',
      grout: { fill: 'all', aggregate: 'coarse', pour: "8'" },
    },
  });
  const tight = plan(job).walls[0]?.findings.find((f) => f.code === 'grout-space-tight');
  expect((tight?.fixes ?? []).some((f) => sayFor('ft-in')(f.says).includes('course by course'))).toBe(false);
});
