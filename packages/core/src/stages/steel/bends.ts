import { INCH, type Mm } from '../../measure/length.js';
import { barOf, type Bar } from '../../tables/bars.js';

/** Shapes a mason bends or orders. `A`, `B`, `C` are outside dimensions, mm. */
export type BarShape = 'straight' | 'hooked' | 'corner' | 'u';

export interface BentBar {
  shape: BarShape;
  a: number;
  b: number;
  c: number;
}

/** Standard hook, 90°: from the bar's far face to the end of the hook, mm: bend, and twelve diameters on. */
export function hook90(size: string): Mm {
  const { diameter: d, bend } = barOf(size);
  return bend / 2 + d + 12 * d;
}

/** Standard hook, 180°: what it takes beyond the bar's straight length: bend, and four diameters or 2½ in on. */
export function hook180(size: string): Mm {
  const { diameter: d, bend } = barOf(size);
  const on = Math.max(4 * d, 2.5 * INCH);
  return (Math.PI / 2) * (bend + d) + on - (bend / 2 + d);
}

/** Width over a 180° hook: the bend and two diameters. */
export const hook180Width = (size: string): Mm => {
  const { diameter, bend } = barOf(size);
  return bend + 2 * diameter;
};

/** What one right-angle bend takes off the sum of its outside dimensions, on the bar's centre line. */
const centreLine = ({ diameter: d, bend }: Bar): number => 2 * (bend / 2 + d) - (Math.PI / 4) * (bend + d);

/** Metric bars are cut to the next 25 mm (BS 8666, from memory), US ones to the next inch (common practice). */
export function rounded(bar: Bar, length: Mm): Mm {
  const step = bar.system === 'metric' ? 25 : INCH;
  return Math.ceil(length / step - 1e-6) * step;
}

/**
 * The length to cut for a bent bar, mm, before rounding. Metric shapes 00, 11 and 21 by BS 8666 (from memory):
 * A + B − r/2 − d, A + B + C − r − 2d. US bars along the centre line of their bends.
 */
export function cutLength(size: string, { shape, a, b, c }: BentBar): Mm {
  const bar = barOf(size);
  const bends = shape === 'straight' ? 0 : shape === 'u' ? 2 : 1;
  const sum = a + (bends > 0 ? b : 0) + (bends > 1 ? c : 0);
  const off = bar.system === 'metric' ? bar.bend / 4 + bar.diameter : centreLine(bar);
  return sum - bends * off;
}

/** A closed link, BS 8666 shape 51 (from memory): 2 (A + B + C) − 2.5 r − 5 d. */
export function linkLength(size: string, a: Mm, b: Mm, c: Mm): Mm {
  const { bend, diameter: d } = barOf(size);
  return 2 * (a + b + c) - 2.5 * (bend / 2) - 5 * d;
}
