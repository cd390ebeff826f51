import type { Kilograms } from '../measure/length.js';
import { SLAKING } from '../tables/earthWalls.js';

/** What quicklime comes to when it is slaked. */
export interface Slaked {
  /** Water it takes up: twice or three times that is put to it. */
  water: Kilograms;
  hydrate: Kilograms;
  /** MJ. */
  heat: number;
}

/** Usual purity where a bag does not say: common practice. */
export const PURITY = 0.93;

/** So much quicklime of a purity, slaked. */
export function slaked(quicklime: Kilograms, purity = PURITY): Slaked {
  const lime = quicklime * purity;
  return { water: lime * SLAKING.water, hydrate: lime * SLAKING.hydrate, heat: lime * SLAKING.heat };
}
