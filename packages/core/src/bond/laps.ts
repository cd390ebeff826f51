import { SAME_PLACE } from '../measure/length.js';
import type { BondedRun } from './bond.js';
import type { Row } from './row.js';

/** Perps that stand over one another through several courses. */
export interface Chain {
  run: number;
  at: number;
  /** First and last course, both counted. */
  from: number;
  to: number;
  /** Smallest lap along it, mm. */
  lap: number;
}

interface Near {
  below: number;
  above: number;
  lap: number;
}

/** Perps of two neighbouring rows closer than the least lap. Both lists ascend, so one walk finds them all. */
export function shortLaps(below: Row, above: Row, least: number): Near[] {
  const found: Near[] = [];
  let j = 0;
  for (const b of below.perps) {
    while (j < above.perps.length && (above.perps[j]?.at ?? 0) < b.at - least) j++;
    let best: Near | null = null;
    for (let k = j; k < above.perps.length; k++) {
      const a = above.perps[k];
      if (!a || a.at > b.at + least) break;
      const lap = Math.abs(a.at - b.at);
      if (lap < least - SAME_PLACE && (best === null || lap < best.lap))
        best = { below: b.at, above: a.at, lap };
    }
    if (best) found.push(best);
  }
  return found;
}

/** Every chain of short laps in a run, from the lowest course up. Pairs of rows alike are compared once. */
export function lapChains(run: BondedRun, least: number): Chain[] {
  const pairs = new Map<Row, Map<Row, Near[]>>();
  const done: Chain[] = [];
  let open: (Chain & { last: number })[] = [];
  for (let i = 0; i + 1 < run.rows.length; i++) {
    const [below, above] = [run.rows[i], run.rows[i + 1]];
    if (!below || !above) continue;
    let byAbove = pairs.get(below);
    if (!byAbove) pairs.set(below, (byAbove = new Map<Row, Near[]>()));
    let near = byAbove.get(above);
    if (!near) byAbove.set(above, (near = shortLaps(below, above, least)));
    const next: typeof open = [];
    for (const n of near) {
      const before = open.find((c) => Math.abs(c.last - n.below) < SAME_PLACE);
      if (before) next.push({ ...before, last: n.above, to: i + 2, lap: Math.min(before.lap, n.lap) });
      else next.push({ run: run.index, at: n.below, from: i + 1, to: i + 2, lap: n.lap, last: n.above });
    }
    done.push(...open.filter((c) => !next.some((n) => n.from === c.from && n.at === c.at)));
    open = next;
  }
  return [...done, ...open].map(({ run: r, at, from, to, lap }) => ({ run: r, at, from, to, lap }));
}
