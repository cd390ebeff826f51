import { INCH, type Mm } from '../measure/length.js';
import type { Profile } from './profiles.js';
import type { UnitShape } from './units.js';

/** How far a lintel bears on the wall at each end, mm: what is usual over an opening so wide, and the least there is. */
export interface Bearing {
  usual: Mm;
  least: Mm;
  source: string;
}

/** Up to so wide an opening 100 mm serves in the UK, past it 150: a warranty standard, from memory. */
const WIDE = 1200;

/** By profile and unit. Longer bearings are the engineer's or the maker's to ask for. */
export function bearingFor(profile: Profile['id'], unit: UnitShape, clear: Mm): Bearing {
  if (profile === 'earth' || unit.family === 'adobe')
    return { usual: 12 * INCH, least: 12 * INCH, source: 'IBC 2109 and 14.7.4 NMAC, from memory' };
  if (profile === 'uk')
    return {
      usual: 150,
      least: clear > WIDE + 0.5 ? 150 : 100,
      source: 'BS EN 845-2 (100 mm); warranty standard (150 mm past 1.2 m); from memory',
    };
  return {
    usual: 8 * INCH,
    least: 4 * INCH,
    source: 'TMS 402 5.2.1 (4 in), from memory; 8 in is common practice',
  };
}

/** What one person does not lift alone, kg: trade caution, common practice. */
export const LIFT_ALONE = 20;
