import { planOf, straight, type OneWall } from '../test/jobs.js';
import {
  columnBuffer,
  columnsOn,
  copyOfCourse,
  cornersOf,
  drawnAlike,
  type CourseColumns,
} from './pieces.js';
import { wallingOf } from './registry.js';
import { rakedCorners } from './units/rakedCorners.js';

/** Area of a shape by its corners, mm²: the shoelace. */
function area(corners: ArrayLike<number>): number {
  let sum = 0;
  for (let k = 0; k < corners.length; k += 2) {
    const [x, y] = [corners[k] ?? 0, corners[k + 1] ?? 0];
    const [nx, ny] = [corners[(k + 2) % corners.length] ?? 0, corners[(k + 3) % corners.length] ?? 0];
    sum += x * ny - nx * y;
  }
  return sum / 2;
}

describe('a piece under a top that is not level', () => {
  const slope = [{ from: 0, to: 1000, left: 0, right: 1000 }];
  test.each([
    ['a triangle where the slope comes up through its bed', { from: 90, to: 290 }, 100, 400, (190 * 190) / 2],
    ['four corners under a slope all along', { from: 200, to: 300 }, 100, 400, (100 * (100 + 200)) / 2],
    [
      'five where the slope goes out through its top',
      { from: 200, to: 300 },
      100,
      250,
      100 * 150 - (50 * 50) / 2,
    ],
    ['whole where no top is stated', { from: 1100, to: 1300 }, 100, 165, 200 * 65],
  ] as const)('%s', (_, piece, bottom, top, wanted) => {
    expect(area(rakedCorners(slope, piece, bottom, top))).toBeCloseTo(wanted, 6);
  });
  test('a peak inside a piece is a corner of it', () => {
    const gable = [
      { from: 0, to: 100, left: 50, right: 150 },
      { from: 100, to: 200, left: 150, right: 50 },
    ];
    const corners = rakedCorners(gable, { from: 50, to: 150 }, 0, 1000);
    expect(corners).toEqual([50, 0, 150, 0, 150, 100, 100, 150, 50, 100]);
  });
  test('a step inside a piece is plumb', () => {
    const stepped = [
      { from: 0, to: 100, left: 60, right: 60 },
      { from: 100, to: 200, left: 30, right: 30 },
    ];
    expect(area(rakedCorners(stepped, { from: 50, to: 150 }, 0, 65))).toBeCloseTo(50 * 60 + 50 * 30, 6);
  });
});

describe('the columns of a gable', () => {
  const gable: OneWall = {
    line: straight(4490),
    height: 900,
    unit: 'brick-215x102.5x65',
    profile: 'uk',
    show: 'mm',
    lengths: 'actual',
    wall: {
      tops: [
        { id: 'L', run: 0, kind: 'raked', from: 0, to: 2245, left: 900, right: 2400 },
        { id: 'R', run: 0, kind: 'raked', from: 2245, to: 4490, left: 2400, right: 900 },
      ],
    },
  };
  const p = planOf(gable);
  const columns = wallingOf(p.wall).pieces(p, 0);
  const pieces = (c: CourseColumns): Float64Array[] =>
    Array.from({ length: c.count }, (_, i) => cornersOf(c, i)).filter((x) => x !== null);

  test('sawn pieces have their own corners, none above the slope, and the rest are rectangles', () => {
    const sawn = columns.flatMap(pieces);
    const raked = p.runs[0]?.rows.flatMap((r) => r.pieces.filter((x) => x.rake)) ?? [];
    expect(raked.length).toBeGreaterThan(20);
    expect(sawn).toHaveLength(raked.length);
    const height = (x: number): number => 900 + (1500 * (2245 - Math.abs(x - 2245))) / 2245;
    for (const corners of sawn) {
      expect(area(corners)).toBeGreaterThan(0);
      for (let k = 0; k < corners.length; k += 2)
        expect(corners[k + 1]).toBeLessThanOrEqual(height(corners[k] ?? 0) + 1e-6);
    }
    expect(columns.slice(0, 11).flatMap(pieces)).toEqual([]);
  });

  test('cross as one buffer and are the same on the other side', () => {
    const cut = columns.find((c) => c.points.length > 0) as CourseColumns;
    const sent = copyOfCourse(cut);
    expect(columnBuffer(sent)).not.toBe(columnBuffer(cut));
    expect(drawnAlike(cut, sent)).toBe(true);
    sent.points[3] = (sent.points[3] ?? 0) + 1;
    expect(drawnAlike(cut, sent)).toBe(false);
  });
});

test('a course without sawn pieces takes no corners', () => {
  const c = columnsOn(1, 3);
  expect([cornersOf(c, 0), cornersOf(c, 2), c.points.length]).toEqual([null, null, 0]);
});
