/** What a course may be laid of: every piece from every place, and what it costs. Lengths mm. */

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
  /** This end is a reveal that is to be sound: a whole unit or a half stands there. */
  soundStart?: boolean;
  soundEnd?: boolean;
  /** Where cuts gather when it is all the same: at a free end, or in the middle. */
  gather: number;
}

export const SAME = 0.01;

/** What decides between bonds that cost the same: far less than anything on the table. */
export const HINT = { oddSize: 0.04, thinLap: 0.004, shy: 0.2, apart: 0.01 };

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
export interface Steps {
  /** Place i's are those from `first[i]` to `first[i + 1]`. */
  first: Int32Array;
  to: number[];
  cost: number[];
  /** Size sawn, mm; −1 for none. */
  cut: number[];
}

/** What a slot of a size costs, worked out once for each size: places lie on two grids, so there are few. */
export function pricing(
  r: SlotRules,
): (slot: number, last: boolean) => { cost: number; cut: number; hint: number } {
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

export function stepsOf(r: SlotRules, c: CourseToFill, priceOf: PriceOf): Steps {
  const { places } = c;
  const last = places.length - 1;
  const reach = r.whole + r.most + SAME;
  const steps: Steps = { first: new Int32Array(places.length + 1), to: [], cost: [], cut: [] };
  for (let i = 0; i <= last; i++) {
    const from = places[i] as number;
    for (let k = i + 1; k <= last; k++) {
      const slot = (places[k] as number) - from;
      if (slot > reach) break;
      const { cost, cut, hint } = priceOf(slot, k === last && !c.perpAtEnd);
      if (cost === Infinity) continue;
      const odd = cut >= 0 && Math.abs(cut - r.half) > 1;
      if (odd && ((i === 0 && c.soundStart) || (k === last && c.soundEnd))) continue;
      let shy = 0;
      if (cut >= 0) {
        if ((i === 0 && c.shyStart) || (k === last && c.shyEnd)) shy = HINT.shy;
        shy += (HINT.apart * Math.abs(from + slot / 2 - c.gather)) / r.whole;
      }
      const extra = k < last || c.perpAtEnd ? (c.extra?.[k] ?? 0) : 0;
      steps.to.push(k);
      steps.cost.push(c.count * cost + extra + hint + shy);
      steps.cut.push(cut);
    }
    steps.first[i + 1] = steps.to.length;
  }
  return steps;
}

/** The least each place's way to the end costs, the other course left out of account. */
export function toGo({ first, to, cost }: Steps): Float64Array {
  const count = first.length - 1;
  const least = new Float64Array(count).fill(Infinity);
  least[count - 1] = 0;
  for (let i = count - 2; i >= 0; i--)
    for (let s = first[i] as number; s < (first[i + 1] as number); s++)
      least[i] = Math.min(least[i] as number, (cost[s] as number) + (least[to[s] as number] as number));
  return least;
}
