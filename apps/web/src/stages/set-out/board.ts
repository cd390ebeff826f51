import { type Point } from '@even-tally/core';

/** The board, px. */
export const WIDE = 900;
export const HIGH = 470;

/** What stands on the board: it grows with the line, so that nothing is drawn off it. */
export function boardFor(
  points: readonly Point[],
  at: Point | null,
): { x: number; y: number; scale: number } {
  const all = [...points, ...(at ? [at] : [])];
  const xs = all.map((p) => p.x);
  const ys = all.map((p) => p.y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDE - 140) / Math.max(right - left, 8000),
    (HIGH - 120) / Math.max(high - low, 4000),
  );
  return { x: left - 70 / scale, y: low - 60 / scale, scale };
}
