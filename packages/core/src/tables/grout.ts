import { FOOT, INCH } from '../measure/length.js';
import { TABLE } from './messages.js';

export type Aggregate = 'fine' | 'coarse';

/** The least grout space for a pour this high, mm: between wythes, and a cell's two clear dimensions. */
export interface GroutSpace {
  aggregate: Aggregate;
  pour: number;
  between: number;
  cell: readonly [number, number];
}

const row = (aggregate: Aggregate, feet: number, between: number, a: number, b: number): GroutSpace => ({
  aggregate,
  pour: feet * FOOT,
  between: between * INCH,
  cell: [a * INCH, b * INCH],
});

/** TMS 602 Table 6 (2016; Table 7 before), from memory. */
export const GROUT_SPACES: readonly GroutSpace[] = [
  row('fine', 1, 0.75, 1.5, 2),
  row('fine', 5.33, 2, 2, 3),
  row('fine', 12.67, 2.5, 2.5, 3),
  row('fine', 24, 3, 3, 3),
  row('coarse', 1, 1.5, 1.5, 3),
  row('coarse', 5.33, 2, 2.5, 3),
  row('coarse', 12.67, 2.5, 3, 3),
  row('coarse', 24, 3, 3, 4),
];
export const GROUT_SPACE_SOURCE = TABLE['tms-602-table-6']();

/** The row that rules a pour so high, or null where it is higher than any. */
export const spaceFor = (aggregate: Aggregate, pour: number): GroutSpace | null =>
  GROUT_SPACES.find((s) => s.aggregate === aggregate && pour <= s.pour + 0.02 * FOOT) ?? null;

/** TMS 602 Art. 3.5 D, from memory: a lift, and a lift where the wall has cured 4 hours and the grout slumps 10 to 11 in. */
export const LIFT = 64 * INCH;
export const HIGH_LIFT = 152 * INCH;
export const LIFT_SOURCE = TABLE['tms-602-art-3']();
/** A pour higher than this wants cleanouts in its bottom course (TMS 602 Art. 3.2 F, from memory). */
export const CLEANOUT_OVER = 64 * INCH;
export const CLEANOUT_LEAST = 3 * INCH;
/** Cleanouts where every cell is filled, no further apart than this. */
export const CLEANOUT_EVERY = 32 * INCH;
/** Grout stops this far under a bed joint between two pours, for a key (TMS 602 Art. 3.5 F, from memory). */
export const GROUT_KEY = 1.5 * INCH;

/** Grout to order over what the cells hold. */
export const GROUT_FACTOR = 1.1;
export const GROUT_FACTOR_SOURCE = TABLE['handbook-3-to-10']();
