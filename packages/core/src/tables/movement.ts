import type { Said } from '../messages/message.js';
import { feet, inches, metres, millimetres, toMillimetres, type Length } from '../measure/length.js';
import type { ProfileId } from './profiles.js';
import type { UnitFamily } from './units.js';
import { TABLE } from './messages.js';

/** What a rule for movement joints asks of a wall. */
export interface Jointed {
  /** mm. */
  height: number;
  /** Openings in the run. */
  openings: number;
  held: 'free-standing' | 'soil' | 'floors' | null;
  /** Ground lies against it. */
  retains: boolean;
  /** Bars go up it and along it. */
  bothWays: boolean;
  solid: boolean;
  /** Steel along it, as a part of its cross-section. */
  along: number;
}

/** Joint to joint along a straight wall, mm, and what that rule is called, by which it is said. */
export interface Spacing {
  every: number;
  id: RuleId;
  source: Said;
}

export type RuleId =
  | 'us-block'
  | 'us-block-low'
  | 'us-block-retaining'
  | 'us-block-reinforced'
  | 'us-clay'
  | 'uk-block'
  | 'uk-clay'
  | 'uk-clay-free';

/** How far apart movement joints may stand in a wall of one material under one code. */
export interface MovementRule {
  /** Null where the rule asks for none. */
  spacing: (wall: Jointed) => Spacing | null;
  /** From a corner, as a part of that spacing, where the wall round the corner is as long. */
  fromCorner: (every: number) => number;
  /** No joint stands nearer to a corner than this, mm: 600 (common practice); clay in the US by its own rule, a unit. */
  clearOfCorner: number;
  /** It asks for a joint beside every opening that no steel holds together. */
  besideOpenings?: true;
  /** Width of the joint where nobody states one, mm. */
  width: number;
}

const mm = (l: Length): number => toMillimetres(l);
const half = (every: number): number => every / 2;
const CLEAR = mm(millimetres(600));

/** The table's lowest wall, mm: under it the ratio would part a kerb every yard. */
const LOWEST_ROW = mm(feet(8));
/** With so much steel along it a solid wall needs no joints: the crack stays a hair (TEK 10-3, from memory). */
const CRACKS_STAY_HAIRS = 0.002;

/**
 * The ratio is for walls held at top and bottom. A wall that only holds ground back goes by the cap, as does one that stands free,
 * with bars both ways by 60 ft: three schools, the number always shown.
 */
function usBlock({ height, held, retains, bothWays, solid, along }: Jointed): Spacing | null {
  if (solid && along >= CRACKS_STAY_HAIRS) return null;
  if (bothWays && (solid || held === 'free-standing'))
    return { every: mm(feet(60)), id: 'us-block-reinforced', source: TABLE['reinforced-every-60-ft']() };
  const cap = mm(feet(25));
  if (retains) return { every: cap, id: 'us-block-retaining', source: TABLE['retaining-by-the-cap']() };
  return {
    every: Math.min(1.5 * Math.max(height, LOWEST_ROW), cap),
    id: height < LOWEST_ROW ? 'us-block-low' : 'us-block',
    source: TABLE['ncma-tek-10-2c'](),
  };
}

const US_BLOCK: MovementRule = {
  spacing: usBlock,
  fromCorner: half,
  clearOfCorner: CLEAR,
  besideOpenings: true,
  width: mm(inches(3, 8)),
};

const US_CLAY: MovementRule = {
  spacing: ({ openings }) => ({
    every: mm(feet(openings > 1 ? 20 : 25)),
    id: 'us-clay',
    source: TABLE['bia-technical-note-18a'](),
  }),
  fromCorner: () => mm(feet(10)),
  clearOfCorner: mm(inches(8)),
  width: mm(inches(1, 2)),
};

const UK_BLOCK: MovementRule = {
  spacing: () => ({ every: mm(metres(6)), id: 'uk-block', source: TABLE['pd-6697-and-en']() }),
  fromCorner: half,
  clearOfCorner: CLEAR,
  width: mm(millimetres(10)),
};

const UK_CLAY: MovementRule = {
  spacing: ({ held }) => ({
    every: mm(metres(held === 'free-standing' ? 6 : 12)),
    id: held === 'free-standing' ? 'uk-clay-free' : 'uk-clay',
    source: TABLE['pd-6697-and-en-1996'](),
  }),
  fromCorner: half,
  clearOfCorner: CLEAR,
  width: mm(millimetres(16)),
};

const RULES: Record<ProfileId, Partial<Record<UnitFamily, MovementRule>>> = {
  us: { block: US_BLOCK, brick: US_CLAY },
  uk: { block: UK_BLOCK, brick: UK_CLAY },
  earth: {},
};

/** The rule for a material, or null where none is known here: earth walls move with their frames and roofs. */
export const movementRule = (profile: ProfileId, family: UnitFamily): MovementRule | null =>
  RULES[profile][family] ?? null;

/** Width taken where neither the wall nor a rule gives one, mm: common practice. */
export const PLAIN_JOINT_WIDTH = 10;
