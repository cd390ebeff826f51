import type { Show } from './format.js';
import { INCH, type Mm } from './length.js';

/** A round length as somebody who measures so would say it: millimetres as they are, else the nearest two inches. */
export const handy = (length: Mm, show: Show): Mm =>
  show === 'mm' ? length : Math.round(length / (2 * INCH)) * 2 * INCH;
