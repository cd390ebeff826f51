import type { Show } from '../measure/format.js';
import type { ProfileId } from '../tables/profiles.js';
import type { BondWeights, GaugeWeights } from '../tables/weights.js';
import type { Build, OwnUnit } from './types/build.js';
import type { Assumed, Footing, OldWall, PouredSpot, Site } from './types/ground.js';
import type { LineItem, Stated } from './types/line.js';
import type { FixedHeight, Opening } from './types/openings.js';
import type { FootingStep, MovementJoint, Pier, Top, Vents } from './types/outline.js';
import type { Grout, Held, Retains, Steel } from './types/steel.js';

export * from './types/line.js';
export * from './types/openings.js';
export * from './types/build.js';
export * from './types/steel.js';
export * from './types/ground.js';
export * from './types/outline.js';

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
