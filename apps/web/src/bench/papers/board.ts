import type { Box, Point } from '@even-tally/core';

/** Where a drawing lies on the paper, px, and how many px a millimetre is. */
export interface BoardAt {
  left: number;
  base: number;
  scale: number;
}

/** Room round what is drawn, px; and so much of the ground shows at least, mm. */
const AROUND = { side: 80, top: 110, bottom: 150 };
/** On a phone what is typed and pressed stands in three rows under it. */
const AROUND_NARROW = { side: 40, top: 60, bottom: 260 };
const NARROW = 640;
const LEAST = { wide: 8000, high: 4500 };

/** The paper grows with the line, so that nothing is drawn off it. `box`: what stands there already. */
export function boardFor(
  points: readonly Point[],
  box: Box | null,
  size: { width: number; height: number },
): BoardAt {
  const all = box
    ? [...points, { x: box.x, y: box.y }, { x: box.x + box.w, y: box.y + box.h }]
    : points.length > 0
      ? points
      : [{ x: 0, y: 0 }];
  const [xs, ys] = [all.map((p) => p.x), all.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const around = size.width < NARROW ? AROUND_NARROW : AROUND;
  const scale = Math.min(
    (size.width - 2 * around.side) / Math.max(right - left, LEAST.wide),
    (size.height - around.top - around.bottom) / Math.max(high - low, LEAST.high),
  );
  const spare = (size.width - 2 * around.side - (right - left) * scale) / 2;
  return {
    left: around.side + (box ? spare : 0) - left * scale,
    base: size.height - around.bottom + low * scale,
    scale: Math.max(scale, 1e-6),
  };
}
