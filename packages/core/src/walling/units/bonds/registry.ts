import type { BondId } from '../../../tables/bonds.js';
import { english, englishGarden } from './english.js';
import { flemish, flemishGarden } from './flemish.js';
import type { HeaderBond } from './headerBond.js';

/** Every bond of stretchers and headers, by its id; running bonds follow from how far they step (`tables/bonds.ts`). */
const HEADER_BONDS: Partial<Record<BondId, HeaderBond>> = {
  english,
  'english-garden': englishGarden,
  flemish,
  'flemish-garden': flemishGarden,
};

/** The header bond of that id; null for a running one. */
export const headerBondOf = (id: BondId): HeaderBond | null => HEADER_BONDS[id] ?? null;
