import { SAME_PLACE, toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { BondedRun } from '../laying/bond.js';
import { OFF_LINE } from '../laying/besideJamb.js';
import { shortLaps, SIXTY_FOURTH } from './laps.js';
import type { Row } from '../laying/row.js';
import { headLimits, leastPieceOf, lineOf } from '../lines/lines.js';

export interface BondCost {
  total: number;
  cutPieces: number;
  underLeast: number;
  shortLaps: number;
  sizes: number;
  perpsOff: number;
  joints: number;
  smallest: number | null;
}

/** What of a run is weighed. */
type WeighedRun = Pick<BondedRun, 'lines' | 'rows' | 'uses'>;

function perpsOff(run: WeighedRun, row: Row): number {
  const line = lineOf(run.lines, run.rows.indexOf(row) + 1);
  const places = line.u.map((u) => u - line.joint / 2);
  let i = 0;
  let off = 0;
  for (const perp of row.perps) {
    while (
      i + 1 < places.length &&
      Math.abs((places[i + 1] ?? 0) - perp.at) <= Math.abs((places[i] ?? 0) - perp.at)
    )
      i++;
    if (Math.abs((places[i] ?? 0) - perp.at) > OFF_LINE) off++;
  }
  return off;
}

/** What a bond costs by the contract's weights: rows alike are weighed once and multiplied by their courses. */
export function bondCost(wall: SetWall, runs: readonly WeighedRun[]): BondCost {
  const leastPiece = leastPieceOf(wall);
  const leastLap = toMillimetres(wall.profile.leastLap(wall.unit));
  const limits = headLimits(wall);
  const cost: BondCost = {
    total: 0,
    cutPieces: 0,
    underLeast: 0,
    shortLaps: 0,
    sizes: 0,
    perpsOff: 0,
    joints: 0,
    smallest: null,
  };
  const sizes = new Set<number>();
  const pairs = new Map<Row, Map<Row, number>>();
  for (const run of runs) {
    for (const [row, uses] of run.uses) {
      for (const piece of row.pieces) {
        const length = piece.to - piece.from;
        // What a slope takes off is the drawing's doing, whatever the bond.
        if (piece.rake || piece.fitting === 'soldier') continue;
        if (piece.cutFrom !== null) {
          cost.cutPieces += uses;
          sizes.add(Math.round(length));
        }
        if (piece.kind !== 'closer' && !piece.special && length < leastPiece - SIXTY_FOURTH)
          cost.underLeast += uses;
        if (cost.smallest === null || length < cost.smallest) cost.smallest = length;
      }
      for (const perp of row.perps) {
        const off = perp.width - wall.head;
        const room = off > 0 ? limits.most - wall.head : wall.head - limits.least;
        if (Math.abs(off) > SAME_PLACE) cost.joints += uses * (off / Math.max(room, SAME_PLACE)) ** 2;
      }
      cost.perpsOff += uses * perpsOff(run, row);
    }
    // Stack bond has no lap to be short.
    for (let i = 0; wall.bond.step !== 0 && i + 1 < run.rows.length; i++) {
      const [a, b] = [run.rows[i], run.rows[i + 1]];
      if (a && b) cost.shortLaps += countLaps(pairs, a, b, leastLap);
    }
  }
  cost.sizes = sizes.size;
  cost.total =
    wall.weights.bond.cutPiece * cost.cutPieces +
    wall.weights.bond.pieceUnderLeast * cost.underLeast +
    wall.weights.bond.lapUnderRule * cost.shortLaps +
    wall.weights.bond.distinctCutSize * cost.sizes +
    wall.weights.bond.perpOffItsLine * cost.perpsOff +
    wall.weights.bond.headJointSquared * cost.joints;
  return cost;
}

function countLaps(pairs: Map<Row, Map<Row, number>>, a: Row, b: Row, least: number): number {
  const of = pairs.get(a) ?? new Map<Row, number>();
  pairs.set(a, of);
  const count = of.get(b) ?? shortLaps(a, b, least).length;
  of.set(b, count);
  return count;
}
