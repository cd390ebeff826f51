import { SAME_PLACE } from '../../../measure/length.js';
import type { PerpLine, RunLines, Span } from './lines.js';

/**
 * Perps of one course nearer to a perp of the other than the least lap, those beside the ends of the span left out.
 * Counted no further than one past `most`.
 */
export function lapsUnder(a: PerpLine, b: PerpLine, least: number, span: Span, most = Infinity): number {
  let count = 0;
  let j = 0;
  for (const x of a.u) {
    while (j < b.u.length - 1 && (b.u[j] ?? 0) < x - least) j++;
    const near = b.u[j];
    if (near === undefined || x < span.from + least || x > span.to - least) continue;
    if (Math.abs(near - x) < least - SAME_PLACE) count++;
    if (count > most) break;
  }
  return count;
}

/** A way to lay one course, and what its own pieces cost. */
export interface WeighedLine {
  line: PerpLine;
  own: number;
}

export const byOwn = (a: WeighedLine, b: WeighedLine): number => a.own - b.own;

export interface Pair {
  lines: RunLines;
  cost: number;
}

/** What a short lap is, and what each costs. */
export interface LapRule {
  least: number;
  span: Span;
  weight: number;
}

/** The two courses that cost least together, each chosen from its ways (cheapest first), if less than what is known. */
export function cheapestPair(
  odd: readonly WeighedLine[],
  even: readonly WeighedLine[],
  { least, span, weight }: LapRule,
  known: Pair = { lines: [], cost: Infinity },
): Pair {
  let best = known;
  for (const a of odd) {
    for (const b of even) {
      const own = a.own + b.own;
      // From here on no pair can cost less, and laps need not be counted.
      if (own >= best.cost - 1e-9) break;
      const most = weight > 0 ? Math.floor((best.cost - own) / weight) : Infinity;
      const cost = own + lapsUnder(a.line, b.line, least, span, most) * weight;
      if (cost < best.cost - 1e-9) best = { lines: [a.line, b.line], cost };
    }
  }
  return best;
}
