import { sayMm } from '../measure/format.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { stockOf, wallLap } from '../stages/steel/steel.js';
import type { Fault } from '../statement/fault.js';
import { LIMITS } from './limits.js';

/** Stock must be longer than the lap it loses to the next bar, by so much that a length of wall is not lapped of hundreds. */
export function steelFaults(wall: SetWall): Fault[] {
  const { steel } = wall;
  if (!steel) return [];
  const stock = stockOf(wall)[0] ?? Infinity;
  const along = Math.max(0, ...wall.runs.map((r) => r.length)) + 2 * (wall.footing?.past ?? 0);
  const up = Math.max(wall.height, ...wall.tops.flatMap((t) => t.segments.flatMap((s) => [s.left, s.right])));
  const used: [string | null | undefined, number][] = [
    [steel.vertical?.bar, up],
    [steel.footing?.bar, along],
    [steel.bed?.bar, along],
    ...steel.beams.map((b): [string, number] => [b.bar, along]),
  ];
  for (const [bar, length] of used) {
    if (!bar || length <= stock) continue;
    const lap = wallLap(wall, bar).length;
    if (stock > lap && (length - stock) / (stock - lap) <= LIMITS.lapped) continue;
    return [
      {
        path: `/walls/${wall.index}/steel/${steel.stock.length > 0 ? 'stock/0' : 'lap'}`,
        wanted: `stock that ${bar} of ${sayMm(length, wall.show)} is lapped of in at most ${LIMITS.lapped} bars`,
        got: `${sayMm(stock, wall.show)}, which a lap takes ${sayMm(lap, wall.show)} of`,
      },
    ];
  }
  return [];
}
