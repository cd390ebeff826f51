import { toMillimetres, type Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { RunEnd } from '../../walling/units/lines/ends.js';
import { lineOf } from '../../walling/units/lines/lines.js';
import type { Perp, Piece, Row } from '../../walling/units/laying/row.js';
import type { SetWall } from '../set-out/wall.js';
import type { UnitShape } from '../../tables/units.js';

/** An open cell of one course: from and to along the run, and its plan area, mm and mm². */
export interface Cell {
  from: Mm;
  to: Mm;
  area: number;
}

/**
 * Cells of many courses, one course after another, as three lists: a wall has tens of thousands and they are made
 * anew at every edit, so none is an object of its own.
 */
export class CellList {
  count = 0;
  readonly from: number[] = [];
  readonly to: number[] = [];
  readonly area: number[] = [];

  put(from: number, to: number, area: number): void {
    this.from[this.count] = from;
    this.to[this.count] = to;
    this.area[this.count++] = area;
  }

  /** As objects, from a place in the lists on. */
  after(first: number): Cell[] {
    return Array.from({ length: this.count - first }, (_, i) => ({
      from: this.from[first + i] ?? 0,
      to: this.to[first + i] ?? 0,
      area: this.area[first + i] ?? 0,
    }));
  }
}

/** Where the cells of one course stand in such a list: the first, and the one after the last. */
export interface CellRange {
  first: number;
  end: number;
}

/** Less than this left clear is no cell to grout, mm: the least of the grout-space table. */
export const LEAST_CLEAR = 38;

/** Shell, web and what taper takes off, mm; null for a solid unit. */
export function coresOf(
  unit: UnitShape,
): { shell: number; web: number; cells: number; taper: number } | null {
  if (!unit.shells) return null;
  const { shell, web, cells, taper } = unit.shells;
  return {
    shell: toMillimetres(shell),
    web: toMillimetres(web),
    cells,
    taper: taper === undefined ? 0 : toMillimetres(taper),
  };
}

/** Clear width between the face shells, half way up, mm. */
export function insideWidth(wall: Pick<SetWall, 'unit' | 'unitWidth'>): Mm {
  const cores = coresOf(wall.unit);
  return cores ? wall.unitWidth - 2 * cores.shell - cores.taper : 0;
}

/** The cells of a wall's units, worked out once: what lies between the webs of a whole one and of a bought half. */
export interface CellPattern {
  whole: readonly (readonly [number, number])[];
  half: readonly (readonly [number, number])[];
  /** Through the wall, mm. */
  width: Mm;
  /** Of a unit of the run round the corner, seen across: how far in from its face, and its plan area. */
  shell: Mm;
  shownArea: number;
}

/** Cells between webs, from the left end of a unit, taper taken off both sides. */
function between(length: number, count: number, web: number, taper: number): [number, number][] {
  const each = (length - (count + 1) * web) / count;
  return Array.from({ length: count }, (_, i): [number, number] => {
    const from = web + i * (each + web);
    return [from + taper / 2, from + each - taper / 2];
  }).filter(([a, b]) => b - a >= LEAST_CLEAR);
}

/** The pattern of a wall's units; null where they have no cells to use. */
export function cellPatternOf(wall: SetWall): CellPattern | null {
  const cores = coresOf(wall.unit);
  const width = insideWidth(wall);
  if (!cores || width < LEAST_CLEAR) return null;
  const { shell, web, cells, taper } = cores;
  const whole = between(wall.unitLength, cells, web, taper);
  const half =
    wall.unit.halves === 'bought' ? between(wall.half, Math.max(1, Math.round(cells / 2)), web, taper) : [];
  const [a = 0, b = 0] = whole[0] ?? [];
  return { whole, half, width, shell: shell + taper / 2, shownArea: (b - a) * width };
}

/** Whether a head joint follows a piece: where none does, its right end shows. */
export const jointFollows = (piece: Piece, perps: readonly Perp[]): boolean =>
  perps.some((j) => Math.abs(j.at - j.width / 2 - piece.to) < 1);

/**
 * Whether a sawn piece keeps its own end, with the web, on its right. Laid so where that end shows: at a jamb, at a
 * movement joint, at the end of the wall, wherever no head joint follows. Turned end for end it is the other way.
 */
const keepsRight = (piece: Piece, perps: readonly Perp[]): boolean =>
  jointFollows(piece, perps) === (piece.turned ?? false);

/**
 * Adds the open cells of one piece of a row with these head joints. A sawn piece has the web of its uncut end. Pieces
 * across the wall, sawn in height or let in have no cell a bar could go through.
 */
function addCells(
  wall: SetWall,
  pattern: CellPattern,
  piece: Piece,
  perps: readonly Perp[],
  into: CellList,
): void {
  if (piece.band || piece.fitting || piece.rake || piece.special || piece.kind === 'header') return;
  const length = piece.to - piece.from;
  const whole = length > wall.unitLength - 1;
  if (whole || (pattern.half.length > 0 && Math.abs(length - wall.half) < 1)) {
    const cells = whole ? pattern.whole : pattern.half;
    // Written out: nearly every cell of a wall comes this way.
    for (let i = 0; i < cells.length; i++) {
      const cell = cells[i] as readonly [number, number];
      into.from[into.count] = piece.from + cell[0];
      into.to[into.count] = piece.from + cell[1];
      into.area[into.count++] = (cell[1] - cell[0]) * pattern.width;
    }
    return;
  }
  const left = pattern.whole
    .map(([a, b]): [number, number] => [a, Math.min(b, length)])
    .filter(([a, b]) => b - a >= LEAST_CLEAR);
  if (keepsRight(piece, perps))
    for (const [a, b] of left.reverse()) into.put(piece.to - b, piece.to - a, (b - a) * pattern.width);
  else for (const [a, b] of left) into.put(piece.from + a, piece.from + b, (b - a) * pattern.width);
}

/** The open cells of one piece of a row with these head joints. */
export function cellsOfPiece(wall: SetWall, piece: Piece, perps: readonly Perp[]): Cell[] {
  const pattern = cellPatternOf(wall);
  if (!pattern) return [];
  const cells = new CellList();
  addCells(wall, pattern, piece, perps, cells);
  return cells.after(0);
}

/** Adds every open cell of one course of a run, left to right; ends of other runs' units show their own, seen across. */
export function addRow(
  wall: SetWall,
  pattern: CellPattern,
  run: BondedRun,
  row: Row,
  course: number,
  into: CellList,
): CellRange {
  const first = into.count;
  const line = lineOf(run.lines, course);
  const square = (end: RunEnd): boolean => end.legs === null && end.shows === undefined;
  const shown = (from: number, to: number): void => {
    const [a, b] = [from + pattern.shell, to - pattern.shell];
    if (b - a >= LEAST_CLEAR) into.put(a, b, pattern.shownArea);
  };
  if (line.shownAtStart && !row.bareStart && square(run.ends.start))
    shown(run.from, run.from + wall.unitWidth);
  for (const p of row.pieces) addCells(wall, pattern, p, row.perps, into);
  if (line.shownAtEnd && !row.bareEnd && square(run.ends.end)) shown(run.to - wall.unitWidth, run.to);
  if (row.shown) {
    for (const s of row.shown) shown(s.from, s.to);
    const inOrder = into.after(first).sort((a, b) => a.from - b.from);
    into.count = first;
    for (const c of inOrder) into.put(c.from, c.to, c.area);
  }
  return { first, end: into.count };
}
