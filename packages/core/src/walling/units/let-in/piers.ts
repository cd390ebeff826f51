import { SAME_PLACE } from '../../../measure/length.js';
import type { SetPier, SetWall } from '../../../stages/set-out/wall.js';
import { headLimits, lineOf, THINNEST_PIECE, type RunLines } from '../lines/lines.js';
import { kindOf, unitLengthsOf } from '../laying/kindOf.js';
import type { Piece, Row } from '../laying/row.js';
import { goesThrough } from '../leaves/bonded.js';

/**
 * Whether a unit laid across reaches through the leaf it is built against and the pier: two widths and a joint. A one-brick wall is
 * bonded through itself, so that its back wythe holds a pier there; one before its face would have to go through the face.
 */
export const pierBonds = (wall: SetWall, pier: SetPier): boolean => {
  const limits = headLimits(wall);
  const short = 2 * wall.unitWidth + wall.head - wall.unitLength;
  const leaf = wall.wythes === 1 || (wall.bond.family === 'header' && pier.side === 'inside');
  return leaf && Math.abs(short) <= wall.head - limits.least + SAME_PLACE;
};

/**
 * The courses in which a pier is tied into the wall by headers: those in which perps stand inside it, while in the
 * others its edges are perps and a stretcher backs a stretcher. Null where neither is so.
 */
export function pierAcross(
  wall: Pick<SetWall, 'bond'>,
  pier: SetPier,
  lines: RunLines,
): 'odd' | 'even' | null {
  for (const [across, course] of [
    ['even', 1],
    ['odd', 2],
  ] as const) {
    const { u, joint } = lineOf(lines, course);
    const on = (x: number): boolean => u.some((at) => Math.abs(at - x) < 1);
    if (!on(pier.from) || !on(pier.to + joint)) continue;
    // In a one-brick wall the stretchers behind the face there give way to headers, in that course itself.
    if (wall.bond.family === 'header') return across === 'odd' ? 'even' : 'odd';
    if (lineOf(lines, course + 1).u.some((x) => x > pier.from + 1 && x < pier.to - 1)) return across;
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
export function backingAt(wall: SetWall, pier: Pick<SetPier, 'from' | 'to'>): Piece[] {
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

/** The bricks behind the face of a one-brick wall with those in a pier laid across: two headers for a stretcher, into the pier. */
export function headedBack(wall: SetWall, row: Row, piers: readonly SetPier[]): Row {
  const across = wall.unitWidth + wall.head;
  const pieces = row.pieces.flatMap((p): Piece[] => {
    const count = Math.round((p.to - p.from + wall.head) / across);
    const within = piers.some((q) => p.from >= q.from - 1 && p.to <= q.to + 1);
    const joint = count > 1 ? (p.to - p.from - count * wall.unitWidth) / (count - 1) : wall.head;
    if (!within || Math.abs(joint - wall.head) > wall.head / 2) return [p];
    return Array.from({ length: count }, (_, i): Piece => {
      const from = p.from + i * (wall.unitWidth + joint);
      return { ...p, kind: 'header', cutFrom: null, opening: -1, from, to: from + wall.unitWidth };
    });
  });
  return { ...row, pieces };
}

/** What stands in a pier of a one-brick wall behind bricks of the wall that go through it themselves. */
export function besideThrough(wall: SetWall, pier: SetPier, row: Row | undefined): Piece[] {
  const own = (row?.pieces ?? []).filter((p) => p.to > pier.from + 1 && p.from < pier.to - 1);
  const spans: { from: number; to: number }[] = [];
  for (const p of own.filter((one) => goesThrough(wall, one))) {
    const [from, to] = [Math.max(p.from, pier.from), Math.min(p.to, pier.to)];
    const last = spans.at(-1);
    if (last && from - last.to <= 2 * wall.head) last.to = to;
    else spans.push({ from, to });
  }
  return spans.flatMap((s) => backingAt(wall, s));
}
