import { documentOf, straight } from '../../test/jobs.js';
import type { JobDocument, Wall } from '../../job/types.js';
import { placedWalls } from './placing.js';

function yard(walls: Partial<Wall>[]): JobDocument {
  const job = documentOf({ line: straight(6000), height: 1000, profile: 'uk', show: 'mm' });
  const one = job.walls[0] as Wall;
  job.walls = walls.map((w, i) => ({ ...one, id: `w${i}`, name: `W${i}`, ...w }));
  return job;
}
const rounded = (job: JobDocument) =>
  placedWalls(job).map((w) => w.points.map((p) => [Math.round(p.x), Math.round(p.y)]));

test('a wall stands where it was placed, turned as it was said', () => {
  const [a] = rounded(yard([{ place: { x: '2 m', y: 1000, heading: 90 } }]));
  expect(a).toEqual([
    [2000, 1000],
    [2000, 7000],
  ]);
});

test('a wall that ends on another comes square to it from its inside', () => {
  // The long wall runs east, so its inside, on the left, is north: the branch comes down from there.
  const [, b] = rounded(yard([{}, { line: straight(2000), meets: { wall: 'w0', run: 0, at: 1500 } }]));
  expect(b).toEqual([
    [1500, 2000],
    [1500, 0],
  ]);
});

test('a branch may be listed before the wall it meets, and a branch of a branch follows it', () => {
  const job = yard([
    { line: straight(800), meets: { wall: 'w1', run: 0, at: 500 } },
    { line: straight(2000), meets: { wall: 'w2', run: 0, at: 1500 } },
    {},
  ]);
  const all = rounded(job);
  expect(all[1]?.[1]).toEqual([1500, 0]);
  // The branch runs south; its left is east: the smaller one comes from there, 500 from its start.
  expect(all[0]?.[1]).toEqual([1500, 1500]);
  expect(all[0]?.[0]).toEqual([2300, 1500]);
});

test('walls nobody placed stand clear of one another', () => {
  const [a, b] = rounded(yard([{}, {}]));
  expect(Math.min(...(b ?? []).map((p) => p[0] ?? 0))).toBe(
    Math.max(...(a ?? []).map((p) => p[0] ?? 0)) + 1500,
  );
});

test('two walls that meet each other are placed all the same', () => {
  const job = yard([{ meets: { wall: 'w1', run: 0, at: 100 } }, { meets: { wall: 'w0', run: 0, at: 100 } }]);
  expect(placedWalls(job)).toHaveLength(2);
});
