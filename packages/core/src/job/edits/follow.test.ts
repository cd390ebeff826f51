import fc from 'fast-check';
import { anyEdit, chanceOf } from '../../test/anyEdit.js';
import { anyWall } from '../../test/anyWall.js';
import { documentOf, jobOf, soundJob, straight, sayFor } from '../../test/jobs.js';
import { threeRuns } from '../../test/threeRuns.js';
import { same } from '../../statement/same.js';
import { toMillimetres } from '../../measure/length.js';
import { plan } from '../../plan/plan.js';
import { setOutWall } from '../../stages/set-out/wall.js';
import { heightsIn } from '../../statement/walk.js';
import { movedWays } from '../../stages/gauge/ways/moved.js';
import { checkJob } from '../check.js';
import { wall as WALL } from '../forms/wall.js';
import { applyPatch } from './patch.js';
import { stated } from '../stated.js';
import type { JobDocument } from '../types.js';
import { copiedRun, copiedWall } from './copied.js';
import { reversedRun } from './reversed.js';
import { withoutItem } from './runs.js';

const ROUNDS = process.env.LONG === '1' ? 3000 : 150;

/** What hangs on the runs of a job's walls as it is read, to a micrometre. */
const hanging = (job: JobDocument): string =>
  JSON.stringify(
    job.walls.map((_, k) => {
      const { openings, tops, steps, piers, joints, changes, poured, steel, branches } = setOutWall(job, k);
      return { openings, tops, steps, piers, joints, changes, poured, steel, branches };
    }),
    (_key, value: unknown) => (typeof value === 'number' ? Math.round(value * 1000) / 1000 : value),
  );

const first = (job: JobDocument): JobDocument['walls'][number] => {
  const [wall] = job.walls;
  if (!wall) throw new Error('no wall');
  return wall;
};

const someWalls = fc.sample(anyWall, { numRuns: ROUNDS, seed: 14 }).map((w) => checkJob(documentOf(w)));

/** A job somebody has worked at, without pairs changed about: those do not come back. */
function worked(seed: number): JobDocument {
  const chance = chanceOf(seed);
  let job = threeRuns();
  for (let n = Math.floor(chance() * 5); n > 0; n--) job = anyEdit(job, chance, 'x');
  return job;
}

test('a run read from its other end and back is as it was', () => {
  let tried = 0;
  for (let seed = 1; seed <= ROUNDS; seed++) {
    const job = worked(seed);
    if (!checkJob(job).ok) continue;
    tried += 1;
    const run = seed % 3;
    const once = reversedRun(job, 0, run).job;
    const twice = reversedRun(once, 0, run).job;
    expect([seed, hanging(twice)]).toEqual([seed, hanging(job)]);
  }
  expect(tried).toBeGreaterThan(ROUNDS / 10);
});

test('what stands on a run stands as far from its end as it stood from its start, and walls that end on it too', () => {
  const job = soundJob({ ...threeRuns(), profile: 'uk' });
  const turned = reversedRun(job, 0, 2).job;
  const [was, is] = [setOutWall(job, 0), setOutWall(turned, 0)];
  const length = was.runs[2]?.length ?? NaN;
  const on = <T extends { run: number }>(list: readonly T[]): T => {
    const found = list.find((one) => one.run === 2);
    if (!found) throw new Error('nothing on it');
    return found;
  };
  for (const list of ['openings', 'piers', 'joints', 'tops', 'steps'] as const) {
    const [a, b] = [
      on(was[list] as { run: number; from: number; to: number }[]),
      on(is[list] as { run: number; from: number; to: number }[]),
    ];
    expect([list, b.from]).toEqual([list, expect.closeTo(length - a.to, 3)]);
    expect([list, b.to]).toEqual([list, expect.closeTo(length - a.from, 3)]);
  }
  expect([on(is.tops).left, on(is.tops).right]).toEqual([on(was.tops).right, on(was.tops).left]);
  expect(is.branches).toEqual([]);
  const wide = setOutWall(job, 1).thickness;
  expect(toMillimetres(stated(turned.walls[1]?.meets?.at ?? NaN))).toBeCloseTo(length - 2800 - wide, 3);
  // The other runs are left alone.
  expect(is.openings.filter((o) => o.run !== 2)).toEqual(was.openings.filter((o) => o.run !== 2));
});

test('a first run read from its other end has its openings in a mirror', () => {
  let tried = 0;
  for (const checked of someWalls) {
    if (!checked.ok) continue;
    const turned = reversedRun(checked.job, 0, 0).job;
    const [was, is] = [setOutWall(checked.job, 0), setOutWall(turned, 0)];
    const length = was.runs[0]?.length ?? NaN;
    was.openings.forEach((o, i) => {
      if (o.run !== 0) return;
      tried += 1;
      expect(is.openings[i]?.from).toBeCloseTo(length - o.to, 3);
    });
  }
  expect(tried).toBeGreaterThan(5);
});

test('a pair changed about cannot be read from the other end, and that is said', () => {
  const job = threeRuns();
  const piece = first(job).build.pieces?.[0];
  if (piece) piece.do = 'swap';
  const { job: turned, lost } = reversedRun(job, 0, 0);
  expect(lost.map(sayFor('mm'))).toEqual(['a pair of changed pieces']);
  expect(first(turned).build.pieces?.map((p) => p.id)).toEqual(['p1', 'p2']);
});

test('a run copied and its copy taken out again leaves what there was', () => {
  for (let seed = 1; seed <= ROUNDS; seed++) {
    const job = worked(seed);
    const items = first(job).line.flatMap((item, i) => ('turn' in item ? [] : [i]));
    const item = items[seed % items.length] ?? 0;
    const copied = copiedRun(job, 0, item).job;
    const back = withoutItem(copied, 0, item + 1).job;
    if (!same(back, job)) throw new Error(`${seed}`);
    const ids = [...JSON.stringify(first(copied).openings ?? []).matchAll(/"id":"([^"]*)"/g)].map(
      (m) => m[1],
    );
    expect(new Set(ids).size).toBe(ids.length);
  }
});

test('everything that stands on a run has its twin on the copy', () => {
  const copied = copiedRun(threeRuns(), 0, 2).job;
  const on = (run: number): string[] =>
    [...JSON.stringify(first(copied)).matchAll(/"run":(\d)[,}]/g)]
      .map((m) => m[1] ?? '')
      .filter((r) => r === `${run}`);
  expect(on(1)).toHaveLength(10);
  expect(on(2)).toHaveLength(10);
  expect(on(3)).toHaveLength(10);
  expect(copied.walls[1]?.meets?.run).toBe(3);
});

const OWN = { length: 300, height: 140, width: 140 };

test('a wall copied into another job is laid as it was, its own units with it', () => {
  for (const checked of someWalls.slice(0, ROUNDS / 5)) {
    if (!checked.ok) continue;
    const from = checked.job;
    const into = {
      ...jobOf({ line: straight("8'"), height: "4'", units: [{ id: 'own', actual: OWN }] }),
      profile: from.profile,
    };
    const { job, id } = copiedWall(from, 0, into);
    const sound = soundJob(job);
    const rows = (j: typeof sound, wall: string): unknown =>
      plan(j, [], { advise: false })
        .walls.find((w) => w.wall.id === wall)
        ?.leaves.map((l) => l.runs);
    expect(JSON.stringify(rows(sound, id))).toBe(JSON.stringify(rows(from, first(from).id)));
    expect(job.walls.slice(0, -1)).toEqual(into.walls);
  }
});

test('a unit the other job has under that name is brought under another, and the same one is not brought twice', () => {
  const wall = { line: straight("16'"), height: "4'", unit: 'own' };
  const from = jobOf({ ...wall, units: [{ id: 'own', actual: OWN }] });
  const other = jobOf({ ...wall, units: [{ id: 'own', actual: { ...OWN, length: 400 } }] });
  const brought = copiedWall(from, 0, other).job;
  expect(brought.units?.map((u) => u.id)).toEqual(['own', 'own-2']);
  expect(brought.walls.map((w) => [w.id, w.build.unit])).toEqual([
    ['w', 'own'],
    ['w-2', 'own-2'],
  ]);
  expect(copiedWall(from, 0, from).job.units).toHaveLength(1);
  expect(copiedWall(from, 0, { ...from, name: 'Another' }).job.units).toHaveLength(1);
});

test('what a wall took from its own job’s rules is said in another’s, and what only its site knows stays behind', () => {
  const from = soundJob(threeRuns());
  const into = {
    ...jobOf({ line: straight('3 m'), height: '1 m', unit: 'block-440x215x100', profile: 'uk', show: 'mm' }),
  };
  const { job, lost } = copiedWall(from, 0, into);
  const copy = job.walls[1];
  expect(copy).toMatchObject({ lengths: 'nominal', build: { bed: '9.525 mm', head: '9.525 mm' } });
  expect(copy?.poured).toBeUndefined();
  expect(lost.map(sayFor('mm'))).toEqual(['levels as poured']);
  const [a, b] = [setOutWall(from, 0), setOutWall(soundJob(job), 1)];
  expect(b.openings.map((o) => [o.from, o.to])).toEqual(a.openings.map((o) => [o.from, o.to]));
  // A wall that ends on another ends on none there.
  const brought = copiedWall(from, 1, into);
  expect(brought.lost.map(sayFor('mm'))).toEqual(['where it meets A']);
});

test('where the footing is moved every height goes with it, and the base where it is stated', () => {
  let tried = 0;
  for (const checked of someWalls) {
    if (!checked.ok) continue;
    const job = soundJob({
      ...checked.job,
      walls: checked.job.walls.map((w) => ({ ...w, base: 5000, grout: { fill: 'none', below: 300 } })),
    });
    for (const way of movedWays(setOutWall(job, 0)).filter((w) => w.kind === 'move-footing')) {
      const applied = applyPatch(job, way.edit);
      if (!applied.ok || way.up === undefined) throw new Error('it can be applied');
      tried += 1;
      const heights = (of: JobDocument): Map<string, number> =>
        new Map(heightsIn(of.walls[0], WALL).map((h) => [h.path, toMillimetres(stated(h.value))]));
      const [was, is] = [heights(job), heights(applied.value)];
      expect(was.size).toBeGreaterThan(1);
      // What stands on the base stays on it; all else stays where it is over the ground.
      for (const [path, height] of was)
        expect([path, is.get(path)]).toEqual([path, expect.closeTo(height === 0 ? 0 : height - way.up, 3)]);
      expect(setOutWall(applied.value, 0).base).toBeCloseTo(5000 + way.up, 3);
    }
  }
  expect(tried).toBeGreaterThan(10);
});

test('walls that are the same objects as in a sound job are not walked again, and the answer is the same', () => {
  for (let seed = 1; seed <= ROUNDS; seed++) {
    const chance = chanceOf(seed);
    const sound = checkJob(threeRuns());
    if (!sound.ok) throw new Error('it is sound');
    let before = sound.job;
    for (let n = 0; n < 6; n++) {
      const next = anyEdit(before, chance, 'x');
      const [again, whole] = [checkJob(next, { before }), checkJob(JSON.parse(JSON.stringify(next)))];
      if (!same(again, whole)) throw new Error(`${seed}: ${JSON.stringify([again, whole]).slice(0, 400)}`);
      if (again.ok) before = again.job;
    }
  }
});
