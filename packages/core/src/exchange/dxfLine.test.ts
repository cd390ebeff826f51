import fc from 'fast-check';
import { isRun, isTurn, type LineItem } from '../job/types.js';
import { walkLine } from '../stages/set-out/line.js';
import { linesFrom, type Stroke } from './dxfLine.js';

const stroke = (x1: number, y1: number, x2: number, y2: number, bulge = 0, layer = 'A'): Stroke => ({
  layer,
  from: { x: x1, y: y1 },
  to: { x: x2, y: y2 },
  bulge,
});
const take = (strokes: Stroke[], unit: 'mm' | 'm' | 'in' = 'mm') =>
  linesFrom(strokes, [], 'A', unit, (mm) => mm);

test('four strokes in any order and either way round make one closed wall, walked with its outside on the right', () => {
  const box = [stroke(0, 0, 0, 4), stroke(6, 4, 6, 0), stroke(6, 4, 0, 4), stroke(6, 0, 0, 0)];
  const { lines } = take(box, 'm');
  expect(lines).toHaveLength(1);
  expect(lines[0]).toMatchObject({ closed: true, strokes: 4, length: 20_000 });
  const turns = (lines[0]?.items ?? []).filter(isTurn).map((t) => t.turn);
  expect(turns).toEqual([90, 90, 90, 90]);
});

test('strokes in one line are one run, and inches are inches', () => {
  const { lines } = take([stroke(0, 0, 100, 0), stroke(100, 0, 240, 0), stroke(240, 0, 240, 96)], 'in');
  expect(lines[0]?.items).toEqual([
    { run: 6096, id: 'run-1', name: 'Run 1' },
    { turn: 90 },
    { run: 2438.4, id: 'run-2', name: 'Run 2' },
  ]);
});

test('a bulge of one is half a circle, by the radius of its chord', () => {
  const { lines } = take([stroke(0, 0, 4000, 0, 1)]);
  expect(lines[0]?.items).toEqual([{ arc: 2000, sweep: 180, id: 'run-1', name: 'Curve 1' }]);
  expect(lines[0]?.length).toBeCloseTo(2000 * Math.PI, 6);
});

test('what is left out is said with the reason', () => {
  const { lines, left } = linesFrom(
    [stroke(0, 0, 5000, 0), stroke(0, 900, 50, 900), stroke(1, 1, 1, 1), stroke(0, 0, 9, 9, 0, 'B')],
    [
      { layer: 'A', what: 'TEXT' },
      { layer: 'A', what: 'TEXT' },
      { layer: 'B', what: 'HATCH' },
    ],
    'A',
    'mm',
    (mm) => mm,
  );
  expect(lines).toHaveLength(1);
  expect(left).toEqual([
    '2 TEXT: not a line of a wall',
    '1 with no length',
    '1 shorter than 100 mm in all',
    '1 strokes on other layers',
  ]);
});

test('a line walked from what was taken comes to where the drawing ends', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 300, max: 9000 }), fc.constantFrom(90, -90, 45, 0, -30)), {
        minLength: 1,
        maxLength: 6,
      }),
      (legs) => {
        let [x, y, heading] = [0, 0, 0];
        const strokes = legs.map(([length, turn]) => {
          heading += turn;
          const from = { x, y };
          x += length * Math.cos((heading * Math.PI) / 180);
          y += length * Math.sin((heading * Math.PI) / 180);
          return { layer: 'A', from, to: { x, y }, bulge: 0 };
        });
        const { lines } = take(strokes);
        const items = lines[0]?.items ?? [];
        const sum = items.reduce((s, i: LineItem) => s + (isRun(i) ? Number(i.run) : 0), 0);
        const walked = walkLine(items as { run: number }[], 0);
        const drawn = Math.hypot(x, y);
        const total = legs.reduce((s, [l]) => s + l, 0);
        // A line that crosses its own corner may be chained another way; its length is the same all the same.
        return Math.abs(sum - total) < 0.1 && (lines.length > 1 || Math.abs(walked.gap - drawn) < 1);
      },
    ),
    { numRuns: 200 },
  );
});
