import type { Mm, SquareMetres } from '../../measure/length.js';

/** One stone looked at in an old wall before it is stripped: what of it shows, and how far it goes in. */
export interface Sampled {
  shows: Mm;
  height: Mm;
  goesIn: Mm;
  /** Broken or rotten: it goes to the hearting. */
  sound: boolean;
}

/** What a stretch that is taken down will give back. */
export interface StockForecast {
  /** How many were looked at, how many lay along the face, and how many were not sound. */
  looked: number;
  traced: number;
  unsound: number;
  /** Face that comes back of each square metre taken down, each stone laid with its long way in. */
  share: number;
  /** Face there is to build, what the old stone gives of it, and what is to be brought. */
  face: SquareMetres;
  gives: SquareMetres;
  short: SquareMetres;
  /** Too few were looked at to go by. */
  few: boolean;
}

/** Under so many stones a sample says little: common practice. */
export const SAMPLE = 20;

/**
 * What of a face the stones of an old one build again, by a sample of them: those that lay along it show less when they are laid as they
 * should be, and those that are not sound show nothing. `face`: both faces of what is to be built, m².
 */
export function stockForecast(sample: readonly Sampled[], face: SquareMetres): StockForecast {
  const shown = sample.reduce((sum, s) => sum + s.shows * s.height, 0);
  const will = sample.reduce((sum, s) => sum + (s.sound ? Math.min(s.shows, s.goesIn) * s.height : 0), 0);
  const share = shown > 0 ? will / shown : 0;
  const gives = Math.min(face, face * share);
  return {
    looked: sample.length,
    traced: sample.filter((s) => s.shows > s.goesIn).length,
    unsound: sample.filter((s) => !s.sound).length,
    share,
    face,
    gives,
    short: face - gives,
    few: sample.length < SAMPLE,
  };
}
