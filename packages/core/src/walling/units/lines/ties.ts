import type { CourseSteps } from './courseSteps.js';
import { HINT, SAME, type SlotRules } from './slots.js';

/** What courses that are laid together cost one another: short laps, and perps off the line they are to stand on. Lengths mm. */

/** Two courses that lie on one another: what a short lap between them costs, and between perps at these of their places. */
export interface Lapping {
  rows: readonly [number, number];
  price: number;
  at?: (i: number, j: number) => number;
}

/** A course whose perps are to stand on another's: what one off that line costs, and how far off it is. */
export interface OnLine {
  line: number;
  row: number;
  price: number;
  tolerance: number;
}

/** What a step of one course, from place to place, costs because another one has come to its place `at`. */
export type Against = (from: number, to: number, at: number) => number;

/** By the course that steps, and the course it is looked at against. */
export type Ties = readonly (readonly (Against | undefined)[])[];

const both =
  (a: Against | undefined, b: Against): Against =>
  (from, to, at) =>
    (a ? a(from, to, at) : 0) + b(from, to, at);

export function tiesOf(
  r: SlotRules,
  rows: readonly CourseSteps[],
  laps: readonly Lapping[],
  onLine: readonly OnLine[],
): Ties {
  const ties: (Against | undefined)[][] = rows.map(() => rows.map(() => undefined));
  const add = (own: number, other: number, against: Against): void => {
    const list = ties[own] as (Against | undefined)[];
    list[other] = list[other] ? both(list[other], against) : against;
  };
  for (const lap of laps) {
    if (lap.price <= 0) continue;
    const [a, b] = lap.rows;
    const [ab, ba] = lapping(r, rows[a] as CourseSteps, rows[b] as CourseSteps, lap);
    add(a, b, ab);
    add(b, a, ba);
  }
  for (const { line, row, price, tolerance } of onLine) {
    if (price <= 0) continue;
    add(row, line, missed(rows[row] as CourseSteps, rows[line] as CourseSteps, price, tolerance));
    add(line, row, passed(rows[line] as CourseSteps, rows[row] as CourseSteps, price, tolerance));
  }
  return ties;
}

/**
 * What perps at two places cost that are too near one another, or a hair less than the best there is. Each pair of places is
 * looked at from many sides, so what was worked out is kept.
 */
function lapping(r: SlotRules, a: CourseSteps, b: CourseSteps, { price, at }: Lapping): [Against, Against] {
  const least = r.leastLap - SAME;
  const half = (r.whole + r.joint) / 2;
  const width = b.places.length;
  const known = new Float64Array(a.places.length * width).fill(-1);
  const worked = (i: number, j: number): number => {
    const lap = Math.abs((a.places[i] as number) - (b.places[j] as number));
    if (lap >= half || a.perp[i] === 0 || b.perp[j] === 0) return 0;
    // Of laps that cost the same the better one.
    return lap >= least ? HINT.thinLap * (1 - lap / half) : (at?.(i, j) ?? price);
  };
  return [
    (_, i, j) => {
      const was = known[i * width + j] as number;
      return was >= 0 ? was : (known[i * width + j] = worked(i, j));
    },
    (_, j, i) => {
      const was = known[i * width + j] as number;
      return was >= 0 ? was : (known[i * width + j] = worked(i, j));
    },
  ];
}

/** A perp that a course sets where its line has gone by without one. */
function missed(row: CourseSteps, line: CourseSteps, price: number, tolerance: number): Against {
  return (_, to, at) =>
    row.perp[to] === 1 && (row.places[to] as number) < (line.places[at] as number) - tolerance ? price : 0;
}

/** A perp of the course that its line goes past. */
function passed(line: CourseSteps, row: CourseSteps, price: number, tolerance: number): Against {
  return (from, to, at) => {
    const x = row.places[at] as number;
    return row.perp[at] === 1 &&
      x > (line.places[from] as number) + tolerance &&
      x < (line.places[to] as number) - tolerance
      ? price
      : 0;
  };
}
