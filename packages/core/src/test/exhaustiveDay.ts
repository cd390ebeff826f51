import type { Day, Minutes } from '../mud/day/day.js';

/**
 * The best a day can come to, found by trying everything: every water on a whole minute and in the second before a shorter
 * life, every size. Written apart from the search it is held against, and far too slow for anything but small days.
 */
export interface Cost {
  waited: number;
  left: number;
  count: number;
  sizes: number[];
}

export function exhaustive(day: Day): Cost {
  const stretches = stretchesOf(day);
  const finish = Math.max(day.from, ...stretches.map((s) => s.to));
  const lifeAt = (w: Minutes): number =>
    [...day.lives].reverse().find((l) => l.at <= w + 1e-9)?.life ?? day.lives[0]?.life ?? 0;
  const longestLife = Math.max(...day.lives.map((l) => l.life));
  const extra = day.lives.map((l) => l.at - 1 / 60);
  const known = new Map<string, Cost>();

  /** Goes on taking from a time until so much is taken or a time has come. */
  const take = (from: Minutes, volume: number, until: Minutes): { end: Minutes; taken: number } => {
    let taken = 0;
    for (const s of stretches) {
      const [a, b] = [Math.max(s.from, from), Math.min(s.to, until)];
      if (b <= a) continue;
      const all = (b - a) * s.rate;
      if (taken + all >= volume - 1e-9) return { end: a + (volume - taken) / s.rate, taken: volume };
      taken += all;
    }
    return { end: Math.min(until, finish), taken };
  };
  const wantedMinutes = (from: Minutes, to: Minutes): number =>
    stretches.reduce((sum, s) => sum + Math.max(0, Math.min(s.to, to) - Math.max(s.from, from)), 0);

  const go = (end: Minutes, waters: readonly Minutes[]): Cost => {
    const nothing: Cost = { waited: wantedMinutes(end, finish), left: 0, count: 0, sizes: [] };
    if (nothing.waited < 1e-6) return nothing;
    const key = [end, ...waters].map((t) => Math.round(t * 600)).join();
    const had = known.get(key);
    if (had) return had;
    let best = nothing;
    const behind = waters[waters.length - day.mixers];
    const soonest = behind === undefined ? end - longestLife - day.before : behind + day.before;
    const grid: Minutes[] = [...extra];
    for (let w = Math.floor(end - longestLife - day.before); w < finish; w += 1) grid.push(w);
    for (const w of grid) {
      if (w < soonest - 1e-9 || w < (waters.at(-1) ?? -Infinity) - 1e-9) continue;
      const dies = w + lifeAt(w);
      const first = Math.max(w + day.before, end);
      if (dies <= first + 1e-9 || first >= finish) continue;
      for (let size = day.step; size <= day.batch + 1e-9; size += day.step) {
        const { end: last, taken } = take(first, size, Math.min(dies, finish));
        if (taken < 1e-9) continue;
        const rest = go(last, [...waters, w].slice(-day.mixers));
        const cost: Cost = {
          waited: wantedMinutes(end, first) + rest.waited,
          left: size - taken + rest.left,
          count: 1 + rest.count,
          sizes: [size, ...rest.sizes],
        };
        if (isBetter(cost, best)) best = cost;
      }
    }
    known.set(key, best);
    return best;
  };
  return go(day.from, []);
}

export function isBetter(a: Cost, b: Cost): boolean {
  for (const d of [a.waited - b.waited, a.left - b.left, a.count - b.count])
    if (Math.abs(d) > 1e-6) return d < 0;
  for (let i = 0; i < a.sizes.length; i++) {
    const d = (a.sizes[i] ?? 0) - (b.sizes[i] ?? 0);
    if (Math.abs(d) > 1e-6) return d > 0;
  }
  return false;
}

/** The day cut where anything changes: what is taken a minute in each part. */
function stretchesOf(day: Day): { from: Minutes; to: Minutes; rate: number }[] {
  const cuts = [day.from, day.to, ...[...day.breaks, ...day.demand].flatMap((s) => [s.from, s.to])]
    .filter((t) => t >= day.from && t <= day.to)
    .sort((a, b) => a - b);
  return cuts.flatMap((from, i) => {
    const to = cuts[i + 1] ?? from;
    if (to <= from || day.breaks.some((b) => from >= b.from && to <= b.to)) return [];
    const rate = day.demand.reduce(
      (sum, d) => (from >= d.from && to <= d.to ? sum + d.perHour / 60 : sum),
      0,
    );
    return rate > 0 ? [{ from, to, rate }] : [];
  });
}
