import fc from 'fast-check';
import { planOf, straight, type OneWall } from '../../../test/jobs.js';
import type { Piece } from '../laying/row.js';

/** Walls a bond; ten times as many with --long. */
const RUNS = process.env.LONG === '1' ? 300 : 30;

const BONDS = ['english', 'english-garden', 'flemish', 'flemish-garden'] as const;
type Bond = (typeof BONDS)[number];

/** A one-brick wall, twelve courses, with a window from the fifth to the eighth. */
const wall = (bond: Bond, length: number, window: { at: number; width: number } | null): OneWall => ({
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  line: straight(length),
  height: 900,
  build: { bond, wythes: 2 },
  openings: window ? [{ ...window, sill: 300, head: 600 }] : [],
});
const longOf = (p: Piece): number => p.to - p.from;
/** Half of a header less a joint: what stands beside a quoin header, and in a wall nowhere else. */
const CLOSER = (102.5 - 10) / 2;
const QUOINS = [215, 102.5, 158.75];

/** Pieces of the face, course by course. */
const rowsOf = (w: OneWall): Piece[][] => planOf(w).runs[0]?.rows.map((r) => [...r.pieces]) ?? [];

/** What a mason would not have: a piece under a half that is no closer beside a header; a joint out of its limits. */
function faultsIn(row: readonly Piece[], gaps: readonly [number, number][]): string[] {
  return row.flatMap((piece, i) => {
    const long = longOf(piece);
    const list: string[] = [];
    const beside = [row[i - 1], row[i + 1]].some((p) => p !== undefined && Math.abs(longOf(p) - 102.5) < 0.6);
    const closer = Math.abs(long - CLOSER) < 0.6 && beside;
    if (long < 102 && !closer) list.push(`a piece of ${long.toFixed(1)} at ${piece.from.toFixed(1)}`);
    const next = row[i + 1];
    const joint = next ? next.from - piece.to : 10;
    const jamb = gaps.some(
      ([from, to]) => Math.abs(piece.to - from) < 1 && Math.abs((next?.from ?? 0) - to) < 1,
    );
    if (!jamb && (joint < 5.9 || joint > 15.1))
      list.push(`a joint of ${joint.toFixed(1)} at ${piece.to.toFixed(1)}`);
    return list;
  });
}

/** Whether a piece at a quoin or a reveal is one a mason has: a stretcher, a header or a three-quarter; a closer only inside them. */
const isSound = (p: Piece | undefined): boolean =>
  p !== undefined && QUOINS.some((q) => Math.abs(longOf(p) - q) < 0.6);

describe.each(BONDS)('%s', (bond) => {
  test('that does not divide: shared over its perps or broken in mid-panel, both quoins sound, no piece under a half', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1800, max: 6000 }), (length) => {
        const w = wall(bond, length, null);
        rowsOf(w).forEach((row) => {
          expect(faultsIn(row, [])).toEqual([]);
          expect([isSound(row[0]), isSound(row.at(-1))]).toEqual([true, true]);
        });
        // Three courses of stretchers to one of headers leave a short wall no lap but a short one: said, as a note.
        const found = planOf(w).findings.map((f) => f.code);
        expect(found.filter((c) => c !== 'lap-short' || bond !== 'english-garden')).toEqual([]);
      }),
      { numRuns: RUNS },
    );
  });

  test('with a window off its bond: the reveals are sound too, and what does not divide is in the panels', () => {
    const walls = fc.record({
      length: fc.integer({ min: 4000, max: 6000 }),
      at: fc.integer({ min: 1300, max: 1700 }),
      width: fc.integer({ min: 900, max: 1300 }),
    });
    fc.assert(
      fc.property(walls, ({ length, at, width }) => {
        const w = wall(bond, length, { at, width });
        rowsOf(w).forEach((row, i) => {
          const beside = i >= 4 && i < 8;
          expect(faultsIn(row, beside ? [[at, at + width]] : [])).toEqual([]);
          if (!beside) return;
          expect(isSound(row.find((p) => Math.abs(p.to - at) < 1))).toBe(true);
          expect(isSound(row.find((p) => Math.abs(p.from - at - width) < 1))).toBe(true);
        });
        const faults = planOf(w).findings.filter((f) => f.severity === 'fault');
        expect(faults.map((f) => [f.code, f.course, f.at])).toEqual([]);
      }),
      { numRuns: RUNS },
    );
  });
});

test('a length a few millimetres over is shared: no brick is cut', () => {
  // 13 bricks and 5 mm: 2 930 over 12 perps is 10.4 mm a perp in the stretcher course.
  const rows = rowsOf(wall('english', 13 * 225 - 10 + 5, null));
  expect(rows[0]?.map(longOf).every((l) => Math.abs(l - 215) < 0.01)).toBe(true);
  expect((rows[0]?.[1]?.from ?? 0) - (rows[0]?.[0]?.to ?? 0)).toBeCloseTo(10 + 5 / 12, 6);
});
