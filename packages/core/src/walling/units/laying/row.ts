import type { Mm } from '../../../measure/length.js';
import type { Kind } from './kinds.js';

/** A squint turns an outside corner, an inside squint one that goes in: neither serves as the other. */
export type Special = 'outside' | 'inside';

export interface Piece {
  kind: Kind;
  from: Mm;
  to: Mm;
  /** What it was sawn from, when it was. */
  cutFrom: Kind | null;
  /** The opening whose jamb made it a cut, by place in the wall's list; −1 otherwise. */
  opening: number;
  /** The special of a corner that is not square, outside or inside: cut or bought at its angle. */
  special?: Special;
  /** Height of a piece over a sill or under a head that is off gauge; null for the whole course. */
  band: { from: number; to: number } | null;
  /** A sawn piece turned end for end from how the bond lays it: its sawn end is where its own was. */
  turned?: true;
  /** Heights of its top at its two ends, where a top that is not level cuts it. */
  rake?: { left: number; right: number };
  /** It is not a unit of the wall's own kind, or stands on end. */
  fitting?: Fitting;
}

/**
 * A piece. Every row's are made here, so that they are all of one make: a wall's thousands are gone through many times
 * at each edit, and the engine reads them quickest so.
 */
export const pieceAt = (
  kind: Kind,
  from: number,
  to: number,
  cutFrom: Kind | null,
  opening = -1,
  band: Piece['band'] = null,
): Piece => ({ kind, from, to, cutFrom, opening, band });

export type Fitting = 'air-brick' | 'vent' | 'soldier';

/** A joint between two pieces of a row: its middle and its width, mm. */
export interface Perp {
  at: Mm;
  width: Mm;
}

/** Pieces sawn in height, or on end, from jamb to jamb of an opening: their joints are no perps of the bond. */
export interface RowStrip {
  from: Mm;
  to: Mm;
  /** How wide their joints are together, those at both ends with them, mm. */
  joints: number;
  /** The bed they stand on, and how high they stand with it, mm. */
  bed: Mm;
  high: number;
  /** Of its length, what the row's beds count already, mm. */
  counted: number;
}

/** The row of each course of a run, course 1 first, those alike one object, and how many courses each serves. */
export interface Rows {
  rows: Row[];
  uses: Map<Row, number>;
}

export interface Row {
  pieces: Piece[];
  /** The end of another run's unit that would show at its start or end is not there: footing, or above the top. */
  bareStart?: true;
  bareEnd?: true;
  /** The run round the corner does not stand this high: this run's own units go on to the corner and end there. */
  aloneStart?: true;
  aloneEnd?: true;
  /** What stands in it over heads and under sills that is not of the course's own height. */
  strips?: RowStrip[];
  /** Lengths that no piece fills: too short for one and its joint, too wide for a joint. */
  left?: { from: number; to: number }[];
  /** Ends of other walls' units that show in this face: walls bonded into it. */
  shown?: { from: number; to: number }[];
  /** Openings this is the first course over, by place in the wall's list. */
  bridges?: number[];
  perps: Perp[];
  /** Along-wall stretches that carry a bed, shown ends of other runs left out. */
  bedded: { from: number; to: number }[];
}
