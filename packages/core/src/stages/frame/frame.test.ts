import { plan } from '../../plan/plan.js';
import { documentOf, jobOf, planOf, straight, type OneWall } from '../../test/jobs.js';
import { setOutWall } from '../set-out/wall.js';
import { fillRound, notchOf, tiedIn } from './notches.js';

const adobe = (posts: object[], more: Partial<OneWall> = {}): OneWall => ({
  line: straight(3975),
  height: 2000,
  unit: 'adobe-10x14x4',
  profile: 'earth',
  show: 'mm',
  lengths: 'actual',
  wall: { posts: posts as never, bears: 'none' },
  ...more,
});
const POST = { id: 'P', run: 0, at: 2000, width: 150, depth: 150 };
const setOf = (posts: object[]) => setOutWall(documentOf(adobe(posts)), 0);

test('what a post takes of a unit, with room round it, worked by hand', () => {
  // The wall is 254 thick: a post of 150 in its middle leaves 52, less 10 of room, at either side.
  const wall = setOf([POST]);
  const [post] = wall.posts;
  if (!post) throw new Error('no post');
  const found = notchOf(wall, post, { from: 1900, to: 2255.6 });
  expect(found).toMatchObject({ cut: { from: 1915, to: 2085, in: 42, deep: 170 }, gone: false, ear: true });
  expect([found?.left, found?.right, found?.outer, found?.inner]).toEqual([15, 170.5999999999999, 42, 42]);
  // Saw cuts at both ends of 170 and so often between that none is wider than 25.
  expect(found?.relief).toBe(8);
  expect(notchOf(wall, post, { from: 2200, to: 2500 })).toBeNull();
});

test('mud round a post is what was cut less the post, in each unit it stands in', () => {
  const posts = setOf([POST]);
  const [post] = posts.posts;
  const cut = post && notchOf(posts, post, { from: 1900, to: 2255.6 });
  if (!cut) throw new Error('no notch');
  // 170 square less 150 square, 100 high: 0.64 litres.
  const gauge = { courses: [{ number: 1, bottom: 0, top: 110, bed: 10, unitHeight: 100, kind: 'whole' }] };
  const notch = { post: 'P', run: 0, course: 1, from: 1900, to: 2255.6, ...cut };
  expect(fillRound({ wall: posts, gauge: gauge as never }, [notch])).toBeCloseTo(0.00064, 12);
  // Laid in a wall, both units that share it take no more than the whole of it, and no less than lies clear of a joint.
  const p = planOf(adobe([POST]));
  const ring = (170 ** 2 - 150 ** 2) * p.gauge.courses.reduce((sum, c) => sum + c.unitHeight, 0);
  const fill = fillRound(p, p.notches) * 1e9;
  expect(fill).toBeLessThanOrEqual(ring + 1e-3);
  expect(fill).toBeGreaterThan(ring * 0.85);
});

test('a unit that the post takes all of is left out, and one at its side has no ear', () => {
  const wall = setOf([{ ...POST, width: 400, depth: 254 }]);
  const [post] = wall.posts;
  if (!post) throw new Error('no post');
  expect(notchOf(wall, post, { from: 1900, to: 2100 })).toMatchObject({ gone: true, relief: 0, ear: false });
  expect(notchOf(wall, post, { from: 2000, to: 2355.6 })).toMatchObject({
    gone: false,
    ear: false,
    right: 145.5999999999999,
  });
});

test('every unit that meets a post is notched, one or two in each course', () => {
  const p = planOf(adobe([{ ...POST, from: 104 }]));
  const byCourse = p.gauge.courses.map((c) => p.notches.filter((n) => n.course === c.number).length);
  expect(byCourse.every((n) => n === 1 || n === 2)).toBe(true);
  for (const n of p.notches) {
    expect(n.cut.from).toBeGreaterThanOrEqual(n.from);
    expect(n.cut.to).toBeLessThanOrEqual(n.to);
    expect(n.left + (n.cut.to - n.cut.from) + n.right).toBeCloseTo(n.to - n.from, 6);
  }
  expect(tiedIn(p.gauge.count)).toHaveLength(Math.floor(p.gauge.count / 3));
  expect(planOf(adobe([])).notches).toEqual([]);
});

test('a wall with posts that is said to bear is asked about', () => {
  const job = jobOf(adobe([POST], { wall: { posts: [POST] as never, bears: 'roof' } }));
  const found = plan(job).walls[0]?.findings ?? [];
  expect(found.find((f) => f.code === 'frame-and-bears')?.fixes).toHaveLength(1);
  // Nowhere along does a post of 150 in the middle of 254 leave enough: flush with a face it does.
  expect(found.find((f) => f.code === 'frame-thin-ears')?.fixes).toHaveLength(2);
});

test('a post past the end of its run is refused', () => {
  expect(() => planOf(adobe([{ ...POST, at: 3950 }]))).toThrow('/walls/0/posts/0/at');
});
