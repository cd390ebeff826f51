import type { CubicMetres, Mm } from '../../measure/length.js';
import type { Course } from '../gauge/courses.js';
import { firstFrom } from '../../walling/units/lines/lines.js';
import { cellsOfPiece, insideWidth, type Cell } from '../steel/cells.js';
import type { SetWall } from '../set-out/wall.js';
import { fromFace } from '../../walling/units/leaves/behind.js';
import type { Leaf } from '../../walling/units/leaves/leaf.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { Piece, Row } from '../../walling/units/laying/row.js';

/** What is grouted in one run: cells by their clear width along the outside face and the courses they go through, by place; courses filled solid. */
export interface GroutedRun {
  cells: readonly { from: Mm; to: Mm; low: number; high: number }[];
  solid: ReadonlySet<number>;
}

/** Wall no longer than so many times its thickness between two openings, or one and a free end, is a pier (TMS 402, from memory). */
const PIER = 6;

interface Span {
  from: Mm;
  to: Mm;
}

/** The piers of one course of a run: short lengths of wall between openings it stops at, or one and a free end. */
function piersAt(wall: SetWall, run: number, course: Course): Span[] {
  const open = wall.openings
    .filter((o) => o.run === run && course.bottom >= o.sill - 1 && course.top <= o.head + 1)
    .sort((a, b) => a.from - b.from);
  if (open.length === 0) return [];
  const free = (end: 'from' | 'to'): boolean => !wall.line.corners.some((c) => c[end] === run);
  const edges = open.flatMap((o) => [o.from, o.to]);
  if (free('to')) edges.unshift(0);
  else edges.shift();
  if (free('from')) edges.push(wall.runs[run]?.length ?? 0);
  else edges.pop();
  // Wall and opening by turns: from a free end, else from the far jamb of the first opening.
  const spans: Span[] = [];
  for (let i = 0; i + 1 < edges.length; i += 2) spans.push({ from: edges[i] ?? 0, to: edges[i + 1] ?? 0 });
  return spans.filter((s) => s.to - s.from <= PIER * wall.thickness);
}

/** A unit of a course and its open cells, left to right. */
interface Celled {
  piece: Piece;
  cells: readonly Cell[];
}

/** All of a piece that is not cell, seen from above, between its two face shells, mm². */
const websOfPiece = (inside: Mm, { piece, cells }: Celled): number =>
  Math.max(0, (piece.to - piece.from) * inside - cells.reduce((s, c) => s + c.area, 0));

/** Webs of a piece beside cells that are filled, mm along it: one between two filled cells counts once. */
function websBeside({ piece, cells }: Celled, filled: readonly Mm[]): Mm {
  let long = 0;
  let before = false;
  let edge = piece.from;
  for (const c of cells) {
    const k = firstFrom(filled, c.from);
    const own = (filled[k] ?? Infinity) < c.to;
    if (own || before) long += c.from - edge;
    [before, edge] = [own, c.to];
  }
  return before ? long + piece.to - edge : long;
}

/**
 * Mortar on the webs of one run of hollow unit bedded on its face shells, course by course, m³: all of them in the course it starts with and in piers,
 * and those beside cells that must hold their grout (TMS 602 3.3 B, from memory). Nought where units are bedded full anyway.
 */
export function websBedded(leaf: Leaf, run: BondedRun, grouted: GroutedRun | undefined): CubicMetres[] {
  const { wall, gauge } = leaf;
  const { shells } = wall.unit;
  if (shells === null || wall.profile.bedding(wall.unit) !== 'face-shell') return [];
  const inside = insideWidth(wall);
  const opened = wall.openings.some((o) => o.run === run.index);
  const steps = wall.steps.filter((s) => s.run === run.index);
  const behind = leaf.behind[run.index];
  const cells = (grouted?.cells ?? []).map((c) => {
    const middle = (c.from + c.to) / 2;
    return { ...c, at: behind ? fromFace(behind, middle) : middle };
  });
  cells.sort((a, b) => a.at - b.at);
  const wholeIn = (course: Course, i: number): ((p: Piece) => boolean) => {
    const spans = [...steps.filter((s) => s.up === i), ...piersAt(wall, run.index, course)];
    return (p) => spans.some((s) => (p.from + p.to) / 2 > s.from && (p.from + p.to) / 2 < s.to);
  };
  const changes = [...new Set(cells.flatMap((c) => [c.low, c.high + 1]))];
  // Most rows come again, most of them with the same cells filled.
  const celled = new Map<Row, Celled[]>();
  const known = new Map<Row, Map<string, number>>();
  const areaOf = (row: Row, course: Course, i: number): number => {
    // What is sawn in height is solid where it was sawn, and bedded on its shells.
    const own =
      celled.get(row) ??
      row.pieces
        .filter((p) => p.band === null)
        .map((piece) => ({ piece, cells: cellsOfPiece(wall, piece, row.perps) }));
    celled.set(row, own);
    const all = i === 0 || grouted?.solid.has(i) === true;
    const some = opened || steps.length > 0;
    const isWhole = all || !some ? null : wholeIn(course, i);
    const full = isWhole && own.map(({ piece }) => isWhole(piece));
    // Between two courses in which no cell begins or ends the same are filled.
    const word = all
      ? 'all'
      : `${changes.filter((at) => at <= i).length}|${full?.map(Number).join('') ?? ''}`;
    const same = known.get(row)?.get(word);
    if (same !== undefined) return same;
    const filled = cells.filter((c) => c.low <= i && c.high >= i).map((c) => c.at);
    const area = own.reduce(
      (s, one, k) => s + (all || full?.[k] ? websOfPiece(inside, one) : websBeside(one, filled) * inside),
      0,
    );
    known.set(row, (known.get(row) ?? new Map<string, number>()).set(word, area));
    return area;
  };
  return gauge.courses.slice(0, run.rows.length).map((course, i) => {
    const row = run.rows[i];
    return row ? (areaOf(row, course, i) * course.bed) / 1e9 : 0;
  });
}

/** What is grouted in a run as one word: cells that are filled elsewhere bed other webs. */
export const groutedWord = (of: GroutedRun | undefined): string =>
  of ? `${of.cells.map((c) => [c.from, c.to, c.low, c.high].join()).join(';')}/${[...of.solid].join()}` : '';
