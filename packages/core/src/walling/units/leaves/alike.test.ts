import fc from 'fast-check';
import type { UnitBuild, LineItem, Opening } from '../../../job/types.js';
import type { WallPlan } from '../../../plan/plan.js';
import { planOf, type OneWall } from '../../../test/jobs.js';
import { bondById } from '../../../tables/bonds.js';
import { KINDS } from '../laying/kinds.js';

/** Walls a run; twenty times as many with --long. */
const RUNS = process.env.LONG === '1' ? 400 : 20;
/** Half a brick and a joint, mm. */
const HALF = 112.5;
const JOINT = 10;
/** 36 courses of brick, a whole number of every bond's periods, and 12 of block, mm. */
const HEIGHT = 2700;

/** Ways to make a wall of more than one leaf. */
const builds: Partial<UnitBuild>[] = [
  { wythes: 2, bond: 'half' },
  { wythes: 2, bond: 'english' },
  { wythes: 2, bond: 'flemish' },
  { wythes: 2, bond: 'english-garden' },
  { bond: 'half', cavity: { inner: 'block-440x215x100', width: 75 } },
];

interface Side {
  length: number;
  turn: number;
  openings: { at: number; width: number }[];
}

/** Halves of a brick that are whole bricks: every bond closes on them, so that nothing is left for a choice between two ways alike. */
const whole = (min: number, max: number): fc.Arbitrary<number> =>
  fc.integer({ min: min / 2, max: max / 2 }).map((n) => 2 * n);

/** A building seen from above, side by side from a corner of it: a square one, or one with an inside corner. */
const buildings: fc.Arbitrary<Side[]> = fc
  .record({
    a: whole(24, 40),
    b: whole(24, 40),
    c: whole(8, 14),
    d: whole(8, 14),
    inside: fc.boolean(),
    window: fc.option(fc.integer({ min: 3, max: 6 }), { nil: null }),
  })
  .map(({ a, b, c, d, inside, window }) => {
    const side = (length: number, turn: number): Side => ({ length, turn, openings: [] });
    // Between two outside corners a joint less than whole halves; from an inside one to an outside one just those.
    const out = (halves: number): Side => side(halves * HALF - JOINT, 90);
    const sides = inside
      ? [out(a), out(b), out(c), side(d * HALF, -90), side((a - c) * HALF, 90), out(b - d)]
      : [out(a), out(b), out(a), out(b)];
    // On the perps of a side, so that no choice between two ways alike decides.
    if (window !== null)
      sides[0]?.openings.push({ at: window * 2 * HALF - JOINT, width: 4 * 2 * HALF + JOINT });
    return sides;
  });

function wallOf(sides: readonly Side[], build: Partial<UnitBuild>): OneWall {
  const line = sides.flatMap((s, i): LineItem[] => [
    { run: s.length },
    ...(i < sides.length - 1 ? [{ turn: s.turn }] : []),
  ]);
  const openings = sides.flatMap((s, run) =>
    s.openings.map((o, i): Opening => ({
      id: `O${run}.${i}`,
      run,
      at: o.at,
      width: o.width,
      // As high as the wall: in a mirror odd and even courses change places, and a head would lie on the other kind.
      sill: 0,
      head: HEIGHT,
    })),
  );
  return {
    line,
    height: HEIGHT,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    lengths: 'actual',
    build: { corners: 'in-turn', ...build },
    openings,
  };
}

/** The same building begun at a corner further on. */
const begunAt = (sides: readonly Side[], corner: number): Side[] => [
  ...sides.slice(corner),
  ...sides.slice(0, corner),
];

/** The same building in a mirror: gone round the other way, so that the outside stays on the same hand. */
function mirrored(sides: readonly Side[]): Side[] {
  const n = sides.length;
  return sides.map((_, i) => {
    const s = sides[n - 1 - i] as Side;
    // The turn after a side is the one that was before it.
    const before = sides[(n - 2 - i + n) % n] as Side;
    return {
      length: s.length,
      turn: before.turn,
      openings: s.openings.map((o) => ({ at: s.length - o.at - o.width, width: o.width })),
    };
  });
}

/** What each leaf is made of: its pieces by kind, or of a leaf whose unit is not the openings' in all; how long they are together, mm. */
const leavesOf = (p: WallPlan): number[][] =>
  p.leaves.map((leaf) => {
    const pieces = leaf.runs.flatMap((r) => r.rows.flatMap((row) => row.pieces));
    const long = pieces.reduce((sum, x) => sum + x.to - x.from, 0);
    const kinds = KINDS.map((k) => pieces.filter((x) => x.kind === k).length);
    return [...(leaf.heldBy === 'cavity' ? [pieces.length] : kinds), Math.round(long)];
  });

function expectAlike(a: WallPlan, b: WallPlan): void {
  expect(leavesOf(a)).toEqual(leavesOf(b));
  a.tallies.forEach((t, i) =>
    expect(t.tally.mortar.geometric).toBeCloseTo(b.tallies[i]?.tally.mortar.geometric ?? NaN, 7),
  );
}

describe.each(builds)('a building in %j', (build) => {
  // Every second side of a wall in a header bond takes both its corners: begun at the next one its courses change places.
  const on = bondById(build.bond ?? 'half').family === 'header' ? 2 : 1;

  test('begun at another corner counts the same, leaf by leaf', () => {
    fc.assert(
      fc.property(buildings, (sides) => {
        expectAlike(planOf(wallOf(begunAt(sides, on), build)), planOf(wallOf(sides, build)));
      }),
      { numRuns: RUNS },
    );
  });

  test('seen in a mirror counts the same, leaf by leaf', () => {
    fc.assert(
      fc.property(buildings, (sides) => {
        expectAlike(planOf(wallOf(mirrored(sides), build)), planOf(wallOf(sides, build)));
      }),
      { numRuns: RUNS },
    );
  });
});

test.each(builds)('two runs that meet at nothing are one, leaf by leaf, in %j', (build) => {
  fc.assert(
    fc.property(fc.integer({ min: 8, max: 40 }), fc.integer({ min: 3, max: 20 }), (modules, first) => {
      const length = 2 * modules * HALF - JOINT;
      const at = Math.min(first, modules - 2) * 2 * HALF + 60;
      const of = (line: LineItem[]): WallPlan => planOf({ ...wallOf([], build), line });
      expectAlike(of([{ run: at }, { run: length - at }]), of([{ run: length }]));
    }),
    { numRuns: RUNS },
  );
});
