import fc from 'fast-check';
import { applyPatch } from '../../../job/edits/patch.js';
import type { JobDocument, PieceChange, Pier, Wall } from '../../../job/types.js';
import { SHOWN } from '../../pieces.js';
import { pieceColumns } from '../columns.js';
import {
  documentOf,
  jobOf,
  kinds,
  lengths,
  planOf,
  soundJob,
  straight,
  type OneWall,
  rowsBehind,
  inWords,
  type SaidPlan,
  sayFor,
} from '../../../test/jobs.js';
import { plan, type WallPlan } from '../../../plan/plan.js';
import type { Piece } from '../laying/row.js';
import { ventPlaces } from './vents.js';

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };
/** Ten bricks long, ten courses of 75. */
const wall = (over: Partial<OneWall>): OneWall => ({ ...brick, line: straight(2240), height: 750, ...over });
const change = (c: Partial<PieceChange>): PieceChange => ({
  id: 'C',
  run: 0,
  course: 1,
  at: 107.5,
  length: 215,
  do: 'split',
  ...c,
});
const withChanges = (pieces: PieceChange[], over: Partial<OneWall> = {}): SaidPlan =>
  planOf(wall({ build: { pieces }, ...over }), true);
const codes = (p: WallPlan): string[] => p.findings.map((f) => f.code);
const first = (document: JobDocument): SaidPlan => inWords(plan(soundJob(document)).walls[0] as WallPlan);

describe('units laid otherwise', () => {
  test('parted in two halves, with a joint between', () => {
    const p = withChanges([change({})]);
    expect(lengths(p, 1).slice(0, 3)).toEqual([102.5, 102.5, 215]);
    expect(kinds(p, 1).slice(0, 2)).toEqual(['half', 'half']);
    expect(lengths(p, 3)[0]).toBe(215);
  });

  test('changed about with the next one on', () => {
    // Course 2 begins on a half: changed with the stretcher after it, the stretcher comes first.
    const p = withChanges([change({ course: 2, at: 51, length: 102.5, do: 'swap' })]);
    expect(lengths(p, 2).slice(0, 3)).toEqual([215, 102.5, 215]);
  });

  test('turned across the wall, it shows its end and the rest of its place is filled', () => {
    const p = withChanges([change({ do: 'turn' })]);
    expect(kinds(p, 1).slice(0, 2)).toEqual(['header', 'half']);
    expect(lengths(p, 1).slice(0, 2)).toEqual([102.5, 102.5]);
  });

  test('a sawn unit turned end for end lies where it lay; a whole one is the same either way, and the wall says so', () => {
    const sawn = (more: PieceChange[]): WallPlan =>
      withChanges([change({ course: 1, at: 2107.5, length: 165, do: 'end-for-end' }), ...more], {
        line: straight(2190),
      });
    const last = (p: WallPlan): Piece | undefined => p.runs[0]?.rows[0]?.pieces.at(-1);
    expect(last(sawn([]))).toMatchObject({ from: 2025, to: 2190, turned: true });
    // Turned twice it is as it was.
    const again = change({ id: 'E', course: 1, at: 2107.5, length: 165, do: 'end-for-end' });
    expect(last(sawn([again]))?.turned).toBeUndefined();
    const whole = withChanges([change({ do: 'end-for-end' })]);
    expect(whole.findings.find((f) => f.code === 'piece-change-lost')?.says).toContain(
      'the same either way round',
    );
  });

  test('it stays through edits that leave the unit there, and is reported when they do not', () => {
    expect(codes(withChanges([change({})], { height: 900 }))).not.toContain('piece-change-lost');
    const lost = withChanges([change({})], { build: { start: 'half', pieces: [change({ at: 60 })] } });
    const found = lost.findings.find((f) => f.code === 'piece-change-lost');
    expect(found?.says).toContain('another unit stands there now');
    expect(found?.fixes[0]?.says).toBe('Forget the change');
    expect(lengths(lost, 1)[0]).toBe(102.5);
  });

  test('a change in a place that is gone says so', () => {
    const p = withChanges([change({ at: 2100 })], { line: straight(1790) });
    expect(p.findings.find((f) => f.code === 'piece-change-lost')?.says).toContain(
      'no unit stands there now',
    );
  });

  test('a change in a course that is gone says so, and nothing is refused', () => {
    const p = withChanges([change({ course: 12 }), change({ id: 'D', run: 4 })]);
    expect(p.findings.filter((f) => f.code === 'piece-change-lost')).toHaveLength(2);
  });

  test('whatever is changed, the course is as long as it was', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<PieceChange['do']>('split', 'swap', 'turn', 'end-for-end'),
        fc.integer({ min: 1, max: 10 }),
        fc.integer({ min: 0, max: 2240 }),
        (does, course, at) => {
          const p = withChanges([change({ course, at, do: does })]);
          const row = p.runs[0]?.rows[course - 1];
          const sum =
            (row?.pieces ?? []).reduce((s, x) => s + x.to - x.from, 0) +
            (row?.perps ?? []).reduce((s, x) => s + x.width, 0);
          return Math.abs(sum - 2240) < 1e-6;
        },
      ),
      { numRuns: 100 },
    );
  });
});

describe('air bricks and vents', () => {
  test('none further from the next than asked, and spread evenly', () => {
    // 8 m at 2 m at most: four, one metre in from either end. By hand.
    expect(ventPlaces(8000, 2000)).toEqual([1000, 3000, 5000, 7000]);
    expect(ventPlaces(8100, 2000)).toHaveLength(5);
  });

  test('they stand on whole units, and are bought in their place', () => {
    const over = { vents: [{ id: 'V', run: 0, course: 3, what: 'air-brick' as const, every: 800 }] };
    const [with_, without] = [planOf(wall({ wall: over })), planOf(wall({}))];
    const set = (with_.runs[0]?.rows[2]?.pieces ?? []).filter((x) => x.fitting === 'air-brick');
    expect(set).toHaveLength(3);
    expect(set.every((x) => x.kind === 'stretcher' && Math.abs(x.to - x.from - 215) < 1e-9)).toBe(true);
    const net = (p: WallPlan, unit: string): number =>
      p.buy.filter((l) => l.unit === unit && l.kind === 'stretcher').reduce((s, l) => s + l.net, 0);
    expect(net(with_, 'air-brick')).toBe(3);
    expect(net(without, brick.unit) - net(with_, brick.unit)).toBe(3);
    expect(with_.tally.total).toBe(without.tally.total);
  });

  test('where a course has no whole unit near, it says so and offers the next', () => {
    const p = planOf(
      wall({
        openings: [{ at: 0 + 225, width: 1790, sill: 150, head: 600 }],
        wall: { vents: [{ id: 'V', run: 0, course: 4, what: 'vent', every: 3000 }] },
      }),
      true,
    );
    expect(codes(p)).toContain('vents-short');
  });
});

describe('soldiers', () => {
  const over = (width: number, head = 450): SaidPlan =>
    planOf(
      {
        ...brick,
        line: straight(2690),
        height: 1050,
        openings: [{ at: 900, width, sill: 0, head, over: 'soldiers' }],
      },
      true,
    );

  test('twelve bricks on end fill four bricks and a joint with joints of 10', () => {
    // 12 × 65 + 13 × 10 = 910, by hand.
    const p = over(910);
    const set = (p.runs[0]?.rows ?? []).flatMap((r) => r.pieces).filter((x) => x.fitting === 'soldier');
    expect(set).toHaveLength(12);
    set.forEach((x, i) => {
      expect(x.from).toBeCloseTo(900 + 10 + i * 75, 9);
      expect(x.to - x.from).toBeCloseTo(65, 9);
    });
    // They end with the third course over the head: 450 + 10 + 215 = 675.
    expect(set[0]?.band).toEqual({ from: 460, to: 675 });
    expect(codes(p)).not.toContain('soldiers-off-gauge');
    expect(p.findings.find((f) => f.code === 'soldiers')?.says).toContain('12 soldiers');
  });

  test('no unit of the courses stands where they do, and the courses go on over them', () => {
    const p = over(910);
    for (const course of [7, 8, 9])
      expect(
        (p.runs[0]?.rows[course - 1]?.pieces ?? []).some((x) => !x.fitting && x.from < 1810 && x.to > 900),
      ).toBe(false);
    expect((p.runs[0]?.rows[9]?.pieces ?? []).some((x) => x.from < 1810 && x.to > 900)).toBe(true);
  });

  test('joints that cannot be alike inside their limits are a fault, settled by the width', () => {
    const found = over(880).findings.find((f) => f.code === 'head-joint-out' || f.code === 'soldiers');
    expect(found?.says).toMatch(/joint/);
    // 11 × 65 + 12 × j = 880 leaves 13.75; 12 leave 100/13 = 7.7: inside 6 to 15, so no fault.
    expect(over(880).findings.some((f) => f.code === 'head-joint-out' && f.says.includes('soldier'))).toBe(
      false,
    );
    const odd = over(150).findings.find((f) => f.code === 'head-joint-out' && f.says.includes('soldier'));
    // Two leave 20/3 = 6.7: inside. One leaves 42.5: the choice of two is right, so nothing is said.
    expect(odd).toBeUndefined();
    const tight = over(130).findings.find((f) => f.code === 'head-joint-out' && f.says.includes('soldier'));
    // One leaves 32.5; two leave none: whichever, it is out.
    expect(tight?.severity).toBe('fault');
  });
});

describe('piers', () => {
  const pier = (over: Partial<Pier> = {}): Partial<Wall> => ({
    piers: [{ id: 'P', run: 0, at: 900, width: 215, ...over }],
  });

  test('a one-brick pier bonds in by headers where a perp stands inside it, and no perps come in line', () => {
    const p = planOf(wall({ wall: pier() }), true);
    // Course 1 has a stretcher from 900 to 1 115, and another behind it. Course 2 has a perp at 1 007.5: over it a
    // header, a three-quarter on either side of it, and two closers behind. By hand.
    expect(rowsBehind(p)[0]?.pieces.map((x) => x.kind)).toEqual(['stretcher']);
    const second = (p.runs[0]?.rows[1]?.pieces ?? []).filter((x) => x.from > 780 && x.to < 1240);
    expect(second.map((x) => [x.kind, x.to - x.from])).toEqual([
      ['three-quarter', 158.75],
      ['header', 102.5],
      ['three-quarter', 158.75],
    ]);
    expect(rowsBehind(p)[1]?.pieces.map((x) => [x.kind, x.to - x.from])).toEqual([
      ['closer', 46.25],
      ['closer', 46.25],
    ]);
    expect(codes(p)).not.toContain('straight-joint');
    expect(codes(p)).not.toContain('lap-short');
    // Five courses with a brick behind, five with one brick more on the face and two closers: 20. By hand.
    expect(p.tally.total - planOf(wall({})).tally.total).toBe(20);
  });

  test('its mortar is what it encloses less its bricks', () => {
    const more =
      planOf(wall({ wall: pier() })).tally.mortar.geometric - planOf(wall({})).tally.mortar.geometric;
    // 215 × (102.5 + 10) × 750 enclosed. Behind: five bricks, ten closers, and five headers reaching 112.5 in. On
    // the face five more perps of 10. By hand.
    const enclosed = 215 * 112.5 * 750;
    const bricks = 5 * 65 * (215 * 102.5 + 2 * 46.25 * 102.5 + 102.5 * 112.5);
    const perps = 5 * 10 * 102.5 * 65;
    expect(more).toBeCloseTo((enclosed - bricks + perps) / 1e9, 9);
  });

  test('off the perps it bonds nowhere, and moving it settles that', () => {
    const doc = documentOf(wall({ wall: pier({ at: 950 }) }));
    const found = first(doc).findings.find((f) => f.code === 'pier-off-bond');
    expect(found?.fixes[0]?.says).toBe('Move P to 900 mm');
    const after = applyPatch(doc, found?.fixes[0]?.edit ?? []);
    expect(after.ok && codes(first(after.value))).not.toContain('pier-off-bond');
  });

  describe('on a one-brick wall', () => {
    const oneBrick = (bond: 'english' | 'flemish', over: Partial<Wall> = {}): OneWall => ({
      ...brick,
      line: straight(2015),
      height: 750,
      build: { bond, wythes: 2 },
      wall: over,
    });

    test('it bonds: headers from the back wythe into it in one course, stretchers behind the headers of the next', () => {
      const p = planOf(oneBrick('english', pier()), true);
      expect(codes(p)).not.toContain('pier-tied');
      expect(codes(p)).not.toContain('pier-off-bond');
      const inPier = (leaf: number, course: number): [string, number, number][] =>
        (p.leaves[leaf]?.runs[0]?.rows[course - 1]?.pieces ?? [])
          .filter((x) => x.from > 899 && x.to < 1116)
          .map((x) => [x.kind, x.from, x.to]);
      // Course 1: a stretcher on the face from 900; two headers behind it reach out. Course 2: headers go through the wall.
      expect(inPier(1, 1)).toEqual([
        ['header', 900, 1002.5],
        ['header', 1012.5, 1115],
      ]);
      expect(inPier(2, 1)).toEqual([]);
      expect(inPier(2, 2)).toEqual([['stretcher', 900, 1115]]);
      expect(p.leaves[2]?.offset).toBe(225);
      // One brick more a course: 215 by 112.5 is a brick and its joints.
      expect(p.tally.total - planOf(oneBrick('english')).tally.total).toBe(10);
    });

    test('its mortar is what it encloses less its bricks', () => {
      const of = (over?: Partial<Wall>): number => planOf(oneBrick('english', over)).tally.mortar.geometric;
      // Odd courses: two headers 112.5 into it, and a perp between them where a stretcher stood. By hand.
      const bricks = 65 * 5 * (2 * 102.5 * 112.5 + 215 * 102.5);
      const perps = 5 * 10 * 102.5 * 65;
      expect(of(pier()) - of()).toBeCloseTo((215 * 112.5 * 750 - bricks + perps) / 1e9, 9);
    });

    test('before the face it would have to go through the face: it is tied', () => {
      expect(codes(planOf(oneBrick('english', pier({ side: 'outside' }))))).toContain('pier-tied');
    });
  });

  test('units too short to reach through are tied', () => {
    const p = planOf(
      { line: straight(4500), height: 2250, unit: 'block-440x215x100', profile: 'uk', wall: pier() },
      true,
    );
    expect(p.findings.find((f) => f.code === 'pier-tied')?.says).toContain('3 ties');
  });
});

describe('tees', () => {
  const yard = (how: 'tied' | 'bonded' | 'toothed', over: Partial<Wall> = {}): JobDocument => {
    const main = documentOf({ ...brick, line: straight(4490), height: 750 });
    const branch = documentOf({ ...brick, line: straight(2250), height: 750 }).walls[0] as Wall;
    main.walls.push({
      ...branch,
      id: 'b',
      name: 'Branch',
      meets: { wall: 'w', run: 0, at: 1806.25, how },
      ...over,
    });
    return main;
  };

  test('bonded in, the branch goes through on even courses and shows its end in the wall it meets', () => {
    const [main, branch] = plan(soundJob(yard('bonded'))).walls as [WallPlan, WallPlan];
    const reach = (p: WallPlan, course: number): number =>
      Math.max(...(p.runs[0]?.rows[course - 1]?.pieces ?? []).map((x) => x.to));
    expect(reach(branch, 2)).toBeCloseTo(2250 + 102.5, 6);
    expect(reach(branch, 1)).toBeCloseTo(2250 - 10, 6);
    expect(main.runs[0]?.rows[1]?.shown).toEqual([{ from: 1806.25, to: 1908.75 }]);
    const kinds = pieceColumns(main, 0).flatMap((c) => [...c.kind]);
    expect(kinds.filter((k) => k === SHOWN)).toHaveLength(5);
    // Nothing of the wall itself stands where the branch does.
    expect((main.runs[0]?.rows[1]?.pieces ?? []).some((x) => x.from < 1908.75 && x.to > 1806.25)).toBe(false);
    expect(sayFor('mm')(branch.findings.find((f) => f.code === 'wall-meets')?.says ?? '')).toContain(
      'bonded in on even courses, 5 of them',
    );
  });

  test('toothed in, it goes a quarter of a brick deep and the wall it meets is left alone', () => {
    const [main, branch] = plan(soundJob(yard('toothed'))).walls as [WallPlan, WallPlan];
    expect(main.runs[0]?.rows[1]?.shown).toBeUndefined();
    expect(branch.wall.goesIn?.past).toBeCloseTo(51.25, 6);
    expect(sayFor('mm')(branch.findings.find((f) => f.code === 'wall-meets')?.says ?? '')).toContain(
      '5 pockets',
    );
  });

  test('courses that do not lie level cannot be bonded, and tying settles it', () => {
    const document = yard('bonded', { base: 30 });
    const found = plan(soundJob(document)).walls[1]?.findings.find((f) => f.code === 'tee-off-gauge');
    expect(found?.severity).toBe('fault');
    expect(found?.fixes.map((f) => sayFor('mm')(f.says))).toContain('Tie it instead');
  });
});

describe('symmetry about an opening', () => {
  test('asked for and not there, it is said, and a place where it reads alike is offered', () => {
    const doc = documentOf({
      ...brick,
      line: straight(4490),
      height: 1500,
      build: { cuts: 'jamb' },
      openings: [{ at: 1400, width: 910, sill: 600, head: 1200, symmetric: true }],
    });
    const found = first(doc).findings.find((f) => f.code === 'opening-not-symmetric');
    expect(found?.fixes.length).toBeGreaterThan(0);
    const after = applyPatch(doc, found?.fixes[0]?.edit ?? []);
    expect(after.ok && codes(first(after.value))).not.toContain('opening-not-symmetric');
  });

  test('in the middle of a wall of whole bricks it reads alike already', () => {
    // Twenty bricks; the opening is four and a joint, so eight whole bricks stand on either side.
    const p = first(
      documentOf({
        ...brick,
        line: straight(4490),
        height: 1500,
        openings: [{ at: 1790, width: 910, sill: 600, head: 1200, symmetric: true }],
      }),
    );
    expect(codes(p)).not.toContain('opening-not-symmetric');
  });
});

test('a wall with none of these is planned as it was', () => {
  const job = jobOf(wall({}));
  expect(plan(job).walls[0]?.runs[0]?.lost).toEqual([]);
});
