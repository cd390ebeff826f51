import { SAME_PLACE, type Mm } from '../../measure/length.js';

/** A spot level on the footing as poured: along the run, and above (+) or below (−) the wall's base, mm. */
export interface Spot {
  at: Mm;
  level: Mm;
}

export interface PouredUnit {
  from: Mm;
  to: Mm;
  /** Thickness of the first bed under its two ends. */
  left: Mm;
  right: Mm;
  least: Mm;
  most: Mm;
  verdict: 'sound' | 'grind' | 'pack';
  /** Take off, or bring up, at its worst point; 0 when sound. */
  by: number;
}

/** Level of the footing at a place: straight between spots, level beyond the first and the last. */
export function levelAt(spots: readonly Spot[], at: Mm): Mm {
  const sorted = [...spots].sort((a, b) => a.at - b.at);
  const next = sorted.findIndex((s) => s.at >= at - SAME_PLACE);
  const [a, b] = [sorted[next - 1], sorted[next]];
  if (!b) return sorted.at(-1)?.level ?? 0;
  if (!a || b.at - a.at < SAME_PLACE) return b.level;
  return a.level + ((b.level - a.level) * (at - a.at)) / (b.at - a.at);
}

/**
 * The first bed under every unit of course one, from the footing as it was poured: inside the first bed's limits,
 * or how much to grind off or pack up before a unit is laid. A spot between a unit's ends counts too.
 */
export function pouredBeds(
  units: readonly { from: number; to: number }[],
  spots: readonly Spot[],
  bed: number,
  limits: { least: number; most: number },
): PouredUnit[] {
  return units.map(({ from, to }) => {
    const under = [from, ...spots.filter((s) => s.at > from && s.at < to).map((s) => s.at), to];
    const beds = under.map((x) => bed - levelAt(spots, x));
    const [least, most] = [Math.min(...beds), Math.max(...beds)];
    const high = limits.least - least;
    const low = most - limits.most;
    const verdict = high > SAME_PLACE ? 'grind' : low > SAME_PLACE ? 'pack' : 'sound';
    return {
      from,
      to,
      left: beds[0] ?? bed,
      right: beds.at(-1) ?? bed,
      least,
      most,
      verdict,
      by: verdict === 'grind' ? high : verdict === 'pack' ? low : 0,
    };
  });
}
