import { SAME_PLACE, type Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { Row } from '../../walling/units/laying/row.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../set-out/wall.js';
import { addRow, cellPatternOf, CellList, LEAST_CLEAR, type CellRange } from './cells.js';

/** Cells that stand over one another through several courses: one hole a bar or grout can go down. */
export interface Shaft {
  run: number;
  /** What is clear through all of its courses, mm along the run. */
  from: Mm;
  to: Mm;
  /** Its lowest and highest course, by place in the list of courses. */
  low: number;
  high: number;
  /** Underside of the lowest bed and top of the highest course, mm. */
  bottom: Mm;
  top: Mm;
}

/** The continuous cells of a run, and the open cells of each of its courses. */
export interface RunCells {
  shafts: Shaft[];
  /** Plan area of the cell a shaft goes through in one of its courses, mm². */
  areaAt: (shaft: Shaft, course: number) => number;
}

export const middleOf = (c: { from: Mm; to: Mm }): Mm => (c.from + c.to) / 2;

/** Shafts as far as they have been followed, left to right: where each is clear, and the course it began in. */
class Followed {
  count = 0;
  readonly from: number[] = [];
  readonly to: number[] = [];
  readonly low: number[] = [];
}

/** What a walk up the courses writes on: made once for a run, not once for each course. */
class Upward {
  open = new Followed();
  private next = new Followed();
  /** The shaft that takes each cell of the course, −1 for none, and what they share. */
  private readonly taker: number[] = [];
  private readonly shared: number[] = [];

  constructor(
    private readonly cells: CellList,
    private readonly close: (open: Followed, shaft: number, high: number) => void,
  ) {}

  /**
   * Goes up one course: each open shaft takes the cell it shares most with, each cell serves one shaft. Shafts
   * that find none are closed; a cell no shaft took begins another. Tells whether one began.
   */
  course(i: number, { first, end }: CellRange): boolean {
    const { from, to } = this.cells;
    const { open, next, taker, shared } = this;
    for (let c = 0; c < end - first; c++) taker[c] = -1;
    let k = first;
    for (let shaft = 0; shaft < open.count; shaft++) {
      const left = open.from[shaft] as number;
      const right = open.to[shaft] as number;
      while (k < end && (to[k] as number) < left + LEAST_CLEAR) k++;
      let best = -1;
      let most = LEAST_CLEAR;
      for (let c = k; c < end && (from[c] as number) <= right - LEAST_CLEAR; c++) {
        const clear = Math.min(to[c] as number, right) - Math.max(from[c] as number, left);
        if (clear >= most + (best < 0 ? 0 : SAME_PLACE)) {
          best = c - first;
          most = clear;
        }
        // All of it goes on: no cell can share more.
        if (clear >= right - left) break;
      }
      const other = best < 0 ? -1 : (taker[best] as number);
      if (best < 0 || (other >= 0 && (shared[best] as number) >= most)) {
        this.close(open, shaft, i - 1);
        continue;
      }
      if (other >= 0) this.close(open, other, i - 1);
      taker[best] = shaft;
      shared[best] = most;
    }
    next.count = end - first;
    let began = false;
    for (let c = 0; c < next.count; c++) {
      const shaft = taker[c] as number;
      const a = from[first + c] as number;
      const b = to[first + c] as number;
      if (shaft < 0) began = true;
      next.from[c] = shaft < 0 ? a : Math.max(a, open.from[shaft] as number);
      next.to[c] = shaft < 0 ? b : Math.min(b, open.to[shaft] as number);
      next.low[c] = shaft < 0 ? i : (open.low[shaft] as number);
    }
    [this.open, this.next] = [next, open];
    return began;
  }

  /** Closes what is still open under the top of the last course. */
  finish(high: number): void {
    for (let shaft = 0; shaft < this.open.count; shaft++) this.close(this.open, shaft, high);
  }
}

/** The cell of a course that a place lies in, by halving; −1 where there is none. */
function cellAt({ from, to }: CellList, { first, end }: CellRange, x: number): number {
  let low = first;
  for (let high = end; low < high;) {
    const middle = (low + high) >> 1;
    if ((to[middle] as number) < x) low = middle + 1;
    else high = middle;
  }
  return low < end && (from[low] as number) <= x ? low : -1;
}

const NO_CELLS: RunCells = { shafts: [], areaAt: () => 0 };

/**
 * The continuous cells of a run, found course over course. A web, an offset of the bond, an opening or the end of a
 * course breaks one off; what is over it begins another. Where two courses go on by turns nothing changes, and nothing
 * is worked out again.
 */
export function shaftsOf(wall: SetWall, run: BondedRun, courses: readonly Course[]): RunCells {
  const pattern = cellPatternOf(wall);
  if (!pattern) return NO_CELLS;
  const cells = new CellList();
  const known = new Map<Row, CellRange>();
  const rangeAt = (i: number): CellRange => {
    const row = run.rows[i] as Row;
    let range = known.get(row);
    if (!range) known.set(row, (range = addRow(wall, pattern, run, row, courses[i]?.number ?? 1, cells)));
    return range;
  };
  const shafts: Shaft[] = [];
  const least = Math.min(2, run.rows.length);
  const up = new Upward(cells, (open, i, high) => {
    const low = open.low[i] as number;
    if (high - low + 1 < least) return;
    const [from, to] = [open.from[i] as number, open.to[i] as number];
    const [bottom, top] = [courses[low]?.bottom ?? 0, courses[high]?.top ?? 0];
    shafts.push({ run: run.index, from, to, low, high, bottom, top });
  });
  /** The last course in which a shaft began. */
  let begun = 0;
  for (let i = 0; i < run.rows.length; i++) {
    // What went through both of two courses by turns goes through the next like the first.
    if (i >= 2 && run.rows[i] === run.rows[i - 2] && begun < i - 1) continue;
    if (up.course(i, rangeAt(i))) begun = i;
  }
  up.finish(run.rows.length - 1);
  shafts.sort((a, b) => a.from - b.from || a.bottom - b.bottom);
  const areaAt = (shaft: Shaft, i: number): number => {
    const cell = cellAt(cells, rangeAt(i), middleOf(shaft));
    return cell < 0 ? 0 : (cells.area[cell] as number);
  };
  return { shafts, areaAt };
}
