import { FOOT, INCH, type Mm } from '../measure/length.js';
import type { ProfileId } from './profiles.js';

/** What a tie is made of: strip or wire in a veneer or cavity, or wire between wythes by its size. */
export const TIE_KINDS = ['wire', 'sheet', 'other', 'W1.7', 'W2.8'] as const;
export type TieKind = (typeof TIE_KINDS)[number];

/** How ties stand: so many to an area and no further apart, both at once; and more of them up edges. */
export interface TieRule {
  /** The most wall one tie serves, m². */
  area: number;
  /** No further apart than this along the wall and up it, mm. */
  along: Mm;
  up: Mm;
  /** Where nobody states a spacing, mm. */
  usual: { along: Mm; up: Mm };
  /** Up jambs, free ends and movement joints: within so far of the edge, and no further up from one to the next, mm. */
  edge: { within: Mm; up: Mm };
  source: string;
}

/** m². */
export const SQUARE_FOOT = (FOOT / 1000) ** 2;

const UK: TieRule = {
  // 900 by 450 is published as 2.5 a square metre.
  area: 0.9 * 0.45,
  along: 900,
  up: 450,
  usual: { along: 900, up: 450 },
  edge: { within: 225, up: 300 },
  source: 'PD 6697 and AD A 2C8: 2.5 per m², 900 × 450 staggered, 300 up edges; from memory',
};

const us = (area: number, along: number, up: number, usual: [number, number], source: string): TieRule => ({
  area: area * SQUARE_FOOT,
  along: along * INCH,
  up: up * INCH,
  usual: { along: usual[0] * INCH, up: usual[1] * INCH },
  edge: { within: 12 * INCH, up: 36 * INCH },
  source,
});

const VENEER = 'TMS 402 12.2: 32 in along, 25 in up, within 12 in of openings at 3 ft; from memory';
const WYTHES = 'TMS 402 5.1.4: 36 in along, 24 in up; from memory';
const US: Record<TieKind, TieRule> = {
  wire: us(2.67, 32, 25, [24, 16], `one for 2.67 ft²; ${VENEER}`),
  sheet: us(2.67, 32, 25, [24, 16], `one for 2.67 ft²; ${VENEER}`),
  other: us(3.5, 32, 25, [31.5, 16], `one for 3.5 ft²; ${VENEER}`),
  'W1.7': us(2.67, 36, 24, [24, 16], `one for 2.67 ft²; ${WYTHES}`),
  'W2.8': us(4.5, 36, 24, [27, 24], `one for 4.5 ft²; ${WYTHES}`),
};

/** The rule by profile, for ties across a cavity or between wythes. */
export function tieRule(profile: ProfileId, across: 'cavity' | 'wythes', kind: TieKind | null): TieRule {
  if (profile === 'uk') return UK;
  return US[kind ?? (across === 'cavity' ? 'wire' : 'W1.7')];
}
