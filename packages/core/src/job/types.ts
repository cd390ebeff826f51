import type { Show } from '../measure/format.js';
import type { ProfileId } from '../tables/profiles.js';
import type { BondWeights, GaugeWeights } from '../tables/weights.js';

/** A length as stated: millimetres, or text that carries its unit. Kept and given back verbatim. */
export type Stated = number | string;

export interface RunItem {
  run: Stated;
  id?: string;
  name?: string;
}
export interface TurnItem {
  turn: number;
}
export interface ArcItem {
  arc: Stated;
  sweep: number;
  id?: string;
  name?: string;
}
export type LineItem = RunItem | TurnItem | ArcItem;

export interface Opening {
  id: string;
  name?: string;
  /** Which run of the line, counted from 0 over runs only. */
  run: number;
  at: Stated;
  width: Stated;
  sill: Stated;
  head: Stated;
  /** `wish`: the frame is not bought, so it may move to suit. Left out: it must stand where it is stated. */
  keep?: Keep;
  /** How far its sill and head may stand off and still be taken. Left out: none. */
  tolerance?: Stated;
  /** What carries its face: bricks on end with equal joints. Left out: the courses go on over it. */
  over?: 'soldiers';
  /** The bond is to read the same both ways from its middle. */
  symmetric?: true;
}

export type Keep = 'must' | 'wish';

/** A height some course must, or should, land on: a bearing, a floor, a plate, a dpc, an old course line. */
export interface FixedHeight {
  id: string;
  name?: string;
  at: Stated;
  keep?: Keep;
  tolerance?: Stated;
}

/** Real units measured before the first course: what the order said and what came are not the same. */
export interface Samples {
  length?: Stated[];
  height?: Stated[];
  width?: Stated[];
}

export type BondId =
  'half' | 'third' | 'quarter' | 'stack' | 'english' | 'english-garden' | 'flemish' | 'flemish-garden';

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
  /** Where units are cut when a stretch does not divide. Left out: by the unit. */
  cuts?: CutsAt;
  pieces?: PieceChange[];
  /** Stages whose choice stands: nothing proposes to change it. */
  locked?: Locked[];
}

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

export interface Footing {
  width: Stated;
  depth: Stated;
  past?: Stated;
  trench?: Stated;
  from?: 'bags' | 'ready-mix';
}

export interface PouredSpot {
  run: number;
  at: Stated;
  level: Stated;
  /** Shot with the simulated level, for practice. */
  simulated?: true;
}

export interface OldWall {
  height?: Stated;
  courses?: number;
  gap?: Stated;
  over?: Stated;
  wallHeight?: Stated;
  fade?: number;
}

export interface SitePoint {
  id: string;
  name: string;
  /** `ground` and `support` rule heights; a `mark` is only read. */
  is: 'ground' | 'support' | 'mark';
  level: Stated;
  /** What the staff read on it. */
  reading?: Stated;
}

export interface Site {
  datum?: string;
  clearance?: Stated;
  cover?: Stated;
  slab?: Stated;
  instrument?: Stated;
  layers?: { stated?: Stated; list: { name: string; thickness: Stated }[] };
  points?: SitePoint[];
}

/** Something taken for granted because nobody could say, kept on the job until somebody confirms it. */
export interface Assumed {
  id: string;
  says: string;
  confirmed?: string;
}

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

export type MeetHow = 'tied' | 'bonded' | 'toothed';

export interface Wall {
  id: string;
  name: string;
  line: LineItem[];
  height: Stated;
  lengths?: 'nominal' | 'actual';
  build: Build;
  openings?: Opening[];
  heights?: FixedHeight[];
  /** The wall's base above the job's datum. */
  base?: Stated;
  footing?: Footing;
  poured?: PouredSpot[];
  square?: { sides: Stated[]; diagonals: Stated[] };
  old?: OldWall;
  /** Its last run ends on another wall, with its near side there; bonded or toothed it goes in on these courses. */
  meets?: { wall: string; run: number; at: Stated; how?: MeetHow; on?: 'odd' | 'even' };
  tops?: Top[];
  steps?: FootingStep[];
  vents?: Vents[];
  piers?: Pier[];
  /** Where its line begins on the site, and which way it sets off: degrees left of the site's x. */
  place?: { x: Stated; y: Stated; heading?: number };
  joints?: MovementJoint[];
  /** How far apart movement joints may stand, where the drawing says otherwise than the profile's rule. */
  jointEvery?: Stated;
  held?: Held;
  retains?: Retains;
  steel?: Steel;
  grout?: Grout;
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

export interface JobDocument {
  format: 'even-tally/job';
  version: 1;
  name: string;
  show: Show;
  profile: ProfileId;
  units?: OwnUnit[];
  site?: Site;
  assumed?: Assumed[];
  /** What a choice costs, where this job weighs it otherwise. */
  weights?: { bond?: Partial<BondWeights>; gauge?: Partial<GaugeWeights> };
  walls: Wall[];
}

declare const checked: unique symbol;
/** A job document that has passed `check`. The core trusts it. */
export type Job = JobDocument & { readonly [checked]: true };

export const isRun = (item: LineItem): item is RunItem => 'run' in item;
export const isTurn = (item: LineItem): item is TurnItem => 'turn' in item;
export const isArc = (item: LineItem): item is ArcItem => 'arc' in item;
