import type { TopSegment } from '../../stages/set-out/outline.js';

/** Corners nearer one another than this are one, mm. */
const ONE_CORNER = 1e-6;

/**
 * The corners of a piece whose top is sawn to what the wall's top does over it, from its lower left round to the left: x and y by
 * turns, mm. `tops`: the stretches of the run's top; where none is stated the piece has its whole height.
 */
export function rakedCorners(
  tops: readonly TopSegment[],
  piece: { from: number; to: number },
  bottom: number,
  top: number,
): number[] {
  const { from, to } = piece;
  const over = tops.filter((t) => t.from < to && t.to > from).sort((a, b) => a.from - b.from);
  const chain: [number, number][] = [];
  const put = (x: number, y: number): void => {
    const [px, py] = chain.at(-1) ?? [NaN, NaN];
    if (Math.abs(px - x) > ONE_CORNER || Math.abs(py - y) > ONE_CORNER || chain.length === 0)
      chain.push([x, y]);
  };
  const clipped = (y: number): number => Math.min(Math.max(y, bottom), top);
  let at = from;
  const level = (end: number): void => {
    if (end - at <= ONE_CORNER) return;
    put(at, top);
    put(end, top);
    at = end;
  };
  for (const t of over) {
    level(Math.max(from, t.from));
    const [a, b] = [Math.max(at, t.from), Math.min(to, t.to)];
    if (b - a <= ONE_CORNER) continue;
    const slope = (t.right - t.left) / (t.to - t.from);
    const height = (x: number): number => t.left + slope * (x - t.from);
    // Where the slope comes up through the bed or goes out through the top of the course there is a corner.
    const through = [bottom, top]
      .map((y) => t.from + (y - t.left) / slope)
      .filter((x) => x > a + ONE_CORNER && x < b - ONE_CORNER)
      .sort((x, y) => x - y);
    for (const x of [a, ...through, b]) put(x, clipped(height(x)));
    at = b;
  }
  level(to);
  const atFoot = ([x, y]: [number, number]): boolean =>
    y - bottom < ONE_CORNER && (x - from < ONE_CORNER || to - x < ONE_CORNER);
  const round = [...chain].reverse().filter((corner) => !atFoot(corner));
  return [from, bottom, to, bottom, ...round.flat()];
}
