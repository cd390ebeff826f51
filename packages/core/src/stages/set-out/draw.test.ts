import fc from 'fast-check';
import { planOf } from '../../test/jobs.js';
import { lineItems, pointAt, pointsOf, pulledRun, settlePoint, walked, type Point } from './draw.js';

const write = (mm: number): number => mm;
const L: Point[] = [
  { x: 0, y: 0 },
  { x: 6000, y: 0 },
  { x: 6000, y: 3000 },
  { x: 3000, y: 3000 },
  { x: 3000, y: 5000 },
  { x: 0, y: 5000 },
];

test('an L drawn either way round has its outside on the right and five left turns to one right', () => {
  for (const points of [L, [...L].reverse()]) {
    const items = lineItems({ points, closed: true }, write) ?? [];
    const turns = items.flatMap((i) => ('turn' in i ? [i.turn] : []));
    expect([...turns].sort((a, b) => a - b)).toEqual([-90, 90, 90, 90, 90, 90]);
    const p = planOf({
      line: items,
      height: 600,
      lengths: 'actual',
      profile: 'uk',
      unit: 'block-440x215x215',
    });
    expect(p.wall.line.closed).toBe(true);
    expect(p.runs).toHaveLength(6);
  }
});

test('a rectangle drawn is the rectangle planned, whatever its size', () => {
  fc.assert(
    fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 5, max: 60 }), (a, b) => {
      const [w, h] = [a * 225, b * 225];
      const items =
        lineItems(
          {
            points: [
              { x: 0, y: 0 },
              { x: w, y: 0 },
              { x: w, y: h },
              { x: 0, y: h },
            ],
            closed: true,
          },
          write,
        ) ?? [];
      const runs = items.flatMap((i) => ('run' in i ? [i.run] : []));
      return JSON.stringify(runs) === JSON.stringify([w, h, w, h]);
    }),
  );
});

test('points in one line are one run, and a point on the last is none', () => {
  const items = lineItems(
    {
      points: [
        { x: 0, y: 0 },
        { x: 1000, y: 0 },
        { x: 1000, y: 0 },
        { x: 2500, y: 0 },
      ],
      closed: false,
    },
    write,
  );
  expect(items).toEqual([{ run: 2500, id: 'run-1', name: 'Run 1' }]);
  expect(lineItems({ points: [{ x: 5, y: 5 }], closed: false }, write)).toBeNull();
});

test('a stroke settles on the nearest heading and on whole steps, never on nothing', () => {
  expect(settlePoint({ x: 0, y: 0 }, { x: 1010, y: 60 }, 225)).toEqual({ x: 900, y: 0 });
  expect(settlePoint({ x: 0, y: 0 }, { x: 3, y: -1 }, 225)).toEqual({ x: 225, y: 0 });
  const diagonal = settlePoint({ x: 0, y: 0 }, { x: 700, y: 720 }, 100);
  expect(diagonal.x).toBeCloseTo(diagonal.y, 3);
});

test('drawn, said and walked again, the corners are where they were', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.constantFrom(0, 45, 90, 135, 180, 225, 270, 315), fc.integer({ min: 1, max: 40 })),
        { minLength: 1, maxLength: 8 },
      ),
      (strokes) => {
        const points = strokes.reduce<Point[]>(
          (list, [heading, n]) => [...list, pointAt(list.at(-1) as Point, heading, n * 100)],
          [{ x: 0, y: 0 }],
        );
        const items = lineItems({ points, closed: false }, write);
        if (!items) return true;
        const walked = pointsOf(items).at(-1) as Point;
        const end = points.at(-1) as Point;
        // Walked from heading 0: the same length of way and the same distance from start to end.
        return Math.abs(Math.hypot(walked.x, walked.y) - Math.hypot(end.x, end.y)) < 0.5;
      },
    ),
  );
});

test('a run pulled out of an end turns by eighths of a circle and is as long as whole steps; straight on and back it is none', () => {
  const from = { x: 1000, y: 500 };
  // The run before goes east: pulled up it turns left, pulled down right.
  expect(pulledRun(0, from, { x: 1040, y: 1730 }, 200)).toEqual({ turn: 90, length: 1200 });
  expect(pulledRun(0, from, { x: 1010, y: -700 }, 200)).toEqual({ turn: -90, length: 1200 });
  expect(pulledRun(0, from, { x: 2000, y: 1490 }, 200)?.turn).toBe(45);
  expect(pulledRun(0, from, { x: 3000, y: 520 }, 200)).toBeNull();
  expect(pulledRun(0, from, { x: -3000, y: 520 }, 200)).toBeNull();
  // Going north, to the west is left.
  expect(pulledRun(90, from, { x: -1000, y: 500 }, 200)).toEqual({ turn: 90, length: 2000 });
});

test('a closed line drawn clockwise is walked the other way, an open one as it was drawn', () => {
  const clockwise = [
    { x: 0, y: 0 },
    { x: 0, y: 1000 },
    { x: 1000, y: 1000 },
  ];
  expect(walked({ points: clockwise, closed: true })).toEqual([...clockwise].reverse());
  expect(walked({ points: clockwise, closed: false })).toEqual(clockwise);
});
