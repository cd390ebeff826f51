import type { Stated } from './line.js';

/** A part of a run's top that is not level with the rest: heights above the wall's base. */
export interface Top {
  id: string;
  run: number;
  kind: 'raked' | 'stepped' | 'scallop' | 'ramp';
  from: Stated;
  to: Stated;
  /** Where it begins and where it ends. */
  left: Stated;
  right: Stated;
  /** Courses in each step of a stepped top. */
  step?: number;
  /** How far a scallop hangs below the line between its ends. */
  dip?: Stated;
}

/** A length of footing whose top stands whole courses above the wall's base. */
export interface FootingStep {
  id: string;
  run: number;
  from: Stated;
  to: Stated;
  up: number;
}

/** Air bricks or vents let into a course, on whole units. */
export interface Vents {
  id: string;
  run: number;
  course: number;
  what: 'air-brick' | 'vent';
  every: Stated;
}

/** A pier bonded into the wall, one leaf proud of it. */
export interface Pier {
  id: string;
  name?: string;
  run: number;
  at: Stated;
  width: Stated;
  side?: 'inside' | 'outside';
}

/** A joint the wall may open and close at, from footing to top: both sides are laid as ends of their own. */
export interface MovementJoint {
  id: string;
  run: number;
  /** Its middle, along the run as the tape reads. */
  at: Stated;
  width?: Stated;
  /** What beams do at it. Left out: they stop, and dowels greased at one end go across. */
  beams?: 'dowelled' | 'cut';
  /** Proposed and refused, for this reason: nothing is laid to it, and it is not proposed again. */
  refused?: string;
}
