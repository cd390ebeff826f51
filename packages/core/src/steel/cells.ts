import { SAME_PLACE, toMillimetres } from '../measure/length.js';
import type { BondedRun } from '../bond/bond.js';
import type { RunEnd } from '../bond/ends.js';
import { lineOf } from '../bond/lines.js';
import type { Piece, Row } from '../bond/row.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../setout/wall.js';
import type { UnitShape } from '../tables/units.js';

/** An open cell of one course: from and to along the run, and its plan area, mm and mm². */
export interface Cell {
  from: number;
  to: number;
  area: number;
}

/** Cells of a course one after another as from, to, area: a wall has tens of thousands, made anew at every edit. */
interface FlatCells {
  count: number;
  at: number[];
}

const noCells = (): FlatCells => ({ count: 0, at: [] });

function put(into: FlatCells, from: number, to: number, area: number): void {
  into.count++;
  into.at.push(from, to, area);
}

/** Cells that stand over one another through several courses: one hole a bar or grout can go down. */
export interface Column {
  run: number;
  /** What is clear through all of its courses, mm along the run. */
  from: number;
  to: number;
  /** Its lowest and highest course, by place in the list of courses. */
  low: number;
  high: number;
  /** Underside of the lowest bed and top of the highest course, mm. */
  bottom: number;
  top: number;
}

/** The continuous cells of a run, and the open cells of each of its courses. */
export interface RunCells {
  columns: Column[];
  /** Plan area of the cell a column goes through in one of its courses, mm². */
  areaAt: (column: Column, course: number) => number;
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
export function insideWidth(wall: Pick<SetWall, 'unit' | 'unitWidth'>): number {
  const cores = coresOf(wall.unit);
  return cores ? wall.unitWidth - 2 * cores.shell - cores.taper : 0;
}

/** The cells of a wall's units, worked out once: what lies between the webs of a whole one and of a bought half. */
export interface CellPattern {
  whole: readonly (readonly [number, number])[];
  half: readonly (readonly [number, number])[];
  /** Through the wall, mm. */
  width: number;
  /** Of a unit of the run round the corner, seen across: how far in from its face, and its plan area. */
  shell: number;
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

/**
 * Adds the open cells of one piece. A sawn piece keeps the web at its uncut end: at an opening that end is the
 * reveal. Pieces across the wall, sawn in height or let in have none a bar could go through.
 */
function addCells(
  wall: SetWall,
  pattern: CellPattern,
  piece: Piece,
  openings: SetWall['openings'],
  into: FlatCells,
): void {
  if (piece.band || piece.fitting || piece.rake || piece.special || piece.kind === 'header') return;
  const { width } = pattern;
  const length = piece.to - piece.from;
  const add = (from: number, to: number): void => {
    put(into, piece.from + from, piece.from + to, (to - from) * width);
  };
  const whole = length > wall.unitLength - 1;
  if (whole || (pattern.half.length > 0 && Math.abs(length - wall.half) < 1)) {
    for (const [a, b] of whole ? pattern.whole : pattern.half) add(a, b);
    return;
  }
  const keepsRight = openings.some((o) => Math.abs(o.from - piece.to) < 1);
  const left = pattern.whole
    .map(([a, b]): [number, number] => [a, Math.min(b, length)])
    .filter(([a, b]) => b - a >= LEAST_CLEAR);
  if (keepsRight) for (const [a, b] of left.reverse()) add(length - b, length - a);
  else for (const [a, b] of left) add(a, b);
}

/** The open cells of one piece. */
export function cellsOfPiece(wall: SetWall, piece: Piece, openings: SetWall['openings']): Cell[] {
  const pattern = cellPatternOf(wall);
  const cells = noCells();
  if (pattern) addCells(wall, pattern, piece, openings, cells);
  return cellsIn(cells);
}

const cellsIn = ({ at, count }: FlatCells): Cell[] =>
  Array.from({ length: count }, (_, i) => ({
    from: at[3 * i] ?? 0,
    to: at[3 * i + 1] ?? 0,
    area: at[3 * i + 2] ?? 0,
  }));

/** Every open cell of one course of a run, left to right; ends of other runs' units show their own, seen across. */
export function cellsOfRow(
  wall: SetWall,
  pattern: CellPattern,
  run: BondedRun,
  row: Row,
  course: number,
  openings: SetWall['openings'],
): FlatCells {
  const line = lineOf(run.lines, course);
  const square = (end: RunEnd): boolean => end.legs === null && end.shows === undefined;
  const cells = noCells();
  const shown = (from: number, to: number): void => {
    const [a, b] = [from + pattern.shell, to - pattern.shell];
    if (b - a >= LEAST_CLEAR) put(cells, a, b, pattern.shownArea);
  };
  if (line.shownAtStart && !row.bareStart && square(run.ends.start))
    shown(run.from, run.from + wall.unitWidth);
  for (const p of row.pieces) addCells(wall, pattern, p, openings, cells);
  if (line.shownAtEnd && !row.bareEnd && square(run.ends.end)) shown(run.to - wall.unitWidth, run.to);
  if (!row.shown) return cells;
  for (const s of row.shown) shown(s.from, s.to);
  const inOrder = cellsIn(cells).sort((a, b) => a.from - b.from);
  const sorted = noCells();
  for (const c of inOrder) put(sorted, c.from, c.to, c.area);
  return sorted;
}

interface Open {
  from: number;
  to: number;
  low: number;
}

/** Cells of a course by their places in it. */
interface Range {
  from: number;
  to: number;
}

/** The cells of one course that are not the same as another's: what lies before and after them is. */
function changed(a: FlatCells, b: FlatCells): Range {
  const same = (i: number, k: number): boolean =>
    a.at[3 * i] === b.at[3 * k] && a.at[3 * i + 1] === b.at[3 * k + 1];
  const least = Math.min(a.count, b.count);
  let from = 0;
  while (from < least && same(from, from)) from++;
  let after = 0;
  while (after < least - from && same(a.count - 1 - after, b.count - 1 - after)) after++;
  return { from, to: a.count - after };
}

/**
 * Goes up one course: each open column takes the cell it shares most with, each cell serves one column. Columns that
 * find none go to `done`; a cell no column took begins another.
 */
function upOne(open: readonly Open[], { at }: FlatCells, course: number, done: Open[], range: Range): Open[] {
  const base = 3 * range.from;
  const count = range.to - range.from;
  const takers: (Open | undefined)[] = new Array<Open | undefined>(count);
  const shared = new Float64Array(count);
  let k = 0;
  for (const column of open) {
    while (k < count && (at[base + 3 * k + 1] as number) < column.from + LEAST_CLEAR) k++;
    let best = -1;
    let most = LEAST_CLEAR;
    for (let i = k; i < count && (at[base + 3 * i] as number) <= column.to - LEAST_CLEAR; i++) {
      const clear =
        Math.min(at[base + 3 * i + 1] as number, column.to) -
        Math.max(at[base + 3 * i] as number, column.from);
      if (clear >= most + (best < 0 ? 0 : SAME_PLACE)) {
        best = i;
        most = clear;
      }
    }
    const other = takers[best];
    if (best < 0 || (other && (shared[best] as number) >= most)) {
      done.push(column);
      continue;
    }
    if (other) done.push(other);
    takers[best] = column;
    shared[best] = most;
  }
  const next: Open[] = new Array<Open>(count);
  for (let i = 0; i < count; i++) {
    const from = at[base + 3 * i] as number;
    const to = at[base + 3 * i + 1] as number;
    const taker = takers[i];
    if (taker) {
      if (from > taker.from) taker.from = from;
      if (to < taker.to) taker.to = to;
      next[i] = taker;
    } else next[i] = { from, to, low: course };
  }
  return next;
}

/** The cell of a course that a place lies in, by halving; −1 where there is none. */
function cellAt({ at: cells, count }: FlatCells, x: number): number {
  let low = 0;
  for (let high = count; low < high;) {
    const middle = (low + high) >> 1;
    if ((cells[3 * middle + 1] as number) < x) low = middle + 1;
    else high = middle;
  }
  return low < count && (cells[3 * low] as number) <= x ? low : -1;
}

const NO_CELLS: RunCells = { columns: [], areaAt: () => 0 };

/**
 * The continuous cells of a run, found course over course. A web, an offset of the bond, an opening or the end of a
 * course breaks one off; what is over it begins another. Where two courses go on by turns nothing changes, and nothing
 * is worked out again.
 */
export function cellsOfRun(wall: SetWall, run: BondedRun, courses: readonly Course[]): RunCells {
  const pattern = cellPatternOf(wall);
  if (!pattern) return NO_CELLS;
  const openings = wall.openings.filter((o) => o.run === run.index);
  const known = new Map<Row, FlatCells>();
  const cellsAt = (i: number): FlatCells => {
    const row = run.rows[i] as Row;
    let cells = known.get(row);
    if (!cells)
      known.set(row, (cells = cellsOfRow(wall, pattern, run, row, courses[i]?.number ?? 1, openings)));
    return cells;
  };
  const columns: Column[] = [];
  const lone = Math.min(2, run.rows.length);
  // Written out key by key: a wall has hundreds, made anew at every edit.
  const close = ({ from, to, low }: Open, high: number): void => {
    if (high - low + 1 < lone) return;
    const [bottom, top] = [courses[low]?.bottom ?? 0, courses[high]?.top ?? 0];
    columns.push({ run: run.index, from, to, low, high, bottom, top });
  };
  let open: Open[] = [];
  /** The last course in which a column began. */
  let begun = 0;
  for (let i = 0; i < run.rows.length; i++) {
    if (i >= 2 && run.rows[i] === run.rows[i - 2] && begun < i - 1) continue;
    const cells = cellsAt(i);
    // What went through both of two courses by turns goes through the next like the first; what only the last began
    // goes no further. So only where the cells are not those of two courses down is there anything to work out.
    const range: Range =
      i < 2
        ? { from: 0, to: cells.count }
        : run.rows[i] === run.rows[i - 2]
          ? { from: cells.count, to: cells.count }
          : changed(cells, cellsAt(i - 2));
    const low = range.from > 0 ? (cells.at[3 * range.from - 2] as number) : -Infinity;
    const high = range.to < cells.count ? (cells.at[3 * range.to] as number) : Infinity;
    const [left, middle, right]: [Open[], Open[], Open[]] = [[], [], []];
    for (const c of open) {
      const within = c.from >= low - SAME_PLACE && c.to <= high + SAME_PLACE;
      if (within) middle.push(c);
      else if (c.low === i - 1 && i >= 2) close(c, i - 1);
      else (c.from < low ? left : right).push(c);
    }
    const done: Open[] = [];
    const up = range.from < range.to || middle.length > 0 ? upOne(middle, cells, i, done, range) : [];
    for (const c of done) close(c, i - 1);
    if (up.some((c) => c.low === i)) begun = i;
    open = [...left, ...up, ...right];
  }
  for (const c of open) close(c, run.rows.length - 1);
  columns.sort((a, b) => a.from - b.from || a.bottom - b.bottom);
  const areaAt = (column: Column, i: number): number => {
    const cells = cellsAt(i);
    const cell = cellAt(cells, middleOf(column));
    return cell < 0 ? 0 : (cells.at[3 * cell + 2] as number);
  };
  return { columns, areaAt };
}

export const middleOf = (c: { from: number; to: number }): number => (c.from + c.to) / 2;
