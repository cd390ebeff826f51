import type { CubicMetres } from '../../measure/length.js';

/** Minutes from midnight; what lies in the small hours before is below nought. */
export type Minutes = number;

export interface Spell {
  from: Minutes;
  to: Minutes;
}

/** A day's mud as it is worked with: the contract's keys in minutes and m³. */
export interface Day extends Spell {
  breaks: readonly Spell[];
  /** What the wall takes: those that overlap add up; none of it in a break or out of hours. */
  demand: readonly (Spell & { perHour: CubicMetres })[];
  /** The most one batch may be, and what sizes go by. */
  batch: CubicMetres;
  step: CubicMetres;
  /** From the water to the first use, and so long a mixer is taken. */
  before: Minutes;
  /** Working life from the water on, by when the water went in, in order: before the first as at the first. */
  lives: readonly { at: Minutes; life: Minutes }[];
  mixers: number;
}

/** A batch in its place in the day. */
export interface PlacedBatch {
  water: Minutes;
  first: Minutes;
  last: Minutes;
  expires: Minutes;
  made: CubicMetres;
  used: CubicMetres;
  left: CubicMetres;
}

export interface PlacedDay {
  batches: PlacedBatch[];
  made: CubicMetres;
  used: CubicMetres;
  left: CubicMetres;
  /** Spells in which the wall wants mud and there is none to be used. */
  waits: Spell[];
}
