import { checkJob } from '../../job/check.js';
import type { Build, JobDocument, Wall } from '../../job/types.js';
import { plan, type WallPlan } from '../../plan/plan.js';
import { planJson } from '../../plan/json.js';
import { inWords, sayFor, soundJob } from '../../test/jobs.js';
import { templateOf } from './peaks.js';
import { squaredIn } from './sorted.js';
import { stoneWork } from './work.js';

const say = sayFor('mm');
const DRY = { kind: 'dry', stone: 'sandstone', base: 700, top: 400 };
const RUBBLE = { kind: 'rubble', stone: 'limestone', thickness: 500 };

const job = (build: object, wall: Partial<Wall> = {}, others: Partial<Wall>[] = []): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'Stone',
  show: 'mm',
  profile: 'uk',
  walls: [
    { id: 'w', name: 'Wall', line: [{ run: 8000 }], height: 1200, build: build as Build, ...wall },
    ...(others as Wall[]),
  ],
});
const planned = (document: JobDocument): WallPlan => plan(soundJob(document)).walls[0] as WallPlan;
const work = (document: JobDocument) => {
  const p = planned(document);
  return stoneWork(p.wall, p.gauge);
};
interface Filed {
  walls: { stone: { pillars?: { at: number }[]; bridges?: object[]; loads: number; ordered: number } }[];
}
const filed = (document: JobDocument): Filed['walls'][0]['stone'] =>
  (planJson(plan(soundJob(document)), say) as unknown as Filed).walls[0]?.stone ?? {
    loads: NaN,
    ordered: NaN,
  };

test('pillars stand at both ends and evenly between, none farther apart than they may, each as wide as the wall is there', () => {
  const sloping = { tops: [{ id: 'T', kind: 'raked', run: 0, from: 0, to: 8000, left: 1200, right: 800 }] };
  const { pillars } = work(job({ ...DRY, by: 'pillars' }, sloping as never));
  // 8 m at most 3 m apart: three bays of 2667.
  expect(pillars.map((p) => Math.round(p.at))).toEqual([0, 2667, 5333, 8000]);
  expect(pillars.map((p) => Math.round(p.section.height))).toEqual([1200, 1067, 933, 800]);
  expect(work(job({ ...DRY, by: 'pillars', pillars: 1000 })).pillars).toHaveLength(9);
  expect(work(job(DRY)).pillars).toEqual([]);
  expect(filed(job({ ...DRY, by: 'pillars' })).pillars?.map((p) => p.at)).toHaveLength(4);
  expect(filed(job(DRY)).pillars).toBeUndefined();
});

test('a smoot is bridged by as many stones as the wall is wide at its head, and is asked nothing more; a wide culvert still is', () => {
  const opening = (o: object): Partial<Wall> => ({
    openings: [{ id: 'S', name: 'Smoot', run: 0, at: 3000, width: 300, sill: 0, head: 300, ...o }] as never,
  });
  const [b] = work(job(DRY, opening({ bridged: {} }))).bridges;
  // 700 at the base to 400 at 1200 up: 625 at 300 up, so three of 300; 300 clear and 150 at each end.
  expect(b).toMatchObject({ count: 3, length: 600, from: 2850, to: 3450, at: 300 });
  expect(b?.mass).toBeCloseTo(0.6 * 0.3 * 0.15 * 2300, 9);
  // Open to the top there is nothing to carry.
  expect(work(job(DRY, opening({ bridged: {}, head: 1200 }))).bridges).toEqual([]);
  const codes = (o: object): string[] =>
    plan(soundJob(job(DRY, opening(o)))).walls[0]?.findings.map((f) => f.code) ?? [];
  expect(codes({})).toContain('lintel-not-designed');
  expect(codes({ bridged: {} })).not.toContain('lintel-not-designed');
  expect(codes({ bridged: {}, width: 900 })).toContain('lintel-not-designed');
});

test('the last stone of a gable: as wide as both slopes leave it, its template and what it weighs', () => {
  const gable = (left: number, right: number): Partial<Wall> => ({
    height: 1200,
    tops: [
      { id: 'L', kind: 'raked', run: 0, from: 0, to: 4000, left: 1200, right: left },
      { id: 'R', kind: 'raked', run: 0, from: 4000, to: 8000, left: right, right: 1200 },
    ] as never,
  });
  const [p] = work(job(RUBBLE, gable(3200, 3200))).peaks;
  // Both slopes go up 1 in 2: 300 high is 600 to each side; 0.5 × 1.2 × 0.3 × 0.5 m of limestone.
  expect(p).toMatchObject({ at: 4000, top: 3200, foot: 2900, left: 600, right: 600, thick: 500 });
  expect(p?.mass).toBeCloseTo(0.09 * 2400, 6);
  if (!p) throw new Error('no peak');
  expect(templateOf(p).map((r) => r.up)).toEqual([0, 50, 100, 150, 200, 250, 300]);
  expect(templateOf(p)[3]).toMatchObject({ left: 300, right: 300 });
  const heavy = inWords(planned(job(RUBBLE, gable(3200, 3200)))).findings.filter(
    (f) => f.code === 'stone-heavy',
  );
  expect(heavy.map((f) => f.says).join()).toContain('The stone at the peak');
  // Slopes of 1 in 20: a stone of that height would be the wall, and 1 in 3 keeps it to 1.2 m.
  expect(work(job(RUBBLE, gable(1400, 1400))).peaks).toEqual([]);
  const [low] = work(job(RUBBLE, gable(1200 + 4000 / 3, 1200 + 4000 / 3))).peaks;
  expect(low && low.left + low.right).toBeCloseTo(1200, 6);
  // A step up is no peak, nor is a slope that only goes down.
  expect(work(job(RUBBLE, gable(3200, 2000))).peaks).toEqual([]);
  expect(work(job(RUBBLE)).peaks).toEqual([]);
  expect(work(job(DRY, gable(3200, 3200))).peaks).toEqual([]);
});

test('an end that comes to an old wall is toothed, bonded or tied, one to so much of its height', () => {
  const met = { id: 'old', name: 'Old barn', line: [{ run: 5000 }], height: 3000, build: RUBBLE as Build };
  const into = (how?: string) =>
    planned(
      job(RUBBLE, { meets: { wall: 'old', run: 0, at: 2000, ...(how ? { how } : {}) } as never }, [met]),
    ).into;
  // 1200 high: a pocket or a bonder to 600, a tie to 450 in both faces.
  expect(into('toothed')).toMatchObject({ count: 2, deep: 150, where: 'Old barn' });
  expect(into('bonded')).toMatchObject({ count: 2 });
  expect(into()).toMatchObject({ how: 'tied', count: 6 });
  expect(planned(job(RUBBLE)).into).toBeNull();
});

test('it comes in whole lorries, by what one brings', () => {
  const stone = filed(job(RUBBLE));
  // 8 × 1.2 × 0.5 m, seven parts in ten of it limestone at 2400, a tenth over: 8.87 t.
  expect(stone.ordered).toBeCloseTo(8 * 1.2 * 0.5 * 0.7 * 2400 * 1.1, 6);
  expect(stone.loads).toBe(1);
  expect(filed(job({ ...RUBBLE, load: '2 t' })).loads).toBe(5);
  expect(filed(job({ ...RUBBLE, load: '8870.4 kg' })).loads).toBe(1);
  expect(filed(job({ ...RUBBLE, load: '8.87 t' })).loads).toBe(2);
  const wrong = checkJob(job({ ...RUBBLE, load: 'a few' }));
  expect(wrong.ok ? [] : wrong.faults.map((f) => f.path)).toEqual(['/walls/0/build/load']);
});

test('measured stones are laid round an opening, which is said: the stretch beside it or under it may be laid by itself, and nothing is said then', () => {
  const of = (wall: Partial<Wall>): JobDocument => ({
    ...job(RUBBLE, {
      openings: [{ id: 'W', name: 'Window', run: 0, at: 3000, width: 900, sill: 400, head: 1000 }] as never,
      ...wall,
    }),
    pile: [{ id: 'S', length: 400, height: 200, depth: 300, count: 20 }],
  });
  const asked = (wall: Partial<Wall>) =>
    plan(soundJob(of(wall))).walls[0]?.findings.find((f) => f.code === 'stone-fit-round-opening');
  const found = asked({ fit: {} });
  expect(found?.fixes.map((f) => f.edit)).toEqual([
    [{ op: 'add', path: '/walls/0/fit/length', value: 3000 }],
    [
      { op: 'add', path: '/walls/0/fit/from', value: 3900 },
      { op: 'add', path: '/walls/0/fit/length', value: 4100 },
    ],
    [{ op: 'add', path: '/walls/0/fit/height', value: 400 }],
  ]);
  expect(found?.severity).toBe('note');
  // What is laid knows of it: no stone of the lay stands in it.
  const kept = planned(of({ fit: {} })).fit;
  expect(kept?.ask.around).toEqual([{ from: 3000, to: 3900, bottom: 400, top: 1000 }]);
  expect(asked({ fit: { length: 3000 } })).toBeUndefined();
  expect(asked({ fit: { from: 3900 } })).toBeUndefined();
  expect(asked({ fit: { height: 400 } })).toBeUndefined();
  expect(asked({})).toBeUndefined();
});

test('a dry wall ends in cheeks of squared stones, one to 300 in both faces; an end left open takes none', () => {
  const quoins = (build: object): number => {
    const p = planned(job(build));
    return squaredIn(p.wall, p.gauge).quoins;
  };
  expect(quoins(DRY)).toBe(2 * 2 * 4);
  expect(quoins({ ...DRY, ends: 'open' })).toBe(0);
});
