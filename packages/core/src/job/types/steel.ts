import type { Stated } from './line.js';

/** One continuous cell treated otherwise than the spacing has it, by hand. */
export interface CellChange {
  id: string;
  run: number;
  /** Its middle, along the run as the tape reads. */
  at: Stated;
  bar?: boolean;
  grout?: boolean;
}

/** A bar left up from the footing, where it was found to stand. */
export interface Starter {
  id: string;
  run: number;
  at: Stated;
  /** Off the middle of the wall's thickness, outward positive. */
  off?: Stated;
}

export type BeamCourse = number | 'top' | 'over-openings';

export interface Steel {
  vertical?: {
    bar: string;
    every: Stated;
    place?: string;
    /** The bar's centre from the outside face, as the drawing says. */
    from?: Stated;
    /** A hook at its top, turned into the beam there. */
    hook?: true;
  };
  beams?: { course: BeamCourse; bar: string; count: number }[];
  footing?: { bar: string; count: number };
  lap?: { rule: '48d' | '40d' | 'computed' | 'drawing'; length?: Stated; masonry?: number };
  /** Reinforcement laid in the bed over every so many courses. */
  bed?: { every: number; kind: 'ladder' | 'wire' | 'bars'; bar?: string };
  /** Straps turned round every corner, every so many courses. */
  straps?: { every: number };
  /** Starters are drilled into concrete that is there already, instead of cast in. */
  drilled?: true;
  cells?: CellChange[];
  starters?: Starter[];
  /** Lengths that bars come in. */
  stock?: Stated[];
}

export interface Grout {
  fill: 'none' | 'steel' | 'all' | { every: number };
  /** Filled solid up to this height above the base, as below grade. */
  below?: Stated;
  /** The cell each side of every opening is filled, bar or none. */
  jambs?: true;
  aggregate?: 'fine' | 'coarse';
  /** The most that is poured at once. */
  pour?: Stated;
  /** The hose a pump has to be primed through. */
  hose?: { length: Stated; bore: Stated };
}

/** How a wall is held, which says where its steel belongs: asked, never inferred. */
export type Held = 'soil' | 'floors' | 'free-standing' | 'drawing';

/** Ground the wall holds back: asked, for what is behind a wall cannot be seen from its face. */
export interface Retains {
  /** From the lower ground to the top of what is held, mm. */
  height: Stated;
  /** Which side the ground is on. Left out: outside. */
  side?: 'outside' | 'inside';
  /** Anything that makes it more than level, dry, empty ground. */
  surcharge?: true;
  slope?: true;
  water?: true;
  building?: true;
  /** Steps back so much a course. */
  stepBack?: Stated;
  /** How the back is drained and kept dry. */
  weeps?: 'open-perps' | 'pipes';
  weepsEvery?: Stated;
  stone?: Stated;
}
