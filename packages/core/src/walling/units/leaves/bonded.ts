import { SAME_PLACE } from '../../../measure/length.js';
import { isTangent } from '../../../stages/set-out/line.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { RunEnd, RunEnds } from '../lines/ends.js';
import { THINNEST_PIECE, type Parity, type Span } from '../lines/lines.js';
import type { Piece, Row } from '../laying/row.js';

/** Bricks that lie across the wall: their backs are seen inside, so nothing stands behind them. */
export const goesThrough = (wall: SetWall, piece: Piece): boolean =>
  wall.wythes === 2 &&
  wall.bond.family === 'header' &&
  (piece.kind === 'header' || piece.kind === 'closer' || (piece.kind === 'half' && !isBat(wall, piece)));

const isBat = (wall: SetWall, piece: Piece): boolean =>
  Math.abs(piece.to - piece.from - wall.unitWidth) > SAME_PLACE;

/** Behind every stretcher of a one-brick wall stands another; headers and closers go through. */
export function backRow(wall: SetWall, row: Row, { from, to }: Span): Row {
  const pieces = row.pieces.flatMap((p): Piece[] => {
    if (goesThrough(wall, p)) return [];
    const [a, b] = [Math.max(p.from, from), Math.min(p.to, to)];
    if (b - a < THINNEST_PIECE) return [];
    const whole = Math.abs(b - a - (p.to - p.from)) < SAME_PLACE;
    const kind = whole
      ? p.kind === 'corner'
        ? 'stretcher'
        : p.kind
      : near(b - a, wall.half)
        ? 'half'
        : 'cut';
    return [
      { ...p, from: a, to: b, kind, cutFrom: kind === 'half' || kind === 'cut' ? 'stretcher' : p.cutFrom },
    ];
  });
  return { pieces, perps: [], bedded: [] };
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.01;

/**
 * Between which places of its outside face a course of a bonded wall is backed by bricks of its own. Behind the quoin
 * it turns an outside corner with stand the other run's; where the other turns it, all it has itself is backed.
 */
export function backedStretch(
  wall: SetWall,
  index: number,
  ends: RunEnds,
  parity: Parity,
): { from: number; to: number } {
  const length = wall.runs[index]?.length ?? 0;
  // Where a run goes on into the next without a corner a brick may lie in both: it is backed as long as it is.
  const goesOn = (end: 'from' | 'to'): boolean =>
    wall.line.corners.some((c) => c[end] === index && isTangent(c.turn));
  const off = (end: RunEnd, on: boolean): number =>
    on
      ? -Infinity
      : end.other !== null && end[parity] === 'own' && end.past === 0
        ? wall.thickness + wall.head
        : -end.past;
  return { from: off(ends.start, goesOn('to')), to: length - off(ends.end, goesOn('from')) };
}
