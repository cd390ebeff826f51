import type { CourseSteps } from './courseSteps.js';
import type { Against, Lapping, OnLine, Ties } from './ties.js';

/** The least that courses laid together cost from where they stand to their ends. */
export type ToGo = (at: readonly number[]) => number;

/** Two courses and what is looked at between them; one by itself stands there with itself. */
type Pair = readonly [number, number];

/** Courses two by two, so that whatever any two cost one another is looked at, and by itself what is in no pair. */
function pairsOf(laps: readonly Lapping[], onLine: readonly OnLine[], rows: number): Pair[] {
  const all = [...laps, ...onLine.map((o) => ({ rows: [o.line, o.row] as const, price: o.price }))];
  const pairs = all.filter((t) => t.price > 0).map((t): Pair => t.rows);
  for (let k = 0; k < rows; k++) if (!pairs.some((p) => p.includes(k))) pairs.push([k, k]);
  return pairs;
}

/** What two courses cost at the least, a share of each one's own cost counted. */
interface PairBound {
  /** From where they stand to their ends, worked out where it is asked for. */
  least: (i: number, j: number) => number;
  /** What each costs of itself on the cheapest way of all, its whole cost and not the share. */
  spent: () => readonly [number, number];
}

function pairBound(
  a: CourseSteps,
  b: CourseSteps,
  [shareA, shareB]: readonly [number, number],
  ab: Against | undefined,
  ba: Against | undefined,
): PairBound {
  const costA = a.cost.map((x) => shareA * x);
  const costB = b.cost.map((x) => shareB * x);
  const [lastA, lastB] = [a.places.length - 1, b.places.length - 1];
  const width = lastB + 1;
  const known = new Float64Array((lastA + 1) * width).fill(-1);
  known[lastA * width + lastB] = 0;
  const aGoesOn = (i: number, j: number): boolean =>
    j === lastB || (i < lastA && (a.places[i] as number) <= (b.places[j] as number));
  const least = (i: number, j: number): number => {
    const was = known[i * width + j] as number;
    if (was >= 0) return was;
    let best = Infinity;
    if (aGoesOn(i, j)) {
      for (let s = a.first[i] as number; s < (a.first[i + 1] as number); s++) {
        const to = a.to[s] as number;
        let cost = costA[s] as number;
        if (cost >= best) continue;
        if (ab) cost += ab(i, to, j);
        if (cost >= best) continue;
        // Looked up here and not in a call: most of it is known.
        const ahead = known[to * width + j] as number;
        cost += ahead >= 0 ? ahead : least(to, j);
        if (cost < best) best = cost;
      }
    } else {
      for (let s = b.first[j] as number; s < (b.first[j + 1] as number); s++) {
        const to = b.to[s] as number;
        let cost = costB[s] as number;
        if (cost >= best) continue;
        if (ba) cost += ba(j, to, i);
        if (cost >= best) continue;
        const ahead = known[i * width + to] as number;
        cost += ahead >= 0 ? ahead : least(i, to);
        if (cost < best) best = cost;
      }
    }
    known[i * width + j] = best;
    return best;
  };
  const spent = (): [number, number] => {
    let [i, j, onA, onB] = [0, 0, 0, 0];
    while (i < lastA || j < lastB) {
      const wanted = least(i, j) + ROUNDING;
      const inA = aGoesOn(i, j);
      const [row, at] = inA ? [a, i] : [b, j];
      let s = row.first[at] as number;
      for (const end = row.first[at + 1] as number; s < end; s++) {
        const to = row.to[s] as number;
        const own = inA
          ? (costA[s] as number) + (ab?.(i, to, j) ?? 0)
          : (costB[s] as number) + (ba?.(j, to, i) ?? 0);
        if (own <= wanted && own + (inA ? least(to, j) : least(i, to)) <= wanted) break;
      }
      if (s >= (row.first[at + 1] as number)) break;
      if (inA) [i, onA] = [row.to[s] as number, onA + (row.cost[s] as number)];
      else [j, onB] = [row.to[s] as number, onB + (row.cost[s] as number)];
    }
    return [onA, onB];
  };
  return { least, spent };
}

const ROUNDING = 1e-6;

/** The least one course costs by itself from each place. */
function aloneToGo({ places, first, to, cost }: CourseSteps, share: number): Float64Array {
  const least = new Float64Array(places.length).fill(Infinity);
  least[places.length - 1] = 0;
  for (let i = places.length - 2; i >= 0; i--)
    for (let s = first[i] as number; s < (first[i + 1] as number); s++)
      least[i] = Math.min(
        least[i] as number,
        share * (cost[s] as number) + (least[to[s] as number] as number),
      );
  return least;
}

/** So often shares are drawn nearer to where they make the most of the bound; further it hardly grows. */
const ROUNDS = 10;
/** A bound that has not grown in so many rounds is left as it is. */
const IDLE = 3;
/** With more pairs of places than this it takes longer to sharpen the bound than to do without. */
const MOST_PLACES = 80_000;

/** A bound for courses laid together. `rows` go on in the order `behind` says. */
export interface TogetherBound {
  toGo: ToGo;
  /** One that is nearer to what they cost and takes some time to work out; null where that would be too long. */
  sharper: () => ToGo | null;
}

/**
 * A bound made of what any two courses cost at the least, knowing of no others: a course that is in several pairs gives each
 * a share of what it costs of itself. Alike shares are soon made. Of others that come to the whole some bound better: a
 * pair that must pay for what its course is to cost is given more of it, a pair that can do without less (subgradients of
 * the Lagrangian dual; Held and Karp 1971).
 */
export function togetherBound(
  rows: readonly CourseSteps[],
  ties: Ties,
  laps: readonly Lapping[],
  onLine: readonly OnLine[],
): TogetherBound {
  const pairs = pairsOf(laps, onLine, rows.length).map(([x, y]): Pair => [Math.min(x, y), Math.max(x, y)]);
  const inPairs = rows.map((_, r) =>
    pairs.flatMap((p, k) => (p.includes(r) ? [{ k, side: p[0] === r ? (0 as const) : (1 as const) }] : [])),
  );
  const bounds = (shares: readonly (readonly [number, number])[]): PairBound[] =>
    pairs.map(([a, b], k): PairBound => {
      const [rowA, rowB] = [rows[a] as CourseSteps, rows[b] as CourseSteps];
      const share = shares[k] as readonly [number, number];
      if (a !== b) return pairBound(rowA, rowB, share, ties[a]?.[b], ties[b]?.[a]);
      const alone = aloneToGo(rowA, share[0]);
      return { least: (i) => alone[i] as number, spent: () => [0, 0] };
    });
  const toGoOf =
    (parts: readonly PairBound[]): ToGo =>
    (at) => {
      let sum = 0;
      for (let k = 0; k < parts.length; k++) {
        const [a, b] = pairs[k] as Pair;
        sum += (parts[k] as PairBound).least(at[a] as number, at[b] as number);
      }
      return sum;
    };
  const start = rows.map(() => 0);
  const alike = pairs.map(([a, b]): [number, number] => [
    1 / (inPairs[a] as unknown[]).length,
    1 / (inPairs[b] as unknown[]).length,
  ]);
  const parts = bounds(alike);
  const first = toGoOf(parts);
  const sharper = (): ToGo | null => {
    // One pair has the whole of both: there is nothing to share out.
    if (pairs.length < 2) return first;
    const places = (k: number): number => (rows[k] as CourseSteps).places.length;
    if (pairs.reduce((sum, [a, b]) => sum + places(a) * places(b), 0) > MOST_PLACES) return null;
    const shares = alike.map(([a, b]): [number, number] => [a, b]);
    let now = parts;
    let best = first;
    let most = best(start);
    for (let round = 0, grown = 0; round < ROUNDS && round - grown < IDLE; round++) {
      const spent = now.map((p) => p.spent());
      for (const own of inPairs) if (own.length > 1) drawn(shares, own, spent, 0.5 / (1 + 0.3 * round));
      now = bounds(shares);
      const next = toGoOf(now);
      if (next(start) <= most + ROUNDING) continue;
      most = next(start);
      best = next;
      grown = round + 1;
    }
    return best;
  };
  return { toGo: first, sharper };
}

/** A course's shares drawn towards the pairs in which it costs more than in its others; none below nothing, the whole given out. */
function drawn(
  shares: [number, number][],
  own: readonly { k: number; side: 0 | 1 }[],
  spent: readonly (readonly [number, number])[],
  step: number,
): void {
  const costs = own.map(({ k, side }) => (spent[k] as readonly [number, number])[side]);
  const mean = costs.reduce((a, b) => a + b, 0) / own.length;
  const apart = costs.reduce((sum, c) => sum + Math.abs(c - mean), 0);
  if (apart === 0) return;
  const next = own.map(({ k, side }, i) =>
    Math.max(0, (shares[k] as [number, number])[side] + (step * ((costs[i] as number) - mean)) / apart),
  );
  const whole = next.reduce((a, b) => a + b, 0);
  own.forEach(({ k, side }, i) => {
    (shares[k] as [number, number])[side] = (next[i] as number) / whole;
  });
}
