import type { BondId } from '../../../tables/bonds.js';
import type { BondRule } from './bondRule.js';
import { english, englishGarden } from './english.js';
import { flemish, flemishGarden } from './flemish.js';
import { header } from './headerBond.js';
import { running } from './running.js';

/** Every bond there is, by its id: how its courses are laid. Names and periods are in `tables/bonds.ts`. */
const RULES: Readonly<Record<BondId, BondRule>> = {
  half: running(1 / 2),
  third: running(1 / 3),
  quarter: running(1 / 4),
  stack: running(0),
  english: header(english),
  'english-garden': header(englishGarden),
  flemish: header(flemish),
  'flemish-garden': header(flemishGarden),
};

export const bondRule = ({ bond }: { bond: { id: BondId } }): BondRule => RULES[bond.id];
