/** One figure from the world outside against what the program works out. */
export interface PublishedCheck {
  /** Its row in the figures, or a name of our own. */
  id: string;
  what: string;
  wanted: number;
  /** Absolute, half the last printed digit unless said; 0 means exact to float noise. */
  within: number;
  unit: string;
  source: string;
  got: () => number;
}

const FLOAT_NOISE = 1e-6;
export const tolerance = (c: PublishedCheck): number =>
  Math.max(c.within, Math.abs(c.wanted) * FLOAT_NOISE * 0.1, FLOAT_NOISE);

/** A figure that is exact to float noise. */
export const exactly = (
  id: string,
  what: string,
  wanted: number,
  unit: string,
  source: string,
  got: () => number,
): PublishedCheck => ({ id, what, wanted, within: 0, unit, source, got });

/** A figure within so much of what was printed. */
export const near = (
  id: string,
  what: string,
  wanted: number,
  within: number,
  unit: string,
  source: string,
  got: () => number,
): PublishedCheck => ({ id, what, wanted, within, unit, source, got });
