import { planOf, straight } from '../../../test/jobs.js';
import { kindsOf, partsBeside } from './windowCourses.js';

const { wall } = planOf({
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  line: straight(6000),
  height: 14 * 75,
  openings: [
    { at: 1000, width: 900, sill: 4 * 75, head: 12 * 75 },
    { at: 3000, width: 900, sill: 6 * 75, head: 12 * 75 },
  ],
});

test('fourteen courses: those under both windows, beside the first, beside both, and over them', () => {
  const { kinds } = kindsOf(wall, wall.openings, 14);
  // 1 to 4 and 13 to 14; 5 and 6 beside the first only; 7 to 12 beside both.
  expect(kinds.map((k) => [k.parity, k.stops.join(), k.count])).toEqual([
    [0, '', 3],
    [1, '', 3],
    [0, '0', 1],
    [1, '0', 1],
    [0, '0,1', 3],
    [1, '0,1', 3],
  ]);
});

test('thirteen beds: three under the sills, one over the heads, the rest where the courses change', () => {
  const { kinds, laps } = kindsOf(wall, wall.openings, 14);
  const times = (a: number, b: number): number =>
    laps.find((l) => l.rows[0] === Math.min(a, b) && l.rows[1] === Math.max(a, b))?.times ?? 0;
  expect(laps.reduce((n, l) => n + l.times, 0)).toBe(13);
  expect(laps.every((l) => kinds[l.rows[0]]?.parity !== kinds[l.rows[1]]?.parity)).toBe(true);
  // Course 4 (even) under the first sill; course 6 under the second; 12 under 13.
  expect([times(0, 1), times(1, 2), times(2, 3), times(3, 4), times(4, 5), times(0, 5)]).toEqual([
    4, 1, 1, 1, 5, 1,
  ]);
});

test('a course is parted at the jambs, and no perp stands there', () => {
  const course = {
    places: [0, 100, 250, 400, 600, 700],
    perpAtStart: true,
    perpAtEnd: true,
    count: 0,
    shyStart: true,
    shyEnd: true,
    gather: 0,
  };
  const parts = partsBeside(course, 3, [{ from: 220, to: 500 }]);
  expect(parts.map((p) => [p.places, p.perpAtStart, p.perpAtEnd, p.count])).toEqual([
    [[0, 100, 220], true, false, 3],
    [[500, 600, 700], false, true, 3],
  ]);
});
