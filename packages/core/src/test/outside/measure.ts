import type { WallPlanFile } from './files.js';
import { COSTS } from './model.js';

/** What the rules of a straight wall come to, mm. */
export interface Rules {
  joint: number;
  least: number;
  most: number;
  leastPiece: number;
  leastLap: number;
}

const OFF_LINE = 6;

/** The cost of a straight wall of one run by the contract's table, added up from its plan's JSON piece by piece. */
export function costOf(w: WallPlanFile, r: Rules): number {
  const rows = w.rows
    .filter((x) => x.leaf === 0)
    .map((x) => ({
      course: x.course,
      list: x.pieces
        .flatMap((p) => [
          ...(p.run === 0 ? [{ from: p.from, to: p.to, cut: p.cutFrom !== undefined, own: true }] : []),
          ...(p.shows?.run === 0 ? [{ from: p.shows.from, to: p.shows.to, cut: false, own: false }] : []),
        ])
        .sort((a, b) => a.from - b.from),
    }));
  let cost = 0;
  const sizes = new Set<number>();
  const perps = rows.map(({ list }) => {
    const at: number[] = [];
    list.forEach((p, i) => {
      const long = p.to - p.from;
      if (p.own && p.cut) {
        cost += COSTS.cut;
        sizes.add(Math.round(long));
      }
      if (p.own && long < r.leastPiece - 0.4) cost += COSTS.short;
      const next = list[i + 1];
      if (!next || next.from - p.to > r.most + 0.1) return;
      at.push((p.to + next.from) / 2);
      const off = next.from - p.to - r.joint;
      const room = off > 0 ? r.most - r.joint : r.joint - r.least;
      if (Math.abs(off) > 0.002) cost += (off / Math.max(room, 0.001)) ** 2;
    });
    return at;
  });
  for (let i = 0; i + 1 < perps.length; i++)
    for (const x of perps[i] as number[])
      if ((perps[i + 1] as number[]).some((y) => Math.abs(x - y) < r.leastLap - 0.4)) cost += COSTS.lap;
  // The line of courses alike is that of those no opening breaks.
  const broken = (i: number): boolean =>
    (rows[i]?.list ?? []).some((p, k, all) => {
      const next = all[k + 1];
      return next !== undefined && next.from - p.to > r.most + 0.1;
    });
  for (let i = 0; i < rows.length; i++) {
    if (!broken(i)) continue;
    const line = rows.findIndex((x, k) => !broken(k) && (x.course - (rows[i]?.course ?? 0)) % 2 === 0);
    if (line < 0) continue;
    for (const x of perps[i] as number[])
      if (!(perps[line] as number[]).some((y) => Math.abs(x - y) <= OFF_LINE + 0.01)) cost += COSTS.off;
  }
  return cost + COSTS.size * sizes.size;
}
