import { SAME_PLACE } from '../../../measure/length.js';
import type { SetPier, SetWall } from '../../../stages/set-out/wall.js';
import { headLimits, lineOf, THINNEST_PIECE, type RunLines } from '../lines/lines.js';
import { kindOf, unitLengthsOf } from '../laying/kindOf.js';
import type { Piece, Row } from '../laying/row.js';

/** Whether a unit laid across reaches through the wall and the pier: two widths and a joint. */
export const pierBonds = (wall: SetWall): boolean => {
  const limits = headLimits(wall);
  const short = 2 * wall.unitWidth + wall.head - wall.unitLength;
  return wall.wythes === 1 && Math.abs(short) <= wall.head - limits.least + SAME_PLACE;
};

/**
 * The courses in which a pier is tied into the wall by headers: those in which perps stand inside it, while in the
 * others its edges are perps and a stretcher backs a stretcher. Null where neither is so.
 */
export function pierAcross(wall: SetWall, pier: SetPier, lines: RunLines): 'odd' | 'even' | null {
  for (const [across, course] of [
    ['even', 1],
    ['odd', 2],
  ] as const) {
    const { u, joint } = lineOf(lines, course);
    const on = (x: number): boolean => u.some((at) => Math.abs(at - x) < 1);
    const inside = lineOf(lines, course + 1).u.some((x) => x > pier.from + 1 && x < pier.to - 1);
    if (on(pier.from) && on(pier.to + joint) && inside) return across;
  }
  return null;
}

/** Places where a pier's edges stand on the perps, for it to be moved to: nearest first. */
export function pierPlaces(pier: SetPier, lines: RunLines): number[] {
  const width = pier.to - pier.from;
  const places = [1, 2].flatMap((course) => {
    const { u, joint } = lineOf(lines, course);
    // Both edges walk along the perps together, which ascend.
    let other = 0;
    return u.filter((x) => {
      const edge = x + width + joint;
      while (other < u.length && (u[other] ?? 0) <= edge - 1) other++;
      return (u[other] ?? Infinity) < edge + 1;
    });
  });
  return [...new Set(places)].sort((a, b) => Math.abs(a - pier.from) - Math.abs(b - pier.from));
}

/**
 * A header over each perp inside the pier, and the units beside it cut to three-quarters: every perp of the face
 * then stands a quarter from those above and below, where two headers side by side would bring perps in line.
 */
export function turnedAt(wall: SetWall, row: Row, pier: SetPier): Row {
  const { unitWidth: width, head } = wall;
  const inside = row.perps.filter((j) => j.at > pier.from + 1 && j.at < pier.to - 1);
  let { pieces, perps } = row;
  for (const j of inside) {
    const header = { from: j.at - width / 2, to: j.at + width / 2 };
    const beside = (p: Piece): boolean =>
      p.band === null && Math.abs(p.to - (j.at - j.width / 2)) < SAME_PLACE
        ? header.from - head - p.from >= THINNEST_PIECE
        : p.band === null &&
          Math.abs(p.from - (j.at + j.width / 2)) < SAME_PLACE &&
          p.to - header.to - head >= THINNEST_PIECE;
    const pair = pieces.filter(beside);
    const [left, right] = pair;
    if (!left || !right) continue;
    const middle: Piece = { ...left, kind: 'header', cutFrom: null, opening: -1, ...header };
    pieces = pieces.flatMap((p) =>
      p === left
        ? [cutTo(wall, p, p.from, header.from - head), middle]
        : p === right
          ? [cutTo(wall, p, header.to + head, p.to)]
          : [p],
    );
    perps = perps.flatMap((one) =>
      one === j
        ? [
            { at: header.from - head / 2, width: head },
            { at: header.to + head / 2, width: head },
          ]
        : [one],
    );
  }
  return { ...row, pieces, perps };
}

/** A unit, or what is left of it, by its length. */
export function cutTo(wall: SetWall, like: Piece, from: number, to: number): Piece {
  const { kind, cut } = kindOf(wall, to - from, unitLengthsOf(wall));
  const sawn = cut || (kind === 'half' && wall.unit.halves === 'sawn');
  return { ...like, kind, from, to, cutFrom: sawn ? 'stretcher' : null, opening: -1 };
}

const BACKING: Piece = { kind: 'stretcher', from: 0, to: 0, cutFrom: null, opening: -1, band: null };

/** The stretchers behind the wall that make the pier where nothing lies across. */
export function backingAt(wall: SetWall, pier: SetPier): Piece[] {
  const module = wall.unitLength + wall.head;
  const pieces: Piece[] = [];
  for (let from = pier.from; from < pier.to - THINNEST_PIECE; from += module)
    pieces.push(cutTo(wall, BACKING, from, Math.min(from + wall.unitLength, pier.to)));
  return pieces;
}

/** What fills the pier behind the wall beside the headers that go through. */
export function besideHeaders(wall: SetWall, pier: SetPier, row: Row | undefined): Piece[] {
  const headers = (row?.pieces ?? []).filter(
    (p) => p.kind === 'header' && p.from > pier.from - 1 && p.to < pier.to + 1,
  );
  const edges = [pier.from, ...headers.flatMap((h) => [h.from - wall.head, h.to + wall.head]), pier.to];
  const pieces: Piece[] = [];
  for (let i = 0; i + 1 < edges.length; i += 2) {
    const [from, to] = [edges[i] ?? 0, edges[i + 1] ?? 0];
    if (to - from < THINNEST_PIECE) continue;
    const piece = cutTo(wall, BACKING, from, to);
    pieces.push(piece.kind === 'cut' ? { ...piece, kind: 'closer' } : piece);
  }
  return pieces;
}
