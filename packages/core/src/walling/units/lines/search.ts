import { Heap } from '../../../measure/heap.js';
import { has, serves, type CutSizes } from './cutSizes.js';
import {
  HINT,
  pricing,
  SAME,
  stepsOf,
  toGo,
  type Ahead,
  type CourseToFill,
  type SlotRules,
  type Steps,
} from './slots.js';

/**
 * The cheapest way to lay two courses over one another, found and proved: a walk along the wall that puts down one piece
 * after another, always in the course that is behind, by A* (Hart, Nilsson, Raphael 1968) with each course's own cheapest
 * way to its end as the bound. All lengths mm; an edge is the left end of a piece, so perps stand a joint before edges.
 */

export interface PairToFill {
  odd: CourseToFill;
  even: CourseToFill;
  /** How often one of them lies over the other. */
  meets: number;
  /** So many whole units more in each course, somewhere: the courses are longer than is searched. */
  more: number;
  /** The search is given up past so many ways. */
  mostWays?: number;
}

export interface FilledPair {
  odd: number[];
  even: number[];
  cost: number;
  /** Where the units left out of the search belong: edges of both courses; null where none are. */
  pump: { odd: number; even: number } | null;
}

/** So many ways to one state are kept apart for their sizes: of two that cost the same, one has those that come again. */
const MOST_WAYS = 4;

/**
 * The cheapest way to fill two courses, or null where there is none. The cost is the table's: cuts, pieces under the
 * least, laps under the rule, sizes to saw, joints eased; of ways that cost the same the one with the better laps.
 */
export function cheapestFilling(r: SlotRules, pair: PairToFill): FilledPair | null {
  const priceOf = pricing(r);
  const steps = [stepsOf(r, pair.odd, priceOf), stepsOf(r, pair.even, priceOf)] as const;
  const ahead = [toGo(steps[0]), toGo(steps[1])] as const;
  // Costs come in steps far apart, so a way is first looked for at the least there could be, then at the next dearer.
  let bound = (ahead[0].from[0] as number) + (ahead[1].from[0] as number) + ROUNDING;
  while (bound < Infinity) {
    const { found, next } = within(r, pair, steps, ahead, bound);
    if (found) return found;
    bound = next + 0.05 * Math.abs(next) + ROUNDING;
  }
  return null;
}

/** What hints and sizes may add to a cost without another search: less than any cut. A bound too high only takes longer. */
const ROUNDING = 3;

/** The cheapest way that costs no more than `bound`, or else the least that any way was seen to cost beyond it. */
function within(
  r: SlotRules,
  pair: PairToFill,
  steps: readonly [Steps, Steps],
  ahead: readonly [Ahead, Ahead],
  bound: number,
): { found: FilledPair | null; next: number } {
  const { odd, even } = pair;
  const [lastOdd, lastEven] = [odd.places.length - 1, even.places.length - 1];
  const module = r.whole + r.joint;
  const lapPrice = pair.meets * r.cost.lap;
  const width = lastEven + 1;
  const [oddAhead, evenAhead] = [ahead[0].from, ahead[1].from];
  const states = (lastOdd + 1) * width;
  const ways: Ways = { state: [], from: [], cost: [], sizes: [], other: [] };
  const key: number[] = [];
  const heap = new Heap(key);
  /** The newest way to each state, one more than its number; the way before it is `other`. */
  const newest = new Int32Array(2 * states);
  let next = Infinity;
  const put = (state: number, cost: number, from: number, used: CutSizes | null): void => {
    const at = state < states ? state : state - states;
    const j = at % width;
    const f = cost + (oddAhead[(at - j) / width] as number) + (evenAhead[j] as number);
    if (f > bound) {
      if (f < next) next = f;
      return;
    }
    let count = 0;
    for (let w = newest[state] as number; w > 0; w = ways.other[w - 1] as number) {
      const was = ways.cost[w - 1] as number;
      if (was > cost + 1e-9) continue;
      // One that costs no more and has the same sizes serves as well, whatever comes.
      if (++count > MOST_WAYS || serves(ways.sizes[w - 1] ?? null, used, r.cost.size, cost - was)) return;
    }
    const n = ways.state.push(state) - 1;
    ways.from.push(from);
    ways.cost.push(cost);
    ways.sizes.push(used);
    ways.other.push(newest[state] as number);
    newest[state] = n + 1;
    key.push(f);
    heap.push(n);
  };
  /** What a perp costs where the other course's last one is: a short lap, or a hair less than the best there is. */
  const against = (perp: number, was: number, other: number): number => {
    if (r.stacked)
      return Math.abs(perp - other) < r.joint || (other < perp && other <= was + SAME) ? 0 : lapPrice;
    const off = Math.abs(perp - other);
    if (off < r.leastLap - SAME) return lapPrice + HINT.thinLap;
    return off < module / 2 ? HINT.thinLap * (1 - off / (module / 2)) : 0;
  };
  const atStart =
    odd.perpAtStart && even.perpAtStart
      ? against(odd.places[0] as number, -Infinity, even.places[0] as number)
      : 0;
  // The start's own perps cost the same whatever follows: they are no part of the bound.
  put(pair.more > 0 ? 0 : states, 0, -1, null);
  const mostWays = pair.mostWays ?? Infinity;
  while (heap.size > 0) {
    if (ways.state.length > mostWays) return { found: null, next: Infinity };
    const n = heap.pop();
    const state = ways.state[n] as number;
    const cost = ways.cost[n] as number;
    const pumped = state >= states;
    const at = pumped ? state - states : state;
    const j = at % width;
    const i = (at - j) / width;
    if (i === lastOdd && j === lastEven) {
      if (!pumped) continue;
      return { found: traced(pair, ways, states, width, n, cost + atStart), next };
    }
    const a = odd.places[i] as number;
    const b = even.places[j] as number;
    const used = ways.sizes[n] ?? null;
    if (!pumped) {
      const off = (((b - a) % module) + module) % module;
      const lap = Math.min(off, module - off);
      const short = r.stacked ? lap > r.joint : lap < r.leastLap - SAME;
      put(state + states, cost + (short ? pair.more * lapPrice : 0), n, used);
    }
    const which = j === lastEven || (i < lastOdd && a <= b) ? 0 : 1;
    const [course, other] = which === 0 ? [odd, even] : [even, odd];
    const [from, otherAt] = which === 0 ? [i, j] : [j, i];
    const last = which === 0 ? lastOdd : lastEven;
    const was = course.places[from] as number;
    const near = other.places[otherAt] as number;
    const otherPerp =
      otherAt === 0 ? other.perpAtStart : otherAt === other.places.length - 1 ? other.perpAtEnd : true;
    const own = steps[which];
    const { by } = ahead[which];
    // Most steps lead to what costs too much whatever comes: they are left by one look.
    const spent = cost + ((which === 0 ? evenAhead[j] : oddAhead[i]) as number);
    const most = bound - spent;
    let nearest = Infinity;
    for (let s = own.first[from] as number; s < (own.first[from + 1] as number); s++) {
      const least = by[s] as number;
      if (least > most) {
        if (least < nearest) nearest = least;
        continue;
      }
      const to = own.to[s] as number;
      let price = cost + (own.cost[s] as number);
      const cut = own.cut[s] as number;
      if ((to < last || course.perpAtEnd) && otherPerp)
        price += against(course.places[to] as number, was, near);
      let now = used;
      if (cut >= 0 && !has(used, cut)) {
        now = { size: cut, next: used };
        price += r.cost.size;
      }
      put((which === 0 ? to * width + j : i * width + to) + (pumped ? states : 0), price, n, now);
    }
    next = Math.min(next, spent + nearest);
  }
  return { found: null, next };
}

/** Every way the search has come, by number: the state it is in, the way before it, and what it has cost. */
interface Ways {
  state: number[];
  from: number[];
  cost: number[];
  sizes: (CutSizes | null)[];
  /** Another way to the same state, one more than its number. */
  other: number[];
}

function traced(
  pair: PairToFill,
  ways: Ways,
  states: number,
  width: number,
  end: number,
  cost: number,
): FilledPair {
  const odd = new Set<number>();
  const even = new Set<number>();
  let pump: FilledPair['pump'] = null;
  for (let n = end; n >= 0; n = ways.from[n] as number) {
    const state = ways.state[n] as number;
    const at = state % states;
    const a = pair.odd.places[Math.floor(at / width)] as number;
    const b = pair.even.places[at % width] as number;
    odd.add(a);
    even.add(b);
    const before = ways.from[n] as number;
    if (before >= 0 && state >= states && (ways.state[before] as number) < states) pump = { odd: a, even: b };
  }
  const inOrder = (set: Set<number>): number[] => [...set].sort((x, y) => x - y);
  return { odd: inOrder(odd), even: inOrder(even), cost, pump };
}
