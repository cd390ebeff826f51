import type { Row } from '../bond/row.js';
import { BOND_WEIGHTS } from '../tables/weights.js';
import { closed, planOf } from './jobs.js';

/** Two courses of brick between a corner of their own and one of another run: what bonds are weighed on. Millimetres. */
export const BRICK = { whole: 215, width: 102.5, joint: 10, leastPiece: 102.5, leastLap: 40 };

/** The first two courses of one side of a closed brick wall. */
export function brickPair(length: number): [Row, Row] {
  const [odd, even] =
    planOf({
      line: closed(length, 2015),
      height: 750,
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
    }).runs[0]?.rows ?? [];
  if (!odd || !even) throw new Error('no rows');
  return [odd, even];
}

/** What two courses of the plan cost by the contract's weights, eased joints and all. */
export function pairCost(rows: readonly [Row, Row]): number {
  const pieces = rows.flatMap((r) => r.pieces);
  const cut = pieces.filter((p) => p.cutFrom !== null);
  const short = pieces.filter((p) => p.to - p.from < BRICK.leastPiece - 0.01);
  const joints = rows
    .flatMap((r) => r.perps)
    .reduce((sum, p) => sum + ((p.width - BRICK.joint) / (p.width > BRICK.joint ? 5 : 4)) ** 2, 0);
  const [a = [], b = []] = rows.map((r) => r.perps.map((p) => p.at));
  const laps = a.filter((x) => b.some((y) => Math.abs(x - y) < BRICK.leastLap - 0.01));
  return (
    BOND_WEIGHTS.cutPiece * cut.length +
    BOND_WEIGHTS.pieceUnderLeast * short.length +
    BOND_WEIGHTS.distinctCutSize * new Set(cut.map((p) => Math.round(p.to - p.from))).size +
    BOND_WEIGHTS.lapUnderRule * laps.length +
    joints
  );
}
