import { INCH, type Mm } from '../measure/length.js';
import type { ProfileId } from './profiles.js';

/** The least a strip footing may be, mm: its width, how far it stands past each face, its depth. */
export interface FootingRule {
  width: Mm;
  projection: Mm;
  depth: Mm;
  source: string;
}

const US: FootingRule = {
  width: 12 * INCH,
  projection: 2 * INCH,
  depth: 6 * INCH,
  source:
    'IRC R403.1.1: 12 in wide, 2 in past each face, 6 in deep, from memory; the ground and local code ask more',
};

const RULES: Record<ProfileId, FootingRule> = {
  us: US,
  uk: {
    width: 250,
    projection: 50,
    depth: 150,
    source:
      'AD A 2E: 250 mm wide on the best ground and 150 deep, from memory; 50 mm past each face is common practice',
  },
  earth: US,
};

export const footingRule = (profile: ProfileId): FootingRule => RULES[profile];
