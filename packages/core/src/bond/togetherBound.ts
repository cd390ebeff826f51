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

/** The least two courses cost, a share of each one's own cost among it, worked out where it is asked for. */
function pairToGo(
  a: CourseSteps,
  b: CourseSteps,
  [shareA, shareB]: readonly [number, number],
  ab: Against | undefined,
  ba: Against | undefined,
): (i: number, j: number) => number {
  const costA = a.cost.map((x) => shareA * x);
  const costB = b.cost.map((x) => shareB * x);
  const [lastA, lastB] = [a.places.length - 1, b.places.length - 1];
  const width = lastB + 1;
  const known = new Float64Array((lastA + 1) * width).fill(-1);
  known[lastA * width + lastB] = 0;
  const least = (i: number, j: number): number => {
    const was = known[i * width + j] as number;
    if (was >= 0) return was;
    let best = Infinity;
    if (j === lastB || (i < lastA && (a.places[i] as number) <= (b.places[j] as number))) {
      for (let s = a.first[i] as number; s < (a.first[i + 1] as number); s++) {
        const to = a.to[s] as number;
        let cost = costA[s] as number;
        if (ab) cost += ab(i, to, j);
        if (cost < best) cost += least(to, j);
        if (cost < best) best = cost;
      }
    } else {
      for (let s = b.first[j] as number; s < (b.first[j + 1] as number); s++) {
        const to = b.to[s] as number;
        let cost = costB[s] as number;
        if (ba) cost += ba(j, to, i);
        if (cost < best) cost += least(i, to);
        if (cost < best) best = cost;
      }
    }
    known[i * width + j] = best;
    return best;
  };
  return least;
}

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

/**
 * A bound for courses laid together, made of what any two of them cost at the least, knowing of no others: a course that is
 * in several pairs gives each a like share of what it costs of itself. `rows` go on in the order `behind` says.
 */
export function togetherToGo(
  rows: readonly CourseSteps[],
  ties: Ties,
  laps: readonly Lapping[],
  onLine: readonly OnLine[],
): ToGo {
  const pairs = pairsOf(laps, onLine, rows.length);
  const shares = rows.map((_, k) => 1 / pairs.filter((p) => p.includes(k)).length);
  const parts = pairs.map(([x, y]): ToGo => {
    const [a, b] = [Math.min(x, y), Math.max(x, y)];
    if (a === b) {
      const least = aloneToGo(rows[a] as CourseSteps, shares[a] as number);
      return (at) => least[at[a] as number] as number;
    }
    const least = pairToGo(
      rows[a] as CourseSteps,
      rows[b] as CourseSteps,
      [shares[a] as number, shares[b] as number],
      ties[a]?.[b],
      ties[b]?.[a],
    );
    return (at) => least(at[a] as number, at[b] as number);
  });
  return (at) => {
    let sum = 0;
    for (const part of parts) sum += part(at);
    return sum;
  };
}
