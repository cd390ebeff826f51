/**
 * Cutting stock by shaft generation: the linear relaxation over all cutting patterns gives the bound, its patterns
 * rounded down give most of the list, and what is left is packed bar by bar. Method: Gilmore and Gomory.
 */

/** How many of each length one bar is cut into. */
export type Pattern = number[];

const EPS = 1e-7;

/** The dearest pattern at these prices: depth-first over lengths in order of price a millimetre, cut off by the bound. */
export function dearestPattern(
  lengths: readonly number[],
  prices: readonly number[],
  most: readonly number[],
  room: number,
): { pattern: Pattern; value: number } {
  const order = lengths
    .map((_, i) => i)
    .filter((i) => (prices[i] ?? 0) > EPS && (most[i] ?? 0) > 0)
    .sort((a, b) => (prices[b] ?? 0) / (lengths[b] ?? 1) - (prices[a] ?? 0) / (lengths[a] ?? 1));
  const best = { pattern: lengths.map(() => 0), value: 0 };
  const now = lengths.map(() => 0);
  let steps = 0;
  const down = (k: number, left: number, value: number): void => {
    if (value > best.value + EPS) {
      best.value = value;
      best.pattern = [...now];
    }
    const i = order[k];
    if (i === undefined || steps > MOST_STEPS) return;
    steps++;
    const [length, price] = [lengths[i] ?? 1, prices[i] ?? 0];
    if (value + (left * price) / length <= best.value + EPS) return;
    for (let n = Math.min(most[i] ?? 0, Math.floor(left / length + EPS)); n >= 0; n--) {
      now[i] = n;
      down(k + 1, left - n * length, value + n * price);
    }
    now[i] = 0;
  };
  down(0, room, 0);
  return best;
}

/** A pattern search that takes longer than this is cut short: the list stays right, only the bound may be lower. */
const MOST_STEPS = 200_000;

interface Relaxed {
  patterns: Pattern[];
  times: number[];
  /** Lower bound on stock bars, from the relaxation. */
  bound: number;
}

/** The linear relaxation, by the simplex method on the patterns found so far. `lengths` have the kerf in them. */
function relaxed(
  lengths: readonly number[],
  demand: readonly number[],
  room: number,
  going: (part: number) => boolean,
): Relaxed {
  const m = lengths.length;
  const patterns: Pattern[] = lengths.map((l, i) =>
    lengths.map((_, k) => (k === i ? Math.max(1, Math.min(demand[i] ?? 0, Math.floor(room / l + EPS))) : 0)),
  );
  // The basis starts as one pattern a length, so its inverse is diagonal.
  const inverse = lengths.map((_, i) => lengths.map((__, k) => (k === i ? 1 / (patterns[i]?.[i] ?? 1) : 0)));
  const times = demand.map((d, i) => d / (patterns[i]?.[i] ?? 1));
  let bound = 0;
  const at = (i: number, k: number): number => inverse[i]?.[k] ?? 0;
  for (let turn = 0; turn < 40 * m + 200; turn++) {
    const prices = lengths.map((_, k) => inverse.reduce((s, row) => s + (row[k] ?? 0), 0));
    const found = dearestPattern(lengths, prices, demand, room);
    const sum = times.reduce((a, b) => a + b, 0);
    const worth = prices.reduce((s, p, i) => s + Math.max(0, p) * (demand[i] ?? 0), 0);
    // Farley's bound holds at every turn, so that stopping early still proves something.
    bound = Math.max(bound, worth / Math.max(1, found.value));
    if (found.value <= 1 + 1e-6) return { patterns, times, bound: Math.max(bound, sum - 1e-6) };
    if (!going(Math.min(0.9, turn / (4 * m + 20)))) break;
    const shaft = lengths.map((_, i) => found.pattern.reduce((s, n, k) => s + at(i, k) * n, 0));
    let leaves = -1;
    let least = Infinity;
    shaft.forEach((c, i) => {
      if (c > EPS && (times[i] ?? 0) / c < least - EPS) [leaves, least] = [i, (times[i] ?? 0) / c];
    });
    const row = inverse[leaves];
    const pivot = shaft[leaves] ?? 0;
    if (!row || leaves < 0) break;
    for (let k = 0; k < m; k++) row[k] = (row[k] ?? 0) / pivot;
    shaft.forEach((c, i) => {
      const other = inverse[i];
      if (i === leaves || !other || Math.abs(c) < EPS) return;
      for (let k = 0; k < m; k++) other[k] = (other[k] ?? 0) - c * (row[k] ?? 0);
      times[i] = Math.max(0, (times[i] ?? 0) - c * least);
    });
    times[leaves] = least;
    patterns[leaves] = found.pattern;
  }
  return { patterns, times, bound };
}

/** Packs what is left bar by bar, each as full as it can be once its first piece is in. */
function packed(
  lengths: readonly number[],
  demand: readonly number[],
  room: number,
  first: (left: readonly number[]) => number,
): Pattern[] {
  const left = [...demand];
  const bars: Pattern[] = [];
  while (left.some((n) => n > 0)) {
    const i = first(left);
    left[i] = (left[i] ?? 0) - 1;
    const rest = dearestPattern(lengths, lengths, left, room - (lengths[i] ?? 0)).pattern;
    const bar = rest.map((n, k) => n + (k === i ? 1 : 0));
    rest.forEach((n, k) => (left[k] = (left[k] ?? 0) - n));
    bars.push(bar);
  }
  return bars;
}

/** Longest piece first into the first bar it fits: the plain way, to be no worse than. */
function firstFit(lengths: readonly number[], demand: readonly number[], room: number): Pattern[] {
  const bars: { pattern: Pattern; left: number }[] = [];
  const order = lengths.map((_, i) => i).sort((a, b) => (lengths[b] ?? 0) - (lengths[a] ?? 0));
  for (const i of order)
    for (let n = 0; n < (demand[i] ?? 0); n++) {
      const length = lengths[i] ?? 0;
      let bar = bars.find((b) => b.left >= length - EPS);
      if (!bar) bars.push((bar = { pattern: lengths.map(() => 0), left: room }));
      bar.pattern[i] = (bar.pattern[i] ?? 0) + 1;
      bar.left -= length;
    }
  return bars.map((b) => b.pattern);
}

const longestLeft = (lengths: readonly number[]) => (left: readonly number[]) =>
  left.reduce(
    (best, n, i) => (n > 0 && (best < 0 || (lengths[i] ?? 0) > (lengths[best] ?? 0)) ? i : best),
    -1,
  );

/** Whole numbers of bars from the relaxation: `floor` of each pattern's times, `extra` of them once more. */
function roundedDown(
  { patterns, times }: Relaxed,
  demand: readonly number[],
  extra: readonly number[],
): { bars: Pattern[]; left: number[] } {
  const left = [...demand];
  const bars: Pattern[] = [];
  patterns.forEach((pattern, j) => {
    const count = Math.floor((times[j] ?? 0) + 1e-6) + (extra.includes(j) ? 1 : 0);
    for (let n = 0; n < count; n++) {
      // A pattern may make more of a length than is wanted: what is not wanted is not cut.
      const bar = pattern.map((c, i) => Math.min(c, left[i] ?? 0));
      if (bar.every((c) => c === 0)) break;
      bar.forEach((c, i) => (left[i] = (left[i] ?? 0) - c));
      bars.push(bar);
    }
  });
  return { bars, left };
}

/** Bars that carry every piece wanted, and the fewest there could be. Lengths mm. */
export function columnGeneration(
  lengths: readonly number[],
  demand: readonly number[],
  stock: number,
  kerf: number,
  going: (part: number) => boolean,
): { used: Pattern[]; bound: number } {
  if (lengths.length === 0) return { used: [], bound: 0 };
  // A cut lies between two pieces, so the last piece of a bar has none: the bar is one kerf longer instead.
  const [own, room] = [lengths.map((l) => l + kerf), stock + kerf];
  const relax = relaxed(own, demand, room, going);
  const bound = Math.ceil(relax.bound - 1e-5);
  const longest = longestLeft(own);
  let best = firstFit(own, demand, room);
  const consider = (bars: Pattern[]): boolean => {
    if (bars.length < best.length) best = bars;
    return best.length <= bound;
  };
  const finish = ({ bars, left }: { bars: Pattern[]; left: number[] }): Pattern[] => [
    ...bars,
    ...packed(own, left, room, longest),
  ];
  if (consider(packed(own, demand, room, longest)) || consider(finish(roundedDown(relax, demand, []))))
    return { used: best, bound };
  // The largest parts of a bar that rounding lost, put back one and two at a time.
  const parts = relax.times
    .map((t, j) => ({ j, part: t - Math.floor(t + 1e-6) }))
    .filter((p) => p.part > 1e-6)
    .sort((a, b) => b.part - a.part)
    .slice(0, 24)
    .map((p) => p.j);
  for (const a of parts) {
    if (consider(finish(roundedDown(relax, demand, [a])))) return { used: best, bound };
    for (const b of parts.filter((j) => j > a))
      if (consider(finish(roundedDown(relax, demand, [a, b])))) return { used: best, bound };
  }
  // What rounding leaves, relaxed again on its own and rounded up where its parts are largest.
  let { bars, left } = roundedDown(relax, demand, []);
  while (left.some((n) => n > 0) && going(0.95)) {
    const again = relaxed(own, left, room, going);
    const whole = again.times.reduce((b, t, j) => (t > (again.times[b] ?? 0) ? j : b), 0);
    const pattern = (again.patterns[whole] ?? []).map((c, i) => Math.min(c, left[i] ?? 0));
    if (pattern.every((c) => c === 0)) break;
    bars = [...bars, pattern];
    left = left.map((n, i) => n - (pattern[i] ?? 0));
  }
  consider(finish({ bars, left }));
  return { used: best, bound };
}
