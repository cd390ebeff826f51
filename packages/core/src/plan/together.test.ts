import { applyPatch } from '../job/edits/patch.js';
import type { JobDocument, Wall } from '../job/types.js';
import { bondCost } from '../walling/units/judging/cost.js';
import { documentOf, faultsOf, soundJob, straight } from '../test/jobs.js';
import { lockEdit, type AsItStands } from './lock.js';
import { plan, type WallPlan } from './plan.js';
import { bondedTogether } from './together.js';
import { workWall } from './work.js';

const brick = { unit: 'brick-215x102.5x65', profile: 'uk' as const, show: 'mm' as const };

/** A wall of twenty bricks and two that are bonded into it. */
function yard(at: [number, number] = [1012.5, 2137.5]): JobDocument {
  const job = documentOf({ ...brick, line: straight(4490), height: 750 });
  const branch = documentOf({ ...brick, line: straight(2250), height: 750 }).walls[0] as Wall;
  at.forEach((place, i) =>
    job.walls.push({
      ...branch,
      id: `b${i}`,
      name: `Branch ${i}`,
      meets: { wall: 'w', run: 0, at: place, how: 'bonded' },
    }),
  );
  return job;
}

const costOfAll = (job: JobDocument): number =>
  job.walls.reduce((sum, _, i) => {
    const work = workWall(job, i);
    return sum + bondCost(work.wall, work.runs).total;
  }, 0);

const choice = (p: WallPlan | undefined) => p?.choices.find((c) => c.kind === 'starts-together');

describe('walls that bond into one another', () => {
  test('are weighed together; walls only tied are not', () => {
    const job = yard();
    expect(bondedTogether(job, 1)).toEqual([0, 1, 2]);
    const tied = yard();
    for (const w of tied.walls) if (w.meets) w.meets.how = 'tied';
    expect(bondedTogether(tied, 1)).toEqual([1]);
    expect(choice(plan(soundJob(tied)).walls[0])).toBeUndefined();
  });

  test('the way offered is the best of every start and every course of meeting there is', () => {
    for (const at of [
      [1012.5, 2137.5],
      [900, 2300],
      [1130, 2075],
    ] as [number, number][]) {
      const job = yard(at);
      let least = Infinity;
      for (let n = 0; n < 32; n++) {
        const other = structuredClone(job);
        other.walls.forEach((w, i) => (w.build.start = (n >> i) & 1 ? 'half' : 'whole'));
        other.walls.slice(1).forEach((w, i) => w.meets && (w.meets.on = (n >> (3 + i)) & 1 ? 'odd' : 'even'));
        least = Math.min(least, costOfAll(soundJob(other)));
      }
      const found = choice(plan(soundJob(job)).walls[0]);
      const after = applyPatch(job, found?.edit ?? []);
      expect(after.ok && costOfAll(soundJob(after.value))).toBeCloseTo(least, 6);
      expect(found?.applied).toBe(found?.edit.length === 0);
    }
  });
});

describe('a lock', () => {
  const job = soundJob(
    documentOf({
      ...brick,
      line: straight(4490),
      height: 765,
      openings: [{ at: 950, width: 900, sill: 0, head: 450 }],
    }),
  );
  const standing = (document: JobDocument): AsItStands => {
    const { wall, gauge } = workWall(document, 0);
    return { ...wall, courses: gauge.count };
  };
  const locked = (stage: 'gauge' | 'bond'): JobDocument => {
    const after = applyPatch(job, lockEdit(job, 0, standing(job), stage));
    if (!after.ok) throw new Error('not applied');
    return after.value;
  };

  test('writes down what the plan does, and changes nothing', () => {
    expect(locked('gauge').walls[0]?.build.gauge).toEqual({ courses: 10 });
    expect(locked('bond').walls[0]?.build).toMatchObject({ start: 'whole', cuts: 'panel', locked: ['bond'] });
    const [before, after] = [plan(job).walls[0], plan(soundJob(locked('bond'))).walls[0]];
    expect(after?.tally.pieces).toEqual(before?.tally.pieces);
  });

  test('nothing then proposes to change it', () => {
    const free = plan(job).walls[0];
    expect(free?.choices.filter((c) => c.stage === 'bond' && c.edit.length > 0).length).toBeGreaterThan(0);
    const held = plan(soundJob(locked('bond'))).walls[0];
    const edits = [
      ...(held?.choices ?? []).map((c) => c.edit),
      ...(held?.findings ?? []).flatMap((f) => f.fixes.map((x) => x.edit)),
    ];
    expect(edits.flat().some((step) => /build\/(start|cuts|corners|closers)/.test(step.path))).toBe(false);
  });

  test('is let go again, and what it wrote stays', () => {
    const one = locked('bond');
    const after = applyPatch(one, lockEdit(one, 0, standing(one), 'bond'));
    expect(after.ok && after.value.walls[0]?.build.locked).toBeUndefined();
    expect(after.ok && after.value.walls[0]?.build.start).toBe('whole');
  });
});

describe('weights', () => {
  const doc = (weights?: JobDocument['weights']): JobDocument => ({
    ...documentOf({
      ...brick,
      line: straight(8990),
      height: 2250,
      openings: [{ at: 3210, width: 1135, sill: 600, head: 1500 }],
    }),
    ...(weights ? { weights } : {}),
  });
  const costs = (document: JobDocument): Record<string, number> =>
    Object.fromEntries(
      (plan(soundJob(document)).walls[0]?.choices ?? []).map((c) => [c.kind, Math.round(c.cost)]),
    );

  test('are the job’s own where it says so, and the choices follow', () => {
    const usual = costs(doc());
    const dear = costs(doc({ bond: { cutPiece: 20 } }));
    const p = plan(soundJob(doc())).walls[0] as WallPlan;
    const sawn = p.runs.flatMap((r) => r.rows.flatMap((row) => row.pieces)).filter((x) => x.cutFrom !== null);
    // Each piece sawn costs ten more than it did; nothing else has changed. By hand.
    expect((dear['cuts-panel'] ?? 0) - (usual['cuts-panel'] ?? 0)).toBe(10 * sawn.length);
  });

  test('of an unknown name, or less than nothing, are refused', () => {
    expect(faultsOf({ ...doc(), weights: { bond: { cutPeice: 1 } } })[0]).toContain('/weights/bond/cutPeice');
    expect(faultsOf({ ...doc(), weights: { gauge: { cutCourse: -1 } } })[0]).toContain(
      '/weights/gauge/cutCourse',
    );
  });
});
