import { planOf, straight } from '../test/jobs.js';
import { countsUnder, underOpening } from './underOpening.js';

const { wall } = planOf({
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  line: straight(4000),
  height: 14 * 75,
  openings: [{ at: 1000, width: 900, sill: 4 * 75, head: 12 * 75 }],
});
const counts = { courses: [3, 3], meets: 4 };

test('of fourteen courses an opening from the fourth to the twelfth leaves three odd and three even', () => {
  const [opening] = wall.openings;
  if (!opening) throw new Error('no opening');
  // Courses 1 to 4 and 13 to 14; four lie on one another under it and two over it, so 3 + 1 times.
  expect(countsUnder(wall, opening, { courses: [7, 7], meets: 13 })).toEqual(counts);
});

test('where two bricks go from jamb to jamb nothing is sawn: the other courses stand half a brick astride', () => {
  const found = underOpening(wall, { from: 1000, to: 1440 }, { left: true, right: true }, counts);
  expect(found?.cost).toBeLessThan(1);
  expect(found?.astride).toEqual([
    { left: false, right: false },
    { left: true, right: true },
  ]);
  expect(found?.lines[0]?.u).toEqual([1000, 1225, 1450]);
  expect(found?.lines[1]?.u).toEqual([1000, 1112.5, 1337.5, 1450]);
});

test('where it does not divide no piece is longer than a brick, and each course is sawn once at the least', () => {
  const found = underOpening(wall, { from: 0, to: 515 }, { left: true, right: false }, counts);
  if (!found) throw new Error('not laid');
  found.lines.forEach(({ u }, i) => {
    const { left = false, right = false } = found.astride[i] ?? {};
    const edges = u.map((x, k) =>
      k === 0 && left ? x - 112.5 : k === u.length - 1 && right ? x + 112.5 : x,
    );
    const pieces = edges.slice(1).map((x, k) => x - (edges[k] ?? 0) - 10);
    expect(Math.max(...pieces)).toBeLessThanOrEqual(215 + 5);
    expect(Math.min(...pieces)).toBeGreaterThanOrEqual(25);
    expect(pieces.some((p) => Math.abs(p - 215) > 5)).toBe(true);
  });
  // Six courses, a cut in each: 60, and what two sizes come to.
  expect(found.cost).toBeGreaterThanOrEqual(60);
});
