import { behind, type CourseSteps } from './courseSteps.js';
import { tiesOf, type Lapping, type OnLine, type Ties } from './ties.js';
import { Heap } from '../../../measure/heap.js';
import { has, serves, type CutSizes } from './cutSizes.js';
import type { SlotRules } from './slots.js';
import { togetherBound, type ToGo } from './togetherBound.js';

/**
 * The cheapest way to lay several courses at once that lie on one another or stand on one another's lines: the walk of
 * `search.ts` with any number of courses, always going on in the one that is furthest behind, by A*.
 */

export interface CoursesToFill {
  rows: readonly CourseSteps[];
  laps: readonly Lapping[];
  onLine: readonly OnLine[];
}

export interface FilledCourses {
  /** Edges of each course, ascending. */
  edges: number[][];
  cost: number;
}

/**
 * How far the way still to go is taken to be, as so many times its bound, in the walks tried one after another. The first
 * finds the best there is; the others a good one, by looking at few.
 */
const EAGER = [1, 1.5, 2];
/** Past so many ways a walk is given up: sooner where there is no sharp bound, for then it hardly gets there. */
const MOST = { sharp: 40_000, plain: 12_000 };
/** Past so many ways a sharper bound is worth what it takes to work out. */
const SOON = 2500;

/** So many ways to one state are kept apart for their sizes. */
const MOST_WAYS = 4;

/**
 * The cheapest way that costs less than `atMost`, or a good one where the best would take too long to find; null where
 * there is none or none was found. The cost is the contract's table.
 */
export function filledTogether(r: SlotRules, toFill: CoursesToFill, atMost = Infinity): FilledCourses | null {
  const { rows, laps, onLine } = toFill;
  const ties = tiesOf(r, rows, laps, onLine);
  const { toGo, sharper } = togetherBound(rows, ties, laps, onLine);
  const soon = walk(r, rows, ties, { toGo, atMost, most: SOON, eager: 1 });
  if (!soon.givenUp) return soon.found;
  const sharp = sharper();
  const by = { toGo: sharp ?? toGo, atMost, most: sharp ? MOST.sharp : MOST.plain };
  for (const eager of EAGER) {
    const { found, givenUp } = walk(r, rows, ties, { ...by, eager });
    if (!givenUp) return found;
  }
  return null;
}

/** What a walk goes by. `eager`: what the way still to go is taken for, as so many times its bound. */
interface Going {
  toGo: ToGo;
  atMost: number;
  most: number;
  eager: number;
}

/** Every way the walk has come, by number: where its courses stand, the way before it, what it has cost and its sizes. */
interface Ways {
  at: number[][];
  from: number[];
  cost: number[];
  sizes: (CutSizes | null)[];
  /** Another way to the same state, one more than its number. */
  other: number[];
}

function walk(
  r: SlotRules,
  rows: readonly CourseSteps[],
  ties: Ties,
  { toGo, atMost, most, eager }: Going,
): { found: FilledCourses | null; givenUp: boolean } {
  const ways: Ways = { at: [], from: [], cost: [], sizes: [], other: [] };
  const key: number[] = [];
  const heap = new Heap(key);
  const newest = new Map<number, number>();
  const put = (at: number[], cost: number, from: number, used: CutSizes | null): void => {
    const ahead = toGo(at);
    if (!(cost + ahead < atMost)) return;
    let state = 0;
    for (let k = 0; k < rows.length; k++)
      state = state * (rows[k] as CourseSteps).places.length + (at[k] as number);
    const before = newest.get(state) ?? 0;
    let count = 0;
    for (let w = before; w > 0; w = ways.other[w - 1] as number) {
      const was = ways.cost[w - 1] as number;
      if (was > cost + 1e-9) continue;
      if (++count > MOST_WAYS || serves(ways.sizes[w - 1] ?? null, used, r.cost.size, cost - was)) return;
    }
    const n = ways.at.push(at.slice()) - 1;
    ways.from.push(from);
    ways.cost.push(cost);
    ways.sizes.push(used);
    ways.other.push(before);
    newest.set(state, n + 1);
    key.push(cost + eager * ahead);
    heap.push(n);
  };
  put(
    rows.map(() => 0),
    0,
    -1,
    null,
  );
  while (heap.size > 0) {
    if (ways.at.length > most) return { found: null, givenUp: true };
    const n = heap.pop();
    const at = ways.at[n] as number[];
    const which = behind(rows, at);
    if (which < 0) return { found: traced(rows, ways, n), givenUp: false };
    const row = rows[which] as CourseSteps;
    const from = at[which] as number;
    const used = ways.sizes[n] ?? null;
    const own = ties[which] as Ties[number];
    for (let s = row.first[from] as number; s < (row.first[from + 1] as number); s++) {
      const to = row.to[s] as number;
      let cost = (ways.cost[n] as number) + (row.cost[s] as number);
      for (let k = 0; k < rows.length; k++) {
        const against = own[k];
        if (against) cost += against(from, to, at[k] as number);
      }
      let now = used;
      for (const size of row.cuts[s] as readonly number[])
        if (!has(now, size)) {
          now = { size, next: now };
          cost += r.cost.size;
        }
      at[which] = to;
      put(at, cost, n, now);
    }
    at[which] = from;
  }
  return { found: null, givenUp: false };
}

function traced(rows: readonly CourseSteps[], ways: Ways, end: number): FilledCourses {
  const edges = rows.map(() => new Set<number>());
  for (let n = end; n >= 0; n = ways.from[n] as number)
    rows.forEach(({ places }, k) => edges[k]?.add(places[(ways.at[n] as number[])[k] as number] as number));
  return { edges: edges.map((set) => [...set].sort((a, b) => a - b)), cost: ways.cost[end] as number };
}
