import { sayFor } from '../../test/jobs.js';
import type { Statement } from '../../statement/statement.js';
import { threeRuns, threeRunsOfStone } from '../../test/threeRuns.js';
import { checkJob } from '../check.js';
import { JOB_FORM } from '../form.js';
import { bareWall, withLine, withoutItem } from './runs.js';

/** Every number called `run` in a document, by where it stands. */
function runsIn(value: unknown, path = ''): Map<string, number> {
  if (typeof value !== 'object' || value === null) return new Map();
  return new Map(
    Object.entries(value).flatMap(([key, inner]) =>
      key === 'run' && typeof inner === 'number' && !/\/line\/\d+$/.test(path)
        ? [[path, inner] as const]
        : [...runsIn(inner, `${path}/${key}`)],
    ),
  );
}

test('the middle run taken out: what stood on it goes, what stood on the next goes along, and other walls follow', () => {
  const out = withoutItem(threeRuns(), 0, 2);
  const after = out.job;
  const before = runsIn(threeRuns());
  // One of each kind is gone; those of the third run stand on the second now, and none on a third.
  expect(runsIn(after).size).toBe(before.size - 10);
  expect(Math.max(...runsIn(after).values())).toBe(1);
  expect(after.walls[0]?.openings?.map((o) => [o.id, o.run])).toEqual([
    ['o0', 0],
    ['o2', 1],
  ]);
  expect(after.walls[0]?.steel?.cells?.map((c) => [c.id, c.run])).toEqual([
    ['c0', 0],
    ['c2', 1],
  ]);
  expect(after.walls[1]?.meets?.run).toBe(1);
  expect(out.lost.map(sayFor('mm'))).toEqual([
    'a changed piece',
    'an opening',
    'a level of the footing',
    'a top',
    'a step of the footing',
    'a row of vents',
    'a pier',
    'a movement joint',
    'a cell set by hand',
    'a starter',
  ]);
});

test.each([
  ['gap', 'a gap'],
  ['fit', 'stones laid out of the pile'],
] as const)('of stone, the middle run takes its stile, its post, its hole and its %s along', (on, called) => {
  const { job, lost } = withoutItem(threeRunsOfStone(on), 0, 2);
  expect([...runsIn(job).values()]).toEqual([0, 1, 0, 1, 0, 1]);
  expect(job.walls[0]?.[on]).toBeUndefined();
  expect(lost.map(sayFor('mm')).sort()).toEqual(['a stile', 'a post', 'a hole', called].sort());
  expect(checkJob(job).ok).toBe(true);
});

test('of stone, the first run taken out brings what stands on the others down', () => {
  const { job } = withoutItem(threeRunsOfStone('gap'), 0, 0);
  expect(job.walls[0]?.gap?.run).toBe(0);
});

test('the run another wall meets taken out: that wall meets none', () => {
  const out = withoutItem(threeRuns(), 0, 4);
  expect(out.job.walls[1]?.meets).toBeUndefined();
  expect(sayFor('mm')(out.lost.at(-1) ?? '')).toBe('where B meets it');
});

test('a turn taken out moves nothing', () => {
  const before = threeRuns();
  const { job, lost } = withoutItem(before, 0, 1);
  expect(lost).toEqual([]);
  expect(job.walls[0]).toEqual({ ...before.walls[0], line: before.walls[0]?.line.filter((_, i) => i !== 1) });
  expect(job.walls[1]).toBe(before.walls[1]);
});

test('a shorter line leaves nothing on runs it does not have', () => {
  const out = withLine(threeRuns(), 0, [{ run: 6000 }, { turn: 90 }, { run: 5000 }]);
  const after = out.job;
  expect(Math.max(...runsIn(after).values())).toBe(1);
  expect(checkJob(after).ok).toBe(true);
});

test('a wall like another has none of what stands on its runs', () => {
  const [wall] = threeRuns().walls;
  const bare = bareWall(wall as never);
  expect(runsIn(bare).size).toBe(0);
  expect(bare.build.unit).toBe('cmu-8x8x16');
});

/** Where the job file's form has a run's number. */
function runKeys(shape: Statement, path: string): string[] {
  if (shape.kind === 'list') return runKeys(shape.of, `${path}/*`);
  if (shape.kind === 'either') return shape.shapes.flatMap((s) => runKeys(s, path));
  if (shape.kind === 'byKey' || shape.kind === 'byTag')
    return Object.values(shape.cases).flatMap((s) => runKeys(s, path));
  if (shape.kind !== 'object') return [];
  return Object.entries(shape.keys).flatMap(([key, { shape: inner }]) =>
    key === 'run' && inner.kind === 'number' ? [path] : runKeys(inner, `${path}/${key}`),
  );
}

test('everything the file lets stand on a run is among what these edits were tried on', () => {
  const jobs = [threeRuns(), threeRunsOfStone('gap'), threeRunsOfStone('fit')];
  const tried = new Set(jobs.flatMap((job) => [...runsIn(job).keys()]).map((p) => p.replace(/\/\d+/g, '/*')));
  expect(new Set(runKeys(JOB_FORM, ''))).toEqual(tried);
});
