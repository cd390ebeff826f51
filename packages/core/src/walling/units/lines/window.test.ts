import { planOf, straight } from '../../../test/jobs.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { PerpLine, RunLines } from './lines.js';
import { partedGroup, together, windowsOf } from './window.js';

const wallWith = (length: number, openings: [number, number][]): SetWall =>
  planOf({
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    line: straight(length),
    height: 1500,
    openings: openings.map(([at, width]) => ({ at, width, sill: 450, head: 1200 })),
  }).wall;

/** Bricks from end to end, whatever is left over at the end. */
const bricks = (length: number): RunLines =>
  [0, 112.5].map((by): PerpLine => ({
    u: [
      0,
      ...Array.from({ length: 200 }, (_, k) => by + k * 225).filter((x) => x > 0 && x < length - 50),
      length + 10,
    ],
    joint: 10,
    shownAtStart: false,
    shownAtEnd: false,
  }));

const names = (groups: readonly (readonly SetOpening[])[]): string =>
  groups.map((g) => g.map((o) => o.index).join('+')).join(' ');

test('two openings are looked at together, a third in a window of its own where the pier allows it', () => {
  const wall = wallWith(9000, [
    [1000, 900],
    [2900, 900],
    [4800, 900],
  ]);
  expect(names(together(wall, wall.openings))).toBe('0+1 2');
  // Two bricks of pier are no place to part them.
  const close = wallWith(9000, [
    [1000, 900],
    [2900, 900],
    [4250, 900],
  ]);
  expect(names(together(close, close.openings))).toBe('0+1+2');
  expect(names(partedGroup(close, close.openings) ?? [])).toBe('0 1+2');
});

test('windows do not reach into one another, and one near the end of its run goes on to it', () => {
  const wall = wallWith(9000, [
    [1000, 900],
    [2900, 900],
    [4800, 900],
  ]);
  const lines = bricks(9000);
  const [left, right] = windowsOf(wall, together(wall, wall.openings), { from: 0, to: 9000 }, lines);
  expect([left?.atStart, left?.atEnd, right?.atStart, right?.atEnd]).toEqual([true, false, false, false]);
  // 4 800 + 900 and eight bricks are 7 500; 1 500 to the end is more than two bricks.
  for (const i of [0, 1] as const) {
    expect(left?.last[i]).toBe(right?.first[i]);
    expect(lines[i]?.u[right?.last[i] ?? 0]).toBeCloseTo(7500, -3);
  }
  const near = wallWith(7900, [[4800, 900]]);
  const [only] = windowsOf(near, together(near, near.openings), { from: 0, to: 7900 }, bricks(7900));
  expect([only?.atStart, only?.atEnd]).toEqual([false, true]);
  expect(only?.last).toEqual(bricks(7900).map((l) => l.u.length - 1));
});
