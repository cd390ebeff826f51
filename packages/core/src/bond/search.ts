/**
 * The cheapest way to lay two courses over one another, found and proved: a walk along the wall that puts down one piece
 * after another, always in the course that is behind, by A* (Hart, Nilsson, Raphael 1968) with each course's own cheapest
 * way to its end as the bound. All lengths mm; an edge is the left end of a piece, so perps stand a joint before edges.
 */

/** What a unit, its joints and its cuts come to. */
export interface SlotRules {
  whole: number;
  half: number;
  /** A half is bought: laying one is no cut. */
  halfBought: boolean;
  /** Target joint, and how far it may go. */
  joint: number;
  least: number;
  most: number;
  /** The least piece worth laying, and the thinnest there can be. */
  leastPiece: number;
  thinnest: number;
  leastLap: number;
  /** Perps are to stand over one another: stack bond. */
  stacked: boolean;
  cost: { cut: number; short: number; lap: number; size: number; joint: number };
}

/** One of the two courses. */
export interface CourseToFill {
  /** Edges where a piece may begin, ascending; the first and the last are where filling begins and ends. */
  places: readonly number[];
  /** What a perp at each place costs of itself, where that is not nothing. */
  extra?: readonly number[];
  /** Whether a perp stands at the first place and at the last: masonry goes on there. */
  perpAtStart: boolean;
  perpAtEnd: boolean;
  /** How many courses are laid so. */
  count: number;
  /** A cut against this end stands beside a corner or a reveal, where a mason puts none if it can be helped. */
  shyStart: boolean;
  shyEnd: boolean;
  /** Where cuts gather when it is all the same: at a free end, or in the middle. */
  gather: number;
  /** Openings that so many of the courses stop at. */
  stops?: readonly Stop[];
}

/** An opening: the edge after the joint at its left jamb, the edge where its right jamb's unit begins, courses it breaks. */
export interface Stop {
  from: number;
  to: number;
  count: number;
}

/** What openings ask of a pair of courses. */
export interface Reveals {
  /** Where courses still lie on one another under and over an opening, and how often. */
  meets: readonly { from: number; to: number; meets: number }[];
  /** What it costs a course to meet a jamb off its line, whatever the line leaves there. */
  relief: number;
}

export interface PairToFill {
  odd: CourseToFill;
  even: CourseToFill;
  /** How often one of them lies over the other. */
  meets: number;
  /** So many whole units more in each course, somewhere: the courses are longer than is searched. */
  more: number;
  reveals?: Reveals;
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

const SAME = 0.01;
/** What decides between bonds that cost the same: far less than anything on the table. */
const HINT = { oddSize: 0.04, thinLap: 0.004, shy: 0.2, apart: 0.01 };

/** A list of cut sizes in use: a way along the wall has few. */
interface Sizes {
  size: number;
  next: Sizes | null;
}

/** So many ways to one state are kept apart for their sizes: of two that cost the same, one has those that come again. */
const MOST_WAYS = 4;

/** Whether `other` has no size that would have to be paid for again, beyond what it already costs more. */
function serves(list: Sizes | null, other: Sizes | null, price: number, more: number): boolean {
  let missing = 0;
  for (let s = other; s; s = s.next) if (!has(list, s.size)) missing++;
  return missing * price <= more + 1e-9;
}

const has = (list: Sizes | null, size: number): boolean => {
  for (let s = list; s; s = s.next) if (s.size === size) return true;
  return false;
};

/** What a slot, a piece with the joint after it, costs in one course: the piece is `cut` where it has to be sawn. */
export function slotPrice(r: SlotRules, slot: number, last: boolean): { cost: number; cut: number | null } {
  const eased = (piece: number): number => {
    const off = slot - piece - r.joint;
    if (Math.abs(off) < SAME) return 0;
    if (last) return Infinity;
    const room = off > 0 ? r.most - r.joint : r.joint - r.least;
    return Math.abs(off) > room + SAME ? Infinity : r.cost.joint * (off / Math.max(room, SAME)) ** 2;
  };
  const whole = eased(r.whole);
  if (whole < Infinity) return { cost: whole, cut: null };
  const half = eased(r.half);
  if (half < Infinity)
    return r.halfBought
      ? { cost: half, cut: null }
      : { cost: half + r.cost.cut + under(r, r.half), cut: Math.round(r.half) };
  const piece = slot - r.joint;
  if (piece > r.whole + SAME || piece < r.thinnest - SAME) return { cost: Infinity, cut: null };
  return { cost: r.cost.cut + under(r, piece), cut: Math.round(piece) };
}

const under = (r: SlotRules, piece: number): number => (piece < r.leastPiece - SAME ? r.cost.short : 0);

/** The pieces a course may go on with from each place: where they end, what they cost in all its courses, their cuts. */
interface Steps {
  /** Place i's are those from `first[i]` to `first[i + 1]`. */
  first: Int32Array;
  to: number[];
  cost: number[];
  /** Size sawn, mm; −1 for none. */
  cut: number[];
  /** Size sawn for a jamb, where the piece stands astride it under or over the opening; −1 for none. */
  stub: number[];
}

/** What a slot of a size costs, worked out once for each size: places lie on two grids, so there are few. */
function pricing(r: SlotRules): (slot: number, last: boolean) => { cost: number; cut: number; hint: number } {
  const known = new Map<number, { cost: number; cut: number; hint: number }>();
  const threeQuarter = 0.75 * (r.whole + r.joint) - r.joint;
  return (slot, last) => {
    const key = Math.round(slot * 1000) * (last ? -1 : 1);
    let price = known.get(key);
    if (!price) {
      const { cost, cut } = slotPrice(r, slot, last);
      const odd = cut !== null && Math.abs(cut - r.half) > 1 && Math.abs(cut - threeQuarter) > 1;
      price = { cost, cut: cut ?? -1, hint: odd ? HINT.oddSize : 0 };
      known.set(key, price);
    }
    return price;
  };
}

type PriceOf = (slot: number, last: boolean) => { cost: number; cut: number; hint: number };

/** What a slot costs where some of the courses stop at openings: all of it there where they do not, its stubs where they do. */
function besideStops(
  r: SlotRules,
  { count, stops = [] }: CourseToFill,
  { relief }: Reveals,
  priceOf: PriceOf,
): (from: number, to: number, last: boolean) => { cost: number; cut: number; stub: number; hint: number } {
  const stubPrice = (slot: number, last: boolean): { cost: number; cut: number } => {
    const { cost, cut } = priceOf(slot, last);
    return cost <= relief ? { cost, cut } : { cost: relief, cut: -1 };
  };
  return (from, to, last) => {
    const own = priceOf(to - from, last);
    let courses = count;
    let cost = 0;
    let stub = -1;
    for (const s of stops) {
      if (to <= s.from + SAME || from >= s.to - SAME) continue;
      courses -= s.count;
      const parts: [number, boolean][] = [];
      if (from < s.from - SAME) parts.push([s.from - from, true]);
      if (to > s.to + SAME) parts.push([to - s.to, last]);
      for (const [slot, end] of parts) {
        const price = stubPrice(slot, end);
        cost += s.count * price.cost;
        if (price.cut >= 0) stub = price.cut;
      }
    }
    // Where every course stops, what would have stood there does not matter.
    return courses > 0
      ? { cost: cost + courses * own.cost, cut: own.cut, stub, hint: own.hint }
      : { cost, cut: -1, stub, hint: 0 };
  };
}

function stepsOf(r: SlotRules, c: CourseToFill, priceOf: PriceOf, reveals: Reveals | undefined): Steps {
  const broken = reveals && c.stops && c.stops.length > 0 ? besideStops(r, c, reveals, priceOf) : null;
  const { places } = c;
  const last = places.length - 1;
  const reach = r.whole + r.most + SAME;
  const steps: Steps = { first: new Int32Array(places.length + 1), to: [], cost: [], cut: [], stub: [] };
  for (let i = 0; i <= last; i++) {
    const from = places[i] as number;
    for (let k = i + 1; k <= last; k++) {
      const slot = (places[k] as number) - from;
      if (slot > reach) break;
      const ends = k === last && !c.perpAtEnd;
      const price = broken ? broken(from, places[k] as number, ends) : priceOf(slot, ends);
      const { cut, hint } = price;
      const stub = 'stub' in price ? (price.stub as number) : -1;
      const cost = broken ? price.cost : c.count * price.cost;
      if (cost === Infinity || Number.isNaN(cost)) continue;
      let shy = 0;
      if (cut >= 0) {
        if ((i === 0 && c.shyStart) || (k === last && c.shyEnd)) shy = HINT.shy;
        shy += (HINT.apart * Math.abs(from + slot / 2 - c.gather)) / r.whole;
      }
      const extra = k < last || c.perpAtEnd ? (c.extra?.[k] ?? 0) : 0;
      steps.to.push(k);
      steps.cost.push(cost + extra + hint + shy);
      steps.cut.push(cut);
      steps.stub.push(stub);
    }
    steps.first[i + 1] = steps.to.length;
  }
  return steps;
}

/** The least each place's way to the end costs, the other course left out of account. */
function toGo({ first, to, cost }: Steps): Float64Array {
  const count = first.length - 1;
  const least = new Float64Array(count).fill(Infinity);
  least[count - 1] = 0;
  for (let i = count - 2; i >= 0; i--)
    for (let s = first[i] as number; s < (first[i + 1] as number); s++)
      least[i] = Math.min(least[i] as number, (cost[s] as number) + (least[to[s] as number] as number));
  return least;
}

/** A heap of numbered nodes, the least key first; of equal keys the later node, which is further along. */
class Heap {
  private readonly nodes: number[] = [];
  constructor(private readonly key: number[]) {}

  get size(): number {
    return this.nodes.length;
  }

  private before(a: number, b: number): boolean {
    const [x, y] = [this.key[a] as number, this.key[b] as number];
    return x < y || (x === y && a > b);
  }

  push(node: number): void {
    const { nodes } = this;
    let i = nodes.push(node) - 1;
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (!this.before(node, nodes[up] as number)) break;
      nodes[i] = nodes[up] as number;
      i = up;
    }
    nodes[i] = node;
  }

  pop(): number {
    const { nodes } = this;
    const top = nodes[0] as number;
    const last = nodes.pop() as number;
    if (nodes.length === 0) return top;
    let i = 0;
    for (;;) {
      let down = 2 * i + 1;
      if (down >= nodes.length) break;
      if (down + 1 < nodes.length && this.before(nodes[down + 1] as number, nodes[down] as number)) down++;
      if (!this.before(nodes[down] as number, last)) break;
      nodes[i] = nodes[down] as number;
      i = down;
    }
    nodes[i] = last;
    return top;
  }
}

/**
 * The cheapest way to fill two courses, or null where there is none. The cost is the table's: cuts, pieces under the
 * least, laps under the rule, sizes to saw, joints eased; of ways that cost the same the one with the better laps.
 */
export function cheapestFilling(r: SlotRules, pair: PairToFill): FilledPair | null {
  const priceOf = pricing(r);
  const steps = [
    stepsOf(r, pair.odd, priceOf, pair.reveals),
    stepsOf(r, pair.even, priceOf, pair.reveals),
  ] as const;
  const ahead = steps.map(toGo) as [Float64Array, Float64Array];
  // Costs come in steps far apart, so a way is first looked for at the least there could be, then at the next dearer.
  let bound = (ahead[0][0] as number) + (ahead[1][0] as number) + ROUNDING;
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
  ahead: readonly [Float64Array, Float64Array],
  bound: number,
): { found: FilledPair | null; next: number } {
  const { odd, even } = pair;
  const [lastOdd, lastEven] = [odd.places.length - 1, even.places.length - 1];
  const module = r.whole + r.joint;
  const lapPrice = pair.meets * r.cost.lap;
  const lapAt = lapPrices(r, pair);
  const width = lastEven + 1;
  const states = (lastOdd + 1) * width;
  const ways: Ways = { state: [], from: [], cost: [], sizes: [], other: [] };
  const key: number[] = [];
  const heap = new Heap(key);
  /** The newest way to each state, one more than its number; the way before it is `other`. */
  const newest = new Int32Array(2 * states);
  let next = Infinity;
  const put = (state: number, cost: number, from: number, used: Sizes | null): void => {
    const at = state < states ? state : state - states;
    const j = at % width;
    const f = cost + (ahead[0][(at - j) / width] as number) + (ahead[1][j] as number);
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
    if (off < r.leastLap - SAME) return (lapAt ? lapAt(perp, other) : lapPrice) + HINT.thinLap;
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
    for (let s = own.first[from] as number; s < (own.first[from + 1] as number); s++) {
      const to = own.to[s] as number;
      const cut = own.cut[s] as number;
      let price = cost + (own.cost[s] as number);
      if ((to < last || course.perpAtEnd) && otherPerp)
        price += against(course.places[to] as number, was, near);
      let now = used;
      if (cut >= 0 && !has(used, cut)) {
        now = { size: cut, next: used };
        price += r.cost.size;
      }
      const stub = own.stub[s] as number;
      if (stub >= 0 && !has(now, stub)) {
        now = { size: stub, next: now };
        price += r.cost.size;
      }
      put((which === 0 ? to * width + j : i * width + to) + (pumped ? states : 0), price, n, now);
    }
  }
  return { found: null, next };
}

/** What a short lap costs between two perps: where an opening stands only the courses under and over it meet. */
function lapPrices(r: SlotRules, { meets, reveals }: PairToFill): ((a: number, b: number) => number) | null {
  if (!reveals || reveals.meets.length === 0) return null;
  return (a, b) => {
    let least = meets;
    for (const o of reveals.meets) {
      const inside = [a, b].filter((x) => x >= o.from - SAME && x <= o.to + SAME).length;
      if (inside > 0) least = Math.min(least, o.meets + (inside === 1 ? 1 : 0));
    }
    return least * r.cost.lap;
  };
}

/** Every way the search has come, by number: the state it is in, the way before it, and what it has cost. */
interface Ways {
  state: number[];
  from: number[];
  cost: number[];
  sizes: (Sizes | null)[];
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
