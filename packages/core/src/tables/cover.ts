import { INCH, type Mm } from '../measure/length.js';
import { barOf } from './bars.js';
import type { ProfileId } from './profiles.js';

/** How wet, cold and salt the place of a wall is, by EN 1996: MX1 dry to MX5 aggressive. */
export const EXPOSURE_CLASSES = ['MX1', 'MX2', 'MX3', 'MX4', 'MX5'] as const;
export type ExposureClass = (typeof EXPOSURE_CLASSES)[number];

/** How much lies between a bar and a face at least, mm, and what counts toward it. */
export interface Cover {
  least: Mm;
  /** Shell and grout together, or the grout alone. */
  counts: 'masonry' | 'infill';
  source: string;
}

/** mm of infill by class (EN 1996-1-1 Table 4.1, about 350 kg of cement to a m³; from memory). */
const INFILL: Record<ExposureClass, Mm> = { MX1: 20, MX2: 30, MX3: 40, MX4: 60, MX5: 60 };
/** A bar thicker than No. 5 wants more to weather. */
const NO_5 = 0.625 * INCH;

/** Cover a bar wants from a face that earth or weather reaches (`exposed`), or that neither does. */
export function coverFor(
  profile: ProfileId,
  bar: string,
  exposed: boolean,
  said: ExposureClass | null,
): Cover {
  if (profile === 'uk')
    return {
      least: INFILL[said ?? (exposed ? 'MX3' : 'MX1')],
      counts: 'infill',
      source: 'EN 1996-1-1 Table 4.1 by exposure class, from memory',
    };
  const thick = barOf(bar).diameter > NO_5 + 0.01;
  return {
    least: (exposed && thick ? 2 : 1.5) * INCH,
    counts: 'masonry',
    source: 'TMS 402 6.1.4: 2 in over No. 5 to earth or weather, else 1½ in, shell and grout; from memory',
  };
}
