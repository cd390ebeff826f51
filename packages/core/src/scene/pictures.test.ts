import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { boardShapes, lineShapes, siteShapes } from './lines.js';
import { poleShapes, type PoleOf } from './pole.js';
import { tapeShapes } from './tape.js';
import type { SceneShape } from '../shapes/shape.js';

type Of<T extends SceneShape['type']> = Extract<SceneShape, { type: T }>;
const all = <T extends SceneShape['type']>(shapes: readonly SceneShape[], type: T): Of<T>[] =>
  shapes.filter((s): s is Of<T> => s.type === type);
const texts = (shapes: readonly SceneShape[], role: string): Of<'text'>[] =>
  all(shapes, 'text').filter((t) => t.role === role);

const pole = (count: number, pitch: number, bed = 10): PoleOf => ({
  marks: Array.from({ length: count }, (_, i) => ({
    course: i + 1,
    top: (i + 1) * pitch,
    bed,
    state: 'target' as const,
  })),
  courses: Array.from({ length: count }, (_, i) => ({ bottom: i * pitch, top: (i + 1) * pitch, bed })),
  height: count * pitch,
  pitch,
  bed,
  bedLimits: [6, 15],
});

test('heights on the pole never lie on one another, at any scale, whichever course is live', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 200 }),
      fc.integer({ min: 40, max: 250 }),
      fc.double({ min: 0.5, max: 80, noNaN: true }),
      fc.integer({ min: 1, max: 200 }),
      (count, pitch, px, live) => {
        const shapes = poleShapes(pole(count, pitch), {
          show: 'mm',
          wide: 28 * px,
          px,
          live: Math.min(live, count),
        });
        const at = texts(shapes, 'pole-height').map((t) => t.y);
        const sorted = [...at].sort((a, b) => a - b);
        const nearest = Math.min(...sorted.slice(1).map((y, i) => y - (sorted[i] ?? 0)), Infinity);
        expect(nearest).toBeGreaterThanOrEqual(14 * px - 1e-6);
        // The live course always says its height.
        expect(at).toContain(Math.min(live, count) * pitch);
      },
    ),
    { seed: 7, numRuns: 300 },
  );
});

test('drawn large, every course has its mark, its number and its height; a tight bed is shown where it lies', () => {
  const of = pole(4, 200);
  const [, second] = of.marks;
  if (second) second.state = 'tight';
  const shapes = poleShapes(of, { show: 'mm', wide: 28, px: 1, live: null });
  expect(all(shapes, 'line').map((l) => l.y1)).toEqual([200, 400, 600, 800]);
  expect(texts(shapes, 'pole-number').map((t) => t.text)).toEqual(['1', '2\u2212', '3', '4']);
  expect(texts(shapes, 'pole-height').map((t) => t.text)).toEqual(['200', '400', '600', '800']);
  const beds = all(shapes, 'rect').filter((r) => r.role === 'bed-tight');
  expect(beds.map((r) => [r.y, r.h])).toEqual([[200, 10]]);
});

test('a figure on the tape that would run past the end of the wall is left off', () => {
  const marks = [0, 450, 900].map((at) => ({ at, figure: true }));
  const shapes = tapeShapes(marks, 920, { show: 'mm', high: 26, px: 1 });
  expect(all(shapes, 'line').map((l) => l.x1)).toEqual([0, 450, 900]);
  expect(all(shapes, 'text').map((t) => t.text)).toEqual(['0', '450']);
});

test('a plan line is as long as it is stated, its names outside, on the right of the way it is walked', () => {
  const runs = [
    { index: 0, id: 'a', name: 'South', x: 0, y: 0, heading: 0, stated: 4000 },
    { index: 1, id: 'b', name: 'East', x: 4000, y: 0, heading: 90, stated: 3000 },
  ];
  const shapes = lineShapes(runs, 1, 10);
  expect(all(shapes, 'line').map((l) => Math.round(Math.hypot(l.x2 - l.x1, l.y2 - l.y1)))).toEqual([
    4000, 3000,
  ]);
  expect(all(shapes, 'line').map((l) => l.role)).toEqual(['line-other', 'line-here']);
  const [south, east] = all(shapes, 'text');
  expect([south?.y, south?.anchor]).toEqual([-130, 'middle']);
  expect([east?.x, east?.anchor]).toEqual([4130, 'start']);
});

test('walls nobody placed are broken lines; each has its number where it begins', () => {
  const walls = (['stated', 'beside'] as const).map((by, index) => ({
    id: `w${index}`,
    name: `Wall ${index}`,
    index,
    by,
    points: [
      { x: index * 5000, y: 0 },
      { x: index * 5000 + 3000, y: 0 },
    ],
  }));
  const shapes = siteShapes(walls, 0, 10);
  expect(all(shapes, 'path').map((p) => p.role)).toEqual(['line-here', 'line-loose']);
  expect(all(shapes, 'text').map((t) => [t.text, t.x])).toEqual([
    ['1', 60],
    ['2', 5060],
  ]);
});

test('on the board a length stands beside its stroke, and the first peg grows when the line may close', () => {
  const points = [
    { x: 0, y: 0 },
    { x: 3000, y: 0 },
    { x: 3000, y: 2000 },
  ];
  const open = boardShapes({ points, closed: false, ahead: { x: 0, y: 2000 } }, 'mm', 10);
  expect(texts(open, 'stroke-length').map((t) => t.text)).toEqual(['3000 mm', '2000 mm', '3000 mm']);
  for (const t of texts(open, 'stroke-length')) {
    const near = all(open, 'line').map((l) =>
      l.x1 === l.x2 ? Math.abs(t.x - l.x1) : l.y1 === l.y2 ? Math.abs(t.y - l.y1) : Infinity,
    );
    expect(Math.min(...near)).toBeGreaterThan(100);
  }
  expect(all(open, 'mark').map((m) => m.role)).toEqual(['peg-closes', 'pencil']);
  const closed = boardShapes({ points, closed: true, ahead: null }, 'mm', 10);
  expect(texts(closed, 'stroke-length')).toHaveLength(3);
  expect(all(closed, 'mark').map((m) => m.role)).toEqual(['peg']);
});

test('both gauges stand on one pole: the old work’s courses are dashes on it, multiplied up and not stepped', () => {
  const shapes = poleShapes({ ...pole(12, 75), oldPitch: 71.5 }, { show: 'mm', wide: 28, px: 1, live: null });
  const old = all(shapes, 'line').filter((l) => l.role === 'pole-old');
  // Twelve courses of 75 are 900: twelve of 71.5 stand under that, 858.
  expect(old.map((l) => l.y1)).toEqual(Array.from({ length: 12 }, (_, i) => (i + 1) * 71.5));
  expect(
    all(poleShapes(pole(12, 75), { show: 'mm', wide: 28, px: 1, live: null }), 'line').some(
      (l) => l.role === 'pole-old',
    ),
  ).toBe(false);
});
