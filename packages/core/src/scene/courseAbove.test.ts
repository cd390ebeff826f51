import { cavityPlaces } from '../stages/cavity/places.js';
import { closed, kinds, planOf, straight, type OneWall } from '../test/jobs.js';
import { courseAbove, type CourseAbove } from './courseAbove.js';
import type { SceneShape } from '../shapes/shape.js';

const BOX: OneWall = {
  line: closed("16'", "12'"),
  height: '4\' 8"',
  openings: [{ run: 0, at: "4'", width: '3\' 4"', sill: "2'", head: "4'" }],
  wall: { steel: { vertical: { bar: '#4', every: '32"' } } },
};
const above = (w: OneWall, course: number): CourseAbove => courseAbove(planOf(w), course, 'ft-in', 10);
const polygons = (c: CourseAbove, role: SceneShape['role']): (readonly (readonly [number, number])[])[] =>
  c.scene.shapes.flatMap((s) => (s.type === 'shape' && s.role === role ? [s.points] : []));

/** Area of a polygon by its corners (shoelace), mm². */
const area = (points: readonly (readonly [number, number])[]): number =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nx, ny] = points[(i + 1) % points.length] ?? [0, 0];
      return sum + x * ny - nx * y;
    }, 0),
  ) / 2;

test('round a closed wall the units of a course cover its ring but for the perps, each drawn once', () => {
  const p = planOf({ ...BOX, openings: [] });
  const c = courseAbove(p, 2, 'ft-in', 10);
  const [long, wide, thick] = [p.wall.runs[0]?.length ?? 0, p.wall.runs[1]?.length ?? 0, p.wall.thickness];
  const ring = long * wide - (long - 2 * thick) * (wide - 2 * thick);
  const units = polygons(c, 'unit-plan');
  expect(units).toHaveLength(c.units);
  const perps = p.runs.reduce((sum, r) => sum + (r.rows[1]?.perps.length ?? 0), 0);
  const covered = units.reduce((sum, u) => sum + area(u), 0);
  // Every perp is a joint wide and a wall thick.
  expect(covered).toBeCloseTo(ring - perps * p.wall.head * thick, 0);
});

test('courses from above together are the wall: as many units and as many sawn as its tally', () => {
  const p = planOf(BOX);
  const all = p.gauge.courses.map((c) => courseAbove(p, c.number, 'ft-in', 10));
  expect(all.reduce((sum, c) => sum + c.units, 0)).toBe(p.tally.total);
  expect(all[0]?.runs.map((r) => r.name)).toEqual(p.wall.runs.map((r) => r.name));
  expect(all[2]?.runs[0]?.units.map((u) => u.length)).toEqual(
    p.runs[0]?.rows[2]?.pieces.map((x) => x.to - x.from),
  );
});

test('every upright shows in each course it passes through, and only there', () => {
  const p = planOf(BOX);
  const bars = p.steel.verticals.flatMap((v) => v.bars);
  for (const { number, bottom, top } of p.gauge.courses) {
    const here = bars.filter((b) => b.shaft.bottom < (bottom + top) / 2 && b.shaft.top > (bottom + top) / 2);
    expect([number, courseAbove(p, number, 'ft-in', 10).bars]).toEqual([number, here.length]);
  }
});

test.each<[string, OneWall]>([
  [
    'a cavity wall, brick before block',
    {
      line: closed(8000, 5000),
      height: 2250,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      openings: [{ run: 0, at: 2025, width: 910, sill: 0, head: 2100 }],
      build: { cavity: { inner: 'block-440x215x100', width: 100 } },
    },
  ],
  [
    'English bond, a brick thick',
    {
      line: closed(6000, 4000),
      height: 2250,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
      build: { bond: 'english', wythes: 2 },
    },
  ],
])('courses from above are all the leaves of %s', (_, w) => {
  const p = planOf(w);
  const all = p.gauge.courses.map((c) => courseAbove(p, c.number, 'mm', 10));
  const units = all.reduce((sum, c) => sum + c.units, 0);
  expect(units).toBe(p.tallies.reduce((sum, t) => sum + t.tally.total, 0));
  expect(units).toBeGreaterThan(p.tally.total / 2);
  expect(all.every((c) => c.units === c.runs.reduce((sum, r) => sum + r.units.length, 0))).toBe(true);
  // Each course of the inner leaf is begun once, in the order it goes up, and stands in the courses beside it.
  const behind = all.flatMap((c) => c.behind);
  const inner = p.leaves.find((l) => l.heldBy === 'cavity');
  expect(behind.filter((b) => b.picks).map((b) => b.course)).toEqual(
    inner?.gauge.courses.map((c) => c.number) ?? [],
  );
  if (inner)
    // Three bricks and their beds to a block and its: 75 and 225 mm.
    expect(all.slice(0, 6).map((c) => c.behind.map((b) => [b.course, b.picks !== null]))).toEqual([
      [[1, true]],
      [[1, false]],
      [[1, false]],
      [[2, true]],
      [[2, false]],
      [[2, false]],
    ]);
});

test('ties lie in the beds they are counted in', () => {
  const w: OneWall = {
    line: straight(4490),
    height: 2250,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    build: { cavity: { inner: 'block-440x215x100', width: 100 } },
  };
  const p = planOf(w);
  const ties = p.gauge.courses.reduce((sum, c) => sum + courseAbove(p, c.number, 'mm', 10).ties, 0);
  expect(ties).toBe(cavityPlaces(p)?.ties.length);
  expect(ties).toBeGreaterThan(0);
});

test('what is outlined is what the last course on those perps had not: the first over a sill, and nothing after it', () => {
  // The sill stands on course 3 of 8 in: 4 is held against 2, 5 against 3, 6 against 4, which has the window too.
  expect([1, 2, 3].map((n) => above(BOX, n).fresh)).toEqual([0, 0, 0]);
  expect([1, 2].map((n) => above(BOX, n).against)).toEqual([null, null]);
  expect(above(BOX, 4).against).toBe(2);
  const [four, six] = [above(BOX, 4), above(BOX, 6)];
  expect(four.fresh).toBe(four.runs[0]?.units.filter((u) => u.fresh).length);
  expect(four.fresh).toBeGreaterThan(0);
  expect(six.fresh).toBe(0);
});

test('what is sawn is crossed and its length stands beside it; a course past the top is the last', () => {
  const w: OneWall = { line: straight('10\' 4"'), height: "4'", lengths: 'actual' };
  const p = planOf(w);
  const c = above(w, 1);
  const sawn = p.runs[0]?.rows[0]?.pieces.filter((x) => x.cutFrom !== null).length ?? 0;
  expect(c.sawn).toBe(sawn);
  expect(sawn).toBeGreaterThan(0);
  expect(c.scene.shapes.filter((s) => s.role === 'saw-plan')).toHaveLength(sawn);
  expect(above(w, 99).course).toBe(6);
  expect(kinds(p, 6)).toHaveLength(above(w, 99).units);
});
