import { SAME_PLACE, type Mm } from '../../measure/length.js';
import type { Spot } from './poured.js';
import type { SetWall } from './wall.js';

/** A spot level on a run, above (+) or below (−) what the first bed is reckoned from there, mm. */
export interface SpotOn extends Spot {
  run: number;
}

/** The line that asks least of a footing as it was poured. */
export interface LeastLine {
  /** How much higher (+) or lower than drawn the first course is lined, mm. */
  shift: Mm;
  /** First beds at that line, thinnest and thickest, grinding and packing done. */
  least: Mm;
  most: Mm;
  /** What is still to be taken off or brought up, and where: nothing where a line serves all. */
  work: { run: number; at: Mm; does: 'grind' | 'pack'; by: Mm }[];
}

/**
 * The line nearest the drawn one that puts every first bed inside its limits; where there is none, the one that leaves least to grind off and
 * pack up, over fewest places. What is off falls and rises with the line in straight pieces, so the best stands where some bed meets a limit.
 */
export function leastLine(
  spots: readonly SpotOn[],
  bed: Mm,
  limits: { least: Mm; most: Mm },
): LeastLine | null {
  if (spots.length === 0) return null;
  const workAt = (shift: Mm): LeastLine['work'] =>
    spots.flatMap(({ run, at, level }): LeastLine['work'] => {
      const b = bed + shift - level;
      if (b < limits.least - SAME_PLACE) return [{ run, at, does: 'grind', by: limits.least - b }];
      if (b > limits.most + SAME_PLACE) return [{ run, at, does: 'pack', by: b - limits.most }];
      return [];
    });
  const lines = [0, ...spots.flatMap((s) => [s.level + limits.least - bed, s.level + limits.most - bed])];
  const ways = lines.map((shift) => {
    const work = workAt(shift);
    return { shift, work, total: work.reduce((sum, w) => sum + w.by, 0) };
  });
  const best = ways.reduce((a, b) => {
    const by = b.total - a.total || b.work.length - a.work.length || Math.abs(b.shift) - Math.abs(a.shift);
    return by < -1e-9 ? b : a;
  });
  const beds = spots.map((s) => Math.min(limits.most, Math.max(limits.least, bed + best.shift - s.level)));
  return { shift: best.shift, least: Math.min(...beds), most: Math.max(...beds), work: best.work };
}

/**
 * The spots a run is laid on: its own, and at its corners those shot on the run it meets there, for both lay on the same concrete. A run's own
 * spot at the corner goes before its neighbour's.
 */
export function spotsOf(wall: SetWall, run: number): Spot[] {
  const own = wall.poured.filter((s) => s.run === run).map(({ at, level }) => ({ at, level }));
  const reach = wall.cavity?.overall ?? wall.thickness;
  const length = wall.runs[run]?.length ?? 0;
  const shared = wall.line.corners.flatMap(({ from, to }): Spot[] => {
    if (to === run) {
      const end = wall.runs[from]?.length ?? 0;
      if (own.some((s) => s.at <= reach)) return [];
      return wall.poured
        .filter((s) => s.run === from && s.at >= end - reach)
        .map((s) => ({ at: 0, level: s.level }));
    }
    if (from !== run || own.some((s) => s.at >= length - reach)) return [];
    return wall.poured
      .filter((s) => s.run === to && s.at <= reach)
      .map((s) => ({ at: length, level: s.level }));
  });
  return [...own, ...shared];
}
