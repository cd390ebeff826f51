import type { Message, Said } from '../../../messages/message.js';
import { SAYS } from '../judging/messages.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { SetChange, SetWall } from '../../../stages/set-out/wall.js';
import { THINNEST_PIECE } from '../lines/lines.js';
import { cutTo } from './piers.js';
import type { Piece, Row } from '../laying/row.js';

/** A change that no longer finds the unit it was meant for. */
export interface LostChange {
  change: SetChange;
  why: Said;
}

/** A unit that differs from what it was by more than this is another unit, mm. */
const ANOTHER = 5;

/** A joint put into a piece: what was one becomes two. Null when a part would be too thin to lay. */
function parted(wall: SetWall, row: Row, piece: Piece, first: number): Row | null {
  const from = piece.from + first + wall.head;
  if (first < THINNEST_PIECE || piece.to - from < THINNEST_PIECE) return null;
  const parts = [cutTo(wall, piece, piece.from, piece.from + first), cutTo(wall, piece, from, piece.to)];
  return {
    ...row,
    pieces: row.pieces.flatMap((p) => (p === piece ? parts : [p])),
    perps: [...row.perps, { at: from - wall.head / 2, width: wall.head }].sort((a, b) => a.at - b.at),
  };
}

function swapped(row: Row, piece: Piece): Row | null {
  const next = row.pieces.find((p) => p.from > piece.from && p.band === null);
  const perp = next && row.perps.find((j) => j.at > piece.to - SAME_PLACE && j.at < next.from + SAME_PLACE);
  if (!next || !perp || Math.abs(next.from - piece.to - perp.width) > SAME_PLACE) return null;
  const [a, b] = [piece.to - piece.from, next.to - next.from];
  const joint = piece.from + b;
  return {
    ...row,
    pieces: row.pieces.map((p) =>
      p === piece
        ? { ...next, from: piece.from, to: joint }
        : p === next
          ? { ...piece, from: joint + perp.width, to: joint + perp.width + a }
          : p,
    ),
    perps: row.perps.map((j) => (j === perp ? { ...j, at: joint + perp.width / 2 } : j)),
  };
}

/** Across the wall: it shows its end, and what is left of its place is filled. */
function across(wall: SetWall, row: Row, piece: Piece): Row | null {
  const width = wall.unitWidth;
  if (piece.to - piece.from < width + wall.head) return null;
  const rest = piece.to - piece.from - width - wall.head;
  const out = rest < THINNEST_PIECE ? null : parted(wall, row, piece, width);
  if (!out) return null;
  return {
    ...out,
    pieces: out.pieces.map((p) =>
      Math.abs(p.from - piece.from) < SAME_PLACE ? { ...p, kind: 'header', cutFrom: null } : p,
    ),
  };
}

/** The sawn end to the other side, and back again: the cells go with the end that was not sawn. */
function endForEnd(row: Row, piece: Piece): Row | null {
  if (piece.cutFrom === null) return null;
  const { turned, ...plain } = piece;
  const other: Piece = turned ? plain : { ...plain, turned: true };
  return { ...row, pieces: row.pieces.map((p) => (p === piece ? other : p)) };
}

function changed(wall: SetWall, row: Row, change: SetChange): Row | Message {
  const piece = row.pieces.find((p) => p.band === null && p.from <= change.at && p.to >= change.at);
  if (!piece) return SAYS['no-unit']();
  if (Math.abs(piece.to - piece.from - change.length) > ANOTHER) return SAYS['another-unit']();
  const half = (piece.to - piece.from - wall.head) / 2;
  if (change.does === 'split') return parted(wall, row, piece, half) ?? SAYS['too-short-to-part']();
  if (change.does === 'swap') return swapped(row, piece) ?? SAYS['no-neighbour']();
  if (change.does === 'end-for-end') return endForEnd(row, piece) ?? SAYS['same-either-way']();
  return across(wall, row, piece) ?? SAYS['too-short-to-turn']();
}

/** A row with the mason's own changes made, one after another, and those that found no unit. */
export function changedRow(
  wall: SetWall,
  row: Row,
  changes: readonly SetChange[],
): { row: Row; lost: LostChange[] } {
  const lost: LostChange[] = [];
  let now = row;
  for (const change of changes) {
    const next = changed(wall, now, change);
    if ('code' in next) lost.push({ change, why: next });
    else now = next;
  }
  return { row: now, lost };
}
