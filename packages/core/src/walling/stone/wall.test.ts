import fc from 'fast-check';
import { sectionOf } from '../../scene/section.js';
import { courseAbove } from '../../scene/courseAbove.js';
import { benchView } from '../../scene/view.js';
import { applyPatch } from '../../job/edits/patch.js';
import { builtOf } from '../../job/edits/builtOf.js';
import { checkJob } from '../../job/check.js';
import type { Build, JobDocument, LineItem, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { planJson } from '../../plan/json.js';
import { sayFor, soundJob } from '../../test/jobs.js';
import { wallingOf } from '../registry.js';

const say = sayFor('mm');

const stoneJob = (build: object, wall: Partial<Wall> = {}, more: Partial<JobDocument> = {}): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Stone',
  show: 'mm',
  profile: 'uk',
  ...more,
  walls: [{ id: 'w', name: 'Wall', line: [{ run: 4000 }], height: 1200, build: build as Build, ...wall }],
});

interface StoneJson {
  gross: number;
  face: number;
  back: number;
  hearting: number;
  mortar: number;
  voids: number;
  mass: number;
  ordered: number;
  bonders: number;
  throughs: { at: number; count: number; length: number }[];
  copes: number;
  copesMass?: number;
  footing?: { volume: number; mass: number };
  lines: {
    height: number;
    offset: { end: number; run: number; width: number; outer: number; inner: number }[];
  }[];
  stones?: { number: string; course: number; from: number; to: number; height: number; mass: number }[];
}
interface PlannedWall {
  stone: StoneJson;
  units: { total: number };
  leaves: { walling?: string; unit?: string }[];
  findings: { code: string; says: string; fixes: { edit: never[] }[] }[];
}

const planned = (job: JobDocument): WallPlan => plan(soundJob(job)).walls[0] as WallPlan;
function filed(job: JobDocument): { wall: PlannedWall; mortar: { geometric: number } } {
  const json = planJson(plan(soundJob(job)), say) as {
    walls: PlannedWall[];
    tally: { mortar: { geometric: number } };
  };
  return { wall: json.walls[0] as PlannedWall, mortar: json.tally.mortar };
}
const codes = (job: JobDocument): string[] => planned(job).findings.map((f) => f.code);

const GAP = {
  kind: 'dry',
  stone: 'ours',
  base: 700,
  top: 400,
  throughs: [
    { at: 450, every: 1000 },
    { at: 850, every: 1000 },
  ],
  copes: { height: 250, each: 80 },
  hearting: 0.3,
  voids: 0.25,
};
const OURS = { stones: [{ id: 'ours', density: 2600 }] };

test('a dry wall of known size weighs, leans and is held together as worked by hand', () => {
  // 4.000 × 1.200 × (0.700 + 0.400) / 2 = 2.640 m³; × 2.60 × 0.75 = 5.148 t; copes 4.000 × 0.400 × 0.250 × 0.80 × 2.60 = 0.832 t.
  const { stone } = filed(stoneJob(GAP, {}, OURS)).wall;
  expect(stone.gross).toBeCloseTo(2.64, 9);
  expect(stone.mass).toBeCloseTo(5148, 6);
  expect(stone.copesMass).toBeCloseTo(832, 6);
  expect(stone.hearting * 2600).toBeCloseTo(1544.4, 6);
  expect(stone.throughs.map((t) => [t.at, t.count, t.length])).toEqual([
    [450, 4, 587.5],
    [850, 3, 487.5],
  ]);
  expect(stone.copes).toBe(50);
  expect(stone.ordered).toBeCloseTo(stone.mass * 1.1, 6);
  for (const { height, offset } of stone.lines)
    for (const { width, outer, inner } of offset) {
      expect(width).toBeCloseTo(700 - height / 4, 6);
      expect(outer).toBeCloseTo(height / 8, 6);
      expect(inner).toBeCloseTo(height / 8, 6);
    }
  expect(stone.lines.map((l) => l.height)).toEqual([0, 450, 600, 850, 1200]);
});

test('ends of unlike height have lines of their own, and none over their top', () => {
  const job = stoneJob(
    { ...GAP, throughs: undefined },
    { tops: [{ id: 'T', run: 0, kind: 'raked', from: 0, to: 4000, left: 1200, right: 600 }] },
    OURS,
  );
  delete (job.walls[0]?.build as { throughs?: unknown }).throughs;
  const { stone } = filed(job).wall;
  const at = (height: number, end: number): number | undefined =>
    stone.lines.find((l) => l.height === height)?.offset.find((o) => o.end === end)?.width;
  // At 600 the high end is half way up and the low one at its top.
  expect([at(600, 0), at(600, 1)]).toEqual([550, 400]);
  expect([at(1200, 0), at(1200, 1)]).toEqual([400, undefined]);
  // Mean height 900, mean width 550.
  expect(stone.gross).toBeCloseTo(4 * 0.9 * 0.55, 9);
  expect(codes(job)).toContain('stone-ends-unlike');
});

const kinds = fc.oneof(
  fc.record({
    kind: fc.constantFrom('rubble', 'squared'),
    stone: fc.constantFrom('granite', 'limestone', 'sandstone', 'basalt'),
    thickness: fc.integer({ min: 300, max: 900 }),
    share: fc.double({ min: 0.4, max: 0.9, noNaN: true }),
    hearting: fc.double({ min: 0, max: 0.5, noNaN: true }),
    faces: fc.constantFrom(1, 2),
  }),
  fc
    .record({ base: fc.integer({ min: 400, max: 1200 }), lean: fc.integer({ min: 0, max: 300 }) })
    .chain(({ base, lean }) =>
      fc.record({
        kind: fc.constant('dry'),
        stone: fc.constantFrom('granite', 'sandstone'),
        base: fc.constant(base),
        top: fc.constant(base - lean),
        voids: fc.double({ min: 0, max: 0.5, noNaN: true }),
        copes: fc.constant({ height: 200, each: 90 }),
      }),
    ),
  fc.record({
    kind: fc.constant('ashlar'),
    stone: fc.constant('sandstone'),
    bed: fc.integer({ min: 100, max: 300 }),
    courses: fc.array(fc.integer({ min: 150, max: 400 }), { minLength: 1, maxLength: 4 }),
    longest: fc.integer({ min: 300, max: 1200 }),
  }),
);
const lines = fc.oneof(
  fc.integer({ min: 800, max: 20_000 }).map((run): LineItem[] => [{ run }]),
  fc
    .tuple(fc.integer({ min: 3000, max: 9000 }), fc.integer({ min: 3000, max: 9000 }))
    .map(([a, b]): LineItem[] => [{ run: a }, { turn: 90 }, { run: b }]),
);
const anyStone = fc
  .record({
    build: kinds,
    line: lines,
    height: fc.integer({ min: 400, max: 3000 }),
    hole: fc.option(
      fc.record({ at: fc.integer({ min: 0, max: 300 }), head: fc.integer({ min: 200, max: 390 }) }),
    ),
  })
  .map(({ build, line, height, hole }) =>
    stoneJob(build, {
      line,
      height,
      openings: hole ? [{ id: 'O', run: 0, at: hole.at, width: 400, sill: 0, head: hole.head }] : [],
    }),
  );

test('face, back, hearting, mortar and voids are the whole of any wall of stone, and its mortar is in the tally', () => {
  fc.assert(
    fc.property(anyStone, (job) => {
      const { wall, mortar } = filed(job);
      const { gross, face, back, hearting, mortar: own, voids, mass } = wall.stone;
      expect(face + back + hearting + own + voids).toBeCloseTo(gross, 6);
      expect(mortar.geometric).toBeCloseTo(own, 6);
      expect(mass).toBeGreaterThan(0);
      expect(wall.leaves[0]?.walling).toBe(job.walls[0]?.build.kind);
      expect(wall.leaves[0]?.unit).toBeUndefined();
    }),
    { numRuns: 80 },
  );
});

test('a wall in two stretches adds up to the wall in one', () => {
  fc.assert(
    fc.property(
      kinds,
      fc.integer({ min: 1500, max: 9000 }),
      fc.double({ min: 0.2, max: 0.8, noNaN: true }),
      (build, long, part) => {
        // Ashlar is cut afresh for each stretch.
        if (build.kind === 'ashlar') return;
        const at = Math.round(long * part);
        const of = (line: LineItem[]): StoneJson => filed(stoneJob(build, { line })).wall.stone;
        const [one, two] = [of([{ run: long }]), of([{ run: at }, { run: long - at }])];
        expect(two.gross).toBeCloseTo(one.gross, 6);
        expect(two.mass).toBeCloseTo(one.mass, 3);
        expect(two.mortar).toBeCloseTo(one.mortar, 6);
      },
    ),
    { numRuns: 60 },
  );
});

test('two runs share what stands at their corner', () => {
  // Outside 5 × 4 m of wall 500 thick and 1 m high: an L of 5 × 0.5 + 3.5 × 0.5 in plan.
  const { stone } = filed(
    stoneJob(
      { kind: 'rubble', stone: 'granite', thickness: 500 },
      { line: [{ run: 5000 }, { turn: 90 }, { run: 4000 }], height: 1000 },
    ),
  ).wall;
  expect(stone.gross).toBeCloseTo(5 * 0.5 + 3.5 * 0.5, 9);
});

/** Every stone of a cut list against those of the course under it, counted by hand of its places alone. */
function uncrossed(stones: NonNullable<StoneJson['stones']>, joint: number, lap: number): number {
  const joints = (course: number): number[] =>
    stones
      .filter((s) => s.course === course)
      .sort((a, b) => a.from - b.from)
      .flatMap((s, i, all) =>
        i > 0 && s.from - (all[i - 1]?.to ?? 0) < joint + 1 ? [s.from - joint / 2] : [],
      );
  const high = Math.max(...stones.map((s) => s.course));
  let count = 0;
  for (let c = 2; c <= high; c++)
    for (const at of joints(c)) if (joints(c - 1).some((b) => Math.abs(b - at) < lap - 1e-6)) count++;
  return count;
}

test('ashlar fills its courses, none longer than may be, and says every joint that is not crossed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1200, max: 9000 }), fc.integer({ min: 400, max: 1000 }), (run, longest) => {
      const job = stoneJob(
        { kind: 'ashlar', stone: 'sandstone', bed: 150, courses: [300, 250], longest },
        { line: [{ run }], height: 1100 },
      );
      const { stone, units } = filed(job).wall;
      const stones = stone.stones ?? [];
      expect(units.total).toBe(stones.length);
      for (const course of new Set(stones.map((s) => s.course))) {
        const row = stones.filter((s) => s.course === course);
        const long = row.reduce((sum, s) => sum + s.to - s.from, 0) + (row.length - 1) * 5;
        expect(long).toBeCloseTo(run, 4);
      }
      expect(Math.max(...stones.map((s) => s.to - s.from))).toBeLessThanOrEqual(longest + 1e-6);
      for (const s of stones) expect(s.mass).toBeCloseTo(((s.to - s.from) * s.height * 150 * 2300) / 1e9, 5);
      const lap = Math.max(40, longest / 4);
      expect(planned(job).findings.some((f) => f.code === 'lap-short')).toBe(uncrossed(stones, 5, lap) > 0);
    }),
    { numRuns: 60 },
  );
});

test('whatever wall of stone is drawn, cut through, seen from above and listed without a hole in it', () => {
  fc.assert(
    fc.property(anyStone, (job) => {
      const sound = soundJob(job);
      const [p] = plan(sound).walls;
      if (!p) return;
      p.wall.runs.forEach((run, i) => {
        const view = benchView(sound, p, i, 'mm', true);
        for (const c of view.elevation.pieces ?? [])
          for (let k = 0; k < c.count; k++) {
            expect(c.to[k] ?? 0).toBeGreaterThan(c.from[k] ?? 0);
            expect(c.from[k] ?? 0).toBeGreaterThan(-300);
            expect(c.to[k] ?? 0).toBeLessThan(run.length + 300);
          }
        expect(sectionOf(p, i, 'mm').scene.shapes.length).toBeGreaterThan(4);
      });
      expect(courseAbove(p, 1, 'mm', 10).courses).toBe(p.gauge.courses.length);
    }),
    { numRuns: 60 },
  );
});

test('what is offered for a wall of stone settles what it is offered for', () => {
  const dry = { kind: 'dry', stone: 'granite', base: 400, top: 390, throughs: [{ at: 600, every: 2500 }] };
  const walls: [JobDocument, string[]][] = [
    [stoneJob(dry), ['stone-base-narrow', 'stone-bonders-apart']],
    [stoneJob({ ...dry, base: 600, top: 600 }), ['stone-batter', 'stone-bonders-apart']],
    [stoneJob({ ...dry, base: 700, top: 400, throughs: [] }), ['stone-no-throughs']],
    [stoneJob({ ...dry, base: 1000, top: 700, throughs: undefined }, { height: 2000 }), ['engineer-needed']],
    [
      stoneJob({
        kind: 'rubble',
        stone: 'granite',
        thickness: 250,
        joint: 40,
        bonders: { along: 1500, up: 900 },
        mix: 'cement-lime-s',
      }),
      ['stone-thin', 'stone-joint-wide', 'stone-bonders-apart', 'mix-cautioned'],
    ],
    [stoneJob({ kind: 'rubble', stone: 'granite', thickness: 500 }), ['stone-bound-as-usual']],
    [
      stoneJob({ kind: 'rubble', stone: 'granite', thickness: 450, laid: 'flint', joint: 30 }),
      ['stone-no-lacing', 'stone-bound-as-usual'],
    ],
    [
      stoneJob({
        kind: 'rubble',
        stone: 'granite',
        thickness: 450,
        laid: 'polygonal',
        joint: 25,
        broughtTo: 600,
      }),
      ['stone-polygonal-levelled', 'stone-joint-wide'],
    ],
  ];
  for (const [job, wanted] of walls) {
    if ((job.walls[0]?.build as { throughs?: unknown }).throughs === undefined)
      delete (job.walls[0]?.build as { throughs?: unknown }).throughs;
    const sound = soundJob(job);
    const found = planned(sound).findings;
    expect(found.map((f) => f.code)).toEqual(expect.arrayContaining(wanted));
    for (const code of wanted) {
      const finding = found.find((f) => f.code === code);
      if (code === 'engineer-needed') expect(finding?.fixes).toEqual([]);
      else expect(finding?.fixes.length).toBeGreaterThan(0);
      for (const fix of finding?.fixes ?? []) {
        const after = applyPatch(sound, fix.edit);
        if (!after.ok) throw new Error(code);
        const left = planned(after.value).findings.filter((f) => f.code === code);
        expect(left.length).toBeLessThan(found.filter((f) => f.code === code).length);
      }
    }
  }
});

test('joints as wide as round stone wants are too wide for squared; a low flint wall needs no lacing', () => {
  const of = (laid: string, joint: number, height = 900): string[] =>
    codes(
      stoneJob(
        {
          kind: laid === 'snecked' ? 'squared' : 'rubble',
          stone: 'granite',
          thickness: 450,
          laid,
          joint,
          bonders: { along: 1000, up: 1000 },
        },
        { height },
      ),
    );
  expect(of('flint', 30)).toEqual([]);
  expect(of('snecked', 30)).toEqual(['stone-joint-wide']);
  expect(of('random', 25)).toEqual(['stone-joint-wide']);
  expect(of('random', 20)).toEqual([]);
  expect(of('flint', 30, 1100)).toEqual(['stone-no-lacing']);
});

test('a wall that has none of it is left alone: no bars, beds or bonds are spoken of', () => {
  const found = codes(
    stoneJob({ kind: 'rubble', stone: 'granite', thickness: 500, bonders: { along: 1000, up: 1000 } }),
  );
  expect(found).toEqual([]);
});

test('a facing is tied to the units behind it, and they are counted', () => {
  const job = stoneJob({
    kind: 'squared',
    stone: 'sandstone',
    thickness: 150,
    faces: 1,
    backing: { unit: 'block-440x215x100', gap: 25 },
  });
  const p = planned(job);
  expect(p.leaves.map((l) => l.wall.unit.id)).toEqual(['sandstone', 'block-440x215x100']);
  expect(p.tallies[1]?.tally.total).toBeGreaterThan(30);
  expect(codes(job)).toEqual([]);
});

test('another kind keeps what both know of', () => {
  const job = stoneJob({ kind: 'rubble', stone: 'granite', thickness: 500, mix: 'nhl-5' });
  const to = (kind: Build['kind']): Build | null => builtOf(job, 0, kind);
  expect(to('squared')).toMatchObject({ stone: 'granite', thickness: 500, mix: 'nhl-5' });
  expect(to('dry')).toMatchObject({ stone: 'granite', base: 600 });
  expect(to('units')).toMatchObject({ kind: 'units', mix: 'nhl-5' });
  expect(to('rubble')).toBeNull();
  for (const kind of ['units', 'squared', 'ashlar', 'dry'] as const)
    expect(checkJob(stoneJob(to(kind) ?? {})).ok).toBe(true);
});

test.each<[string, object, string]>([
  ['a stone nobody knows', { kind: 'rubble', stone: 'cheese', thickness: 500 }, '/walls/0/build/stone'],
  ['a top wider than its base', { ...GAP, stone: 'granite', base: 300 }, '/walls/0/build/top'],
  [
    'throughs without end',
    { ...GAP, stone: 'granite', throughs: [{ at: 400, every: 1 }] },
    '/walls/0/build/throughs/0/every',
  ],
  [
    'a unit on a wall of stone',
    { kind: 'rubble', stone: 'granite', thickness: 500, unit: 'cmu-8x8x16' },
    '/walls/0/build/unit',
  ],
  [
    'copes of nothing',
    { ...GAP, stone: 'granite', copes: { height: 200, each: 1 } },
    '/walls/0/build/copes/each',
  ],
])('%s is refused, and said where', (_, build, path) => {
  const checked = checkJob(stoneJob(build));
  expect(checked.ok ? [] : checked.faults.map((f) => f.path)).toContain(path);
});

test('joints that are pointed in another mud are mixed of it, and the rest of the wall of its own', () => {
  const build = { kind: 'rubble', stone: 'granite', thickness: 500, joint: 20, mix: 'nhl-3.5' };
  const of = (pointing: object): WallPlan => planned(stoneJob({ ...build, pointing }));
  const [same, other] = [of({ depth: 40 }), of({ depth: 40, mix: 'nhl-2' })];
  expect(same.mud.mixes.map((m) => m.mix.id)).toEqual(['nhl-3.5']);
  expect(other.mud.mixes.map((m) => m.mix.id)).toEqual(['nhl-3.5', 'nhl-2']);
  const used = (p: WallPlan): number => p.mud.mixes.reduce((sum, m) => sum + m.used, 0);
  expect(used(other)).toBeCloseTo(used(same), 9);
  // 4 × 1.2 m of face, 8 m of joint to each, 20 wide and 40 deep, both faces; by the same waste as the rest.
  const [, pointing] = other.mud.mixes;
  const waste = used(same) / same.tally.mortar.geometric;
  expect(pointing?.used).toBeCloseTo(4.8 * 8 * 0.02 * 0.04 * 2 * waste, 9);
});

test('lacing courses are laid level through flint, as long as the wall is there, and counted', () => {
  const build = {
    kind: 'rubble',
    stone: 'ours',
    thickness: 450,
    joint: 10,
    laid: 'flint',
    lacing: { every: 400, unit: 'brick-215x102.5x65', courses: 2 },
  };
  const p = planned(
    stoneJob(build, { openings: [{ id: 'O', run: 0, at: 1000, width: 890, sill: 0, head: 600 }] }, OURS),
  );
  const figure = wallingOf(p.wall)
    .figures(p, null)
    .find((f) => f.key === 'stone.lacing');
  // 1200 high: at 400 and 800. (4000 + 10) ÷ 225 = 17.8 and, less the hole, (3110 + 10) ÷ 225 = 13.9; four bricks through 450.
  expect(figure?.value).toBe(2 * 4 * (14 + 18));
  // Flint leaves more for mortar.
  expect(p.tally.mortar.geometric / (4 * 0.45 * 1.2 - 0.89 * 0.45 * 0.6)).toBeCloseTo(0.45, 6);
});
