import type { BondId } from '../../tables/bonds.js';
import type { Stated } from './line.js';

/** Real units measured before the first course: what the order said and what came are not the same. */
export interface Samples {
  length?: Stated[];
  height?: Stated[];
  width?: Stated[];
}

/** How the courses are got to the height. Absent: ease every bed, as the contract says. */
export interface Gauge {
  /** A number of whole courses, chosen. */
  courses?: number;
  /** Take the difference in this many of the lowest beds; the rest at target. */
  lowest?: number;
  /** One course sawn to what is left: its number, 1 lowest. */
  sawn?: number;
  /** One course of half-high units: its number, 1 lowest. */
  halfHigh?: number;
  /** A gauge for each stretch between fixed heights, so that all of them land. */
  meet?: true;
  /** What `meet` may use besides whole courses. */
  allow?: GaugeHelp[];
}

export type GaugeHelp = 'half-high' | 'sawn';

/** What the face will be, and up to where ground or a skirting hides it. */
export interface Face {
  finish?: 'fair' | 'rendered';
  hiddenTo?: Stated;
}

/** One unit laid otherwise than the bond would have it. */
export interface PieceChange {
  id: string;
  run: number;
  course: number;
  /** The middle of the unit, along the run as the tape reads. */
  at: Stated;
  /** How long it was when it was chosen: another unit there now is not the one that was meant. */
  length: Stated;
  /** In two with a joint between; changed about with the next one on; turned across the wall; or a sawn one turned end for end. */
  do: 'split' | 'swap' | 'turn' | 'end-for-end';
}

export type CutsAt = 'panel' | 'jamb';
export type Locked = 'gauge' | 'bond';

/** An inner leaf of another unit behind a cavity: brick outside, block inside. */
export interface Cavity {
  inner: string;
  width: Stated;
  /** Board in it; as wide as the cavity it is filled. */
  board?: Stated;
  /** Ties no further apart than this along and up. Left out: 900 by 450. */
  across?: Stated;
  up?: Stated;
}

export interface Build {
  kind: 'units';
  unit: string;
  bond: BondId;
  /** Leaves in the wall's thickness: 2 is a one-brick wall in a header bond, else two tied wythes. */
  wythes?: 1 | 2;
  /** A closer beside each return that is not half a unit, to bring half bond back. */
  closers?: boolean;
  start?: 'whole' | 'half';
  /** Which run takes the corner: each in turn, or every second run both of its corners. */
  corners?: 'in-turn' | 'in-pairs';
  bed?: Stated;
  head?: Stated;
  gauge?: Gauge;
  face?: Face;
  samples?: Samples;
  cavity?: Cavity;
  /** Which leaf bars and grout are in, where both could have them. Left out: the outer one, if it has cells or neither has. */
  carries?: 'outer' | 'inner';
  /** Where units are cut when a stretch does not divide. Left out: by the unit. */
  cuts?: CutsAt;
  pieces?: PieceChange[];
  /** Stages whose choice stands: nothing proposes to change it. */
  locked?: Locked[];
}

export interface OwnUnit {
  id: string;
  name?: string;
  family?: 'block' | 'brick' | 'adobe';
  nominal?: { length: Stated; height: Stated; width: Stated };
  actual: { length: Stated; height: Stated; width: Stated };
  cells?: number;
  shell?: Stated;
  web?: Stated;
  /** How much thicker both sides of a cell together are at mid height. */
  taper?: Stated;
  weight?: number;
  /** Height of the half-high unit made to go with it. */
  halfHigh?: Stated;
}
