import type { Mm } from '../../../measure/length.js';
/** What a course may be laid of: every piece from every place, and what it costs. Lengths mm. */

/** What a unit, its joints and its cuts come to. */
export interface SlotRules {
  whole: number;
  half: number;
  /** A half is bought: laying one is no cut. */
  halfBought: boolean;
  /** Target joint, and how far it may go. */
  joint: Mm;
  least: Mm;
  most: Mm;
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

/** What a slot, a piece with the joint after it, comes to in one course: the size to saw for it, −1 for none. */
export interface Price {
  cost: number;
  cut: number;
  hint: number;
}

/** The price of a slot, `last` where no joint follows. One record, told anew at each asking: it is asked for by the million. */
export type PriceOf = (slot: number, last: boolean) => Readonly<Price>;

/** What slots cost by these rules: a whole unit or a half where the joint can take the difference, else what is sawn. */
export function pricing(r: SlotRules): PriceOf {
  const { whole, half, joint } = r;
  const [wider, tighter] = [r.most - joint, joint - r.least];
  const longest = whole + SAME;
  const shortest = r.thinnest - SAME;
  const tooShort = r.leastPiece - SAME;
  const threeQuarter = 0.75 * (whole + joint) - joint;
  const eased = (off: number, last: boolean): number => {
    if (off < SAME && off > -SAME) return 0;
    if (last) return Infinity;
    const room = off > 0 ? wider : tighter;
    return Math.abs(off) > room + SAME ? Infinity : r.cost.joint * (off / Math.max(room, SAME)) ** 2;
  };
  const price: Price = { cost: 0, cut: -1, hint: 0 };
  const sawn = (piece: number, cost: number): Price => {
    price.cost = cost + r.cost.cut + (piece < tooShort ? r.cost.short : 0);
    price.cut = Math.round(piece);
    price.hint = Math.abs(price.cut - half) > 1 && Math.abs(price.cut - threeQuarter) > 1 ? HINT.oddSize : 0;
    return price;
  };
  const laid = (cost: number): Price => {
    price.cost = cost;
    price.cut = -1;
    price.hint = 0;
    return price;
  };
  return (slot, last) => {
    const piece = slot - joint;
    const asWhole = eased(piece - whole, last);
    if (asWhole < Infinity) return laid(asWhole);
    const asHalf = eased(piece - half, last);
    if (asHalf < Infinity) return r.halfBought ? laid(asHalf) : sawn(half, asHalf);
    return piece > longest || piece < shortest ? laid(Infinity) : sawn(piece, 0);
  };
}

/** The pieces a course may go on with from each place: where they end, what they cost in all its courses, their cuts. */
export interface Steps {
  /** Place i's are those from `first[i]` to `first[i + 1]`. */
  first: Int32Array;
  to: Int32Array;
  cost: Float64Array;
  /** Size sawn, mm; −1 for none. */
  cut: Int32Array;
}

/** Room for the steps of one course while they are found, and the prices of slots that come again from place to place. */
const room = { to: new Int32Array(4096), cost: new Float64Array(4096), cut: new Int32Array(4096) };
const AGAIN = 64;
const again = {
  slot: new Float64Array(2 * AGAIN),
  cost: new Float64Array(2 * AGAIN),
  cut: new Int32Array(2 * AGAIN),
};

function moreRoom(): void {
  const size = 2 * room.to.length;
  const [to, cost, cut] = [new Int32Array(size), new Float64Array(size), new Int32Array(size)];
  to.set(room.to);
  cost.set(room.cost);
  cut.set(room.cut);
  Object.assign(room, { to, cost, cut });
}

/** The steps of a course. What is done for each is little and done by the million: hence no objects, and room kept. */
export function stepsOf(r: SlotRules, c: CourseToFill, priceOf: PriceOf): Steps {
  const { places, count, perpAtEnd, gather } = c;
  const extra = c.extra ?? null;
  const last = places.length - 1;
  const reach = r.whole + r.most + SAME;
  const apart = HINT.apart / r.whole;
  const first = new Int32Array(places.length + 1);
  again.slot.fill(-1);
  let n = 0;
  for (let i = 0; i <= last; i++) {
    const from = places[i] as number;
    first[i] = n;
    for (let k = i + 1; k <= last; k++) {
      const slot = (places[k] as number) - from;
      if (slot > reach) break;
      // Places stand on a grid from either end: the slots of this one are mostly those of the one before the last.
      const like = k - i < AGAIN ? (i & 1) * AGAIN + k - i : 0;
      let cost = again.cost[like] as number;
      let cut = again.cut[like] as number;
      const ends = k === last && !perpAtEnd;
      if (ends || Math.abs((again.slot[like] as number) - slot) > 1e-7) {
        const price = priceOf(slot, ends);
        cost = count * price.cost + price.hint;
        cut = price.cut;
        if (!ends) {
          again.slot[like] = slot;
          again.cost[like] = cost;
          again.cut[like] = cut;
        }
      }
      if (cost === Infinity) continue;
      if (cut >= 0) {
        if (i === 0 || k === last) {
          const odd = Math.abs(cut - r.half) > 1;
          if (odd && ((i === 0 && c.soundStart) || (k === last && c.soundEnd))) continue;
          if ((i === 0 && c.shyStart) || (k === last && c.shyEnd)) cost += HINT.shy;
        }
        cost += apart * Math.abs(from + slot / 2 - gather);
      }
      if (extra && (k < last || perpAtEnd)) cost += extra[k] as number;
      if (n === room.to.length) moreRoom();
      room.to[n] = k;
      room.cost[n] = cost;
      room.cut[n++] = cut;
    }
  }
  first[last + 1] = n;
  return { first, to: room.to.slice(0, n), cost: room.cost.slice(0, n), cut: room.cut.slice(0, n) };
}

/** What the rest of a course costs at the least, the other course left out of account. */
export interface Ahead {
  /** From each place. */
  from: Float64Array;
  /** By each step, its own cost counted. */
  by: Float64Array;
}

export function toGo({ first, to, cost }: Steps): Ahead {
  const count = first.length - 1;
  const from = new Float64Array(count);
  const by = new Float64Array(to.length);
  for (let i = count - 2; i >= 0; i--) {
    const end = first[i + 1] as number;
    let least = Infinity;
    for (let s = first[i] as number; s < end; s++) {
      const way = (cost[s] as number) + (from[to[s] as number] as number);
      by[s] = way;
      if (way < least) least = way;
    }
    from[i] = least;
  }
  return { from, by };
}
