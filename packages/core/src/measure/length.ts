/**
 * A stated length, exact. Counted in 24ths of a micrometre, the coarsest base in which 1/64 in, 1/3 in
 * (three brick courses in 8 in) and 1 µm are all whole numbers: 1 in = 25 400 × 24 = 609 600.
 * A kilometre is 2.4e10, far inside the integers a double holds exactly.
 */
export type Length = number & { readonly __measure: 'exact length' };

/**
 * What a worked-out number measures. A sum of plain numbers may be taken for any of these, and none of them for another, nor an
 * exact length for millimetres: what is mixed up is found where one is handed to the other.
 */
type Measured<Unit extends string> = number & { readonly __measure?: Unit };

/** A derived distance in millimetres (double). Positions in a plan; rounded only when shown or filed. */
export type Mm = Measured<'mm'>;
export type SquareMetres = Measured<'m²'>;
export type CubicMetres = Measured<'m³'>;
export type Kilograms = Measured<'kg'>;

const PER_MM = 24_000;
const PER_INCH = 609_600;

function whole(ticks: number, what: string): Length {
  if (!(Number.isFinite(ticks) && Math.abs(ticks) <= Number.MAX_SAFE_INTEGER)) {
    throw new RangeError(`${what} must be a finite length, received ${ticks}`);
  }
  return Math.round(ticks) as Length;
}

/** Millimetres to a Length, to the nearest 1/24 µm. Throws RangeError on NaN and infinities. */
export const millimetres = (n: number): Length => whole(n * PER_MM, 'millimetres');
export const metres = (n: number): Length => whole(n * PER_MM * 1000, 'metres');
/** Inches as a quotient, so that 5/12 in is exact: `inches(5, 12)`. */
export const inches = (n: number, per = 1): Length => whole((n * PER_INCH) / per, 'inches');
export const feet = (n: number): Length => whole(n * 12 * PER_INCH, 'feet');

export const toMillimetres = (l: Length): Mm => l / PER_MM;
export const toInches = (l: Length): number => l / PER_INCH;

/** From the two exact scales, so that what an inch is, is told in one place. */
export const INCH: Mm = PER_INCH / PER_MM;
export const FOOT: Mm = (12 * PER_INCH) / PER_MM;
/** One cubic foot in mm³, exact. */
export const CUBIC_FOOT_MM3 = FOOT ** 3;
export const CUBIC_METRE_MM3 = 1e9;
/** 100 ft² in mm², exact. */
export const HUNDRED_SQUARE_FEET_MM2 = 100 * FOOT ** 2;

/** Two positions closer than this are the same place: a thousandth of a millimetre. */
export const SAME_PLACE = 1e-3;
