import { TABLE } from '../../tables/messages.js';
import type { Said } from '../../messages/message.js';
import { INCH, inches, toMillimetres, type Mm } from '../../measure/length.js';
import type { ProfileId } from '../../tables/profiles.js';
import { barOf } from '../../tables/bars.js';

/** How long a lap is, by which rule: the rule is named wherever the length is shown. */
export type LapRule = '48d' | '40d' | 'computed' | 'drawing';

export interface LapAsked {
  rule: LapRule;
  /** The drawing's own length, mm, where that is the rule. */
  length: number | null;
  /** Strength of the masonry, N/mm², and of the steel: what the computed rule needs. */
  masonry: number;
  steel: number;
}

export interface Lap {
  length: number;
  rule: LapRule;
  says: Said;
  source: Said;
  /** The rule asked for does not serve a bar so large. */
  beyond: boolean;
}

const PSI = 0.00689476;

/** f'm 2 000 psi and Grade 60: what the table units make with Type S mortar, from memory. */
export const PLAIN_MASONRY = 2000 * PSI;
export const PLAIN_STEEL = 60_000 * PSI;

/** The largest bar the 48-diameter rule serves: No. 6. */
const LARGEST_BY_DIAMETERS = 0.75 * INCH;
const LEAST_COMPUTED = toMillimetres(inches(12));

/**
 * Development length of TMS 402 Eq. 6-1 (from memory): 0.13 d² fy γ / (K √f'm), at least 12 in. `cover`: the least of
 * masonry cover and clear spacing, mm; K is that, and at most nine diameters. Lengths mm, strengths N/mm².
 */
export function developmentLength(diameter: Mm, cover: Mm, masonry: number, steel: number): Mm {
  const d = diameter / INCH;
  const gamma = d < 0.7 ? 1 : d < 0.95 ? 1.3 : 1.5;
  const k = Math.min(cover / INCH, 9 * d);
  const length = (0.13 * d * d * (steel / PSI) * gamma) / (k * Math.sqrt(masonry / PSI));
  return Math.max(LEAST_COMPUTED, length * INCH);
}

export const lapRuleOf = (profile: ProfileId): LapRule => (profile === 'uk' ? '40d' : '48d');

/** The lap of one bar size. `cover`: from the bar to the nearest face of the wall, mm. */
export function lapOf(size: string, asked: LapAsked, cover: number): Lap {
  const { diameter } = barOf(size);
  if (asked.rule === 'drawing' && asked.length !== null)
    return {
      length: asked.length,
      rule: 'drawing',
      says: TABLE['as-drawn'](),
      source: TABLE['stated-on-job'](),
      beyond: false,
    };
  const tooLarge = diameter > LARGEST_BY_DIAMETERS + 0.5;
  if (asked.rule === 'computed' || (asked.rule === '48d' && tooLarge)) {
    return {
      length: developmentLength(diameter, cover, asked.masonry, asked.steel),
      rule: 'computed',
      says: TABLE.development(),
      source: TABLE['tms-402-6-1'](),
      beyond: asked.rule === '48d',
    };
  }
  const times = asked.rule === '40d' ? 40 : 48;
  return {
    length: times * diameter,
    rule: asked.rule,
    says: TABLE['bar-diameters']({ times }),
    source: times === 48 ? TABLE['older-rule']() : TABLE['practice-may-ask'](),
    beyond: false,
  };
}
