import { feet, millimetres, toMillimetres, type Mm } from '../measure/length.js';
import type { Basis } from '../tables/mixes/materials.js';
import type { UnitFamily } from '../tables/units.js';
import type { Binds } from './weather/advice.js';
import { HOT } from './weather/life.js';

/** How far ahead mud is spread before units go into it: 1.2 m for block, four bricks; common practice. */
export function spreadAhead(family: UnitFamily, unitLength: Mm, basis: Basis): Mm {
  if (family === 'brick') return 4 * unitLength;
  return basis === 'us' ? toMillimetres(feet(4)) : toMillimetres(millimetres(1200));
}

/** How far to spread where it dried before units went in: a quarter less; common practice. */
export const spreadLess = (far: Mm): Mm => far * 0.75;

/** When a joint is thumb-hard and is struck, minutes after it was laid; common practice. Not known while nobody has said how warm it is. */
export interface StrikeWindow {
  least: number;
  most: number;
}

/** Under this it is cold for a joint, °C: where waits double. */
const COLD = 5;

/** Twenty to ninety minutes; in the heat ten to thirty, in the cold two to four hours; lime four hours to a day. Earth is not struck. */
export function strikeWindow(binds: Binds, celsius: number | null): StrikeWindow | null {
  if (binds === 'earth') return null;
  if (binds === 'lime') return { least: 240, most: 1440 };
  if (celsius !== null && celsius > HOT.windy) return { least: 10, most: 30 };
  if (celsius !== null && celsius <= COLD) return { least: 120, most: 240 };
  return { least: 20, most: 90 };
}
