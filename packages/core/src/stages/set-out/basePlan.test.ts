import { basePlan } from './basePlan.js';

const brick = { length: 215, joint: 10, least: 6, most: 15 };
const shed = { length: 2400, width: 1800, past: 0, clear: 600, lean: 0 };

test('each side is the fewest half bricks that carry the structure, and the diagonals follow', () => {
  const p = basePlan(shed, brick, 100);
  // 2 400 + 10 in half modules of 112.5: 21.4, so 22 of them: 2 465. But 21 make 2 352.5, and 10 perps opened by
  // 4.75 reach 2 400 at 14.75, inside 15. 1 800 + 10: 16.09 so 17; 16 make 1 790, seven perps at 11.43. By hand.
  expect(p.length).toBeCloseTo(2400, 6);
  expect(p.along).toMatchObject({ modules: 10.5 });
  expect(p.along.joint).toBeCloseTo(14.75, 6);
  expect(p.width).toBeCloseTo(1800, 6);
  expect(p.across.modules).toBe(8);
  expect(p.diagonal).toBeCloseTo(3000, 6);
  expect(p.footingDiagonal).toBeCloseTo(Math.hypot(2600, 2000), 6);
});

test('where opened perps do not reach, a half brick is added', () => {
  const p = basePlan({ ...shed, length: 2460 }, brick, 100);
  expect(p.length).toBeCloseTo(2465, 6);
  expect(p.along).toEqual({ modules: 11, joint: 10 });
});

test('a neighbour that leans into the gap sets the plinth further off by as much', () => {
  const plumb = basePlan(shed, brick, 100).fromNeighbour;
  expect(plumb).toBeCloseTo(600, 6);
  expect(basePlan({ ...shed, lean: 45 }, brick, 100).fromNeighbour - plumb).toBeCloseTo(45, 6);
  // One that leans away gives nothing: the gap is kept at its foot.
  expect(basePlan({ ...shed, lean: -45 }, brick, 100).fromNeighbour).toBeCloseTo(plumb, 6);
});

test('a plinth that stands out takes its own width out of the gap', () => {
  expect(basePlan({ ...shed, past: 50 }, brick, 100).fromNeighbour).toBeLessThan(600);
});
