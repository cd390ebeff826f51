import { toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import type { Stated } from '../../job/types.js';

/** What measuring a number of real units gave, mm. */
export interface Sampled {
  count: number;
  mean: number;
  least: Mm;
  most: Mm;
}

/** Null when nothing was measured. */
export function sampled(list: readonly Stated[] | undefined): Sampled | null {
  if (!list || list.length === 0) return null;
  const sizes = list.map((s) => toMillimetres(stated(s)));
  return {
    count: sizes.length,
    mean: sizes.reduce((a, b) => a + b, 0) / sizes.length,
    least: Math.min(...sizes),
    most: Math.max(...sizes),
  };
}

/**
 * The least nominal joint under which the largest unit still gets the least joint allowed:
 * least + (largest − mean). Common practice.
 */
export const leastJointFor = (units: Sampled, leastAllowed: Mm): Mm => leastAllowed + units.most - units.mean;
