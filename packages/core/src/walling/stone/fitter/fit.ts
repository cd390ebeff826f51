import { drawn } from '../../../measure/drawn.js';
import { goesIn, layInOrder, type Next } from './layInOrder.js';
import type { FitAsk, Lay, PileStone } from './pile.js';

/** Every stone of a pile, one by one. */
export const stonesOf = (pile: readonly PileStone[]): PileStone[] =>
  pile.flatMap((s) => Array.from({ length: s.count ?? 1 }, () => s));

/** One that goes in neither way is left in the pile. */
const usable = (ask: FitAsk): PileStone[] =>
  stonesOf(ask.pile).filter((s) => goesIn(s, true, ask.depth) || goesIn(s, false, ask.depth));

/** As somebody lays who does not look ahead: the thickest first, the longest of those, each with its long way in. */
export function greedyOrder(ask: FitAsk): Next[] {
  return usable(ask)
    .sort((a, b) => b.height - a.height || Math.max(b.length, b.depth) - Math.max(a.length, a.depth))
    .map((stone) => ({ stone, longIn: true }));
}

const EMPTY: Lay = {
  courses: [],
  uncrossed: 0,
  slivers: 0,
  dressed: 0,
  open: 0,
  traced: 0,
  topHeavy: 0,
  unused: [],
  cost: Infinity,
};

/** Worse is taken less and less often: to begin with about what one joint costs, at the end next to nothing. */
const [WARM, COLD] = [5, 0.0005];
/** And so over again, by turns from the best there is and from stones thrown about: a way that is nearly good holds whoever goes down once. */
const ROUNDS = 6;

function thrownAbout(order: readonly Next[], random: () => number): Next[] {
  const next = [...order];
  for (let i = next.length - 1; i > 0; i--) {
    const k = Math.floor(random() * (i + 1));
    [next[i], next[k]] = [next[k] as Next, next[i] as Next];
  }
  return next;
}

/** How one order is made of another: two change places, one goes elsewhere, a stretch is turned round, one is turned the other way. */
function changed(order: readonly Next[], random: () => number): Next[] {
  const next = [...order];
  const pick = (): number => Math.floor(random() * next.length);
  const [a, b] = [pick(), pick()];
  const kind = random();
  if (kind < 0.35) [next[a], next[b]] = [next[b] as Next, next[a] as Next];
  else if (kind < 0.65) next.splice(b, 0, ...next.splice(a, 1));
  else if (kind < 0.8) {
    const [from, to] = a < b ? [a, b] : [b, a];
    next.splice(from, to - from + 1, ...next.slice(from, to + 1).reverse());
  } else {
    const one = next[a] as Next;
    next[a] = { ...one, longIn: !one.longIn };
  }
  return next;
}

/** A lay, and the order it comes of. */
export interface Fitted {
  lay: Lay;
  order: Next[];
}

export interface FitHow {
  seed?: number;
  steps?: number;
  /** An order to begin with; left out, as somebody lays who does not look ahead. */
  start?: readonly Next[];
  /** Places in it that stay. */
  pins?: readonly number[];
}

/** How many orders are tried: a second or two for sixty stones. */
export const STEPS = 20_000;

interface Held {
  at: number;
  next: Next;
}

/** What is held, back at its place: what stood there goes where that was. */
function repinned(order: Next[], held: readonly Held[]): Next[] {
  for (const { at, next } of held) {
    const there = order[at];
    if (!there || there.stone === next.stone) {
      if (there) order[at] = next;
      continue;
    }
    const now = order.findIndex(
      (n, i) => n.stone === next.stone && !held.some((h) => h.at === i && h.next.stone === n.stone),
    );
    if (now < 0) continue;
    order[now] = there;
    order[at] = next;
  }
  return order;
}

/**
 * A measured pile laid into a stretch: courses level, every joint crossed, the long way in, the big ones low, little dressed and little
 * bought. Handed out: the best so far, each time there is a better. Goes by a seed and a count of steps, never by a clock: the same ask
 * lays the same wall. Begins with what is laid without looking ahead, and is never worse.
 */
export function* fitted(
  ask: FitAsk,
  { seed = 1, steps = STEPS, start, pins = [] }: FitHow = {},
): Generator<Fitted | undefined, Fitted, undefined> {
  const first = start ?? greedyOrder(ask);
  // What is pinned keeps its stone at its place, whatever is tried round it.
  const held = pins.flatMap((at) => (first[at] ? [{ at, next: first[at] }] : []));
  let order = [...first];
  let now = layInOrder(ask, order) ?? EMPTY;
  let best: Fitted = { lay: now, order };
  if (order.length < 2) return best;
  yield best;
  const random = drawn(seed);
  let fresh = false;
  for (let step = 0; step < steps; step++) {
    const part = (step / steps) * ROUNDS;
    const round = Math.floor(part);
    if (round > Math.floor(((step - 1) / steps) * ROUNDS) && round > 0) {
      order = round % 2 === 1 ? repinned(thrownAbout(order, random), held) : best.order;
      now = round % 2 === 1 ? (layInOrder(ask, order) ?? EMPTY) : best.lay;
    }
    const warmth = WARM * (COLD / WARM) ** (part - round);
    const tried = repinned(changed(order, random), held);
    const lay = layInOrder(ask, tried);
    if (lay && (lay.cost <= now.cost || random() < Math.exp((now.cost - lay.cost) / warmth))) {
      order = tried;
      now = lay;
    }
    if (now.cost < best.lay.cost - 1e-9) {
      best = { lay: now, order };
      fresh = true;
    }
    // Between two of these it may be left off.
    if (step % 100 !== 99) continue;
    yield fresh ? best : undefined;
    fresh = false;
  }
  return best;
}
