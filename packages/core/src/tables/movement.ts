import type { Said } from '../messages/message.js';
import { feet, inches, metres, millimetres, toMillimetres, type Length } from '../measure/length.js';
import type { ProfileId } from './profiles.js';
import type { UnitFamily } from './units.js';
import { TABLE } from './messages.js';

/** How far apart movement joints may stand in a wall of one material under one code. */
export interface MovementRule {
  /** Joint to joint along a straight wall, mm, from its height and the openings in the run. */
  every: (wall: { height: number; openings: number; freeStanding: boolean }) => number;
  /** From a corner, as a part of that spacing, where the wall round the corner is as long. */
  fromCorner: (every: number) => number;
  /** It asks for a joint beside every opening that no steel holds together. */
  besideOpenings?: true;
  /** Width of the joint where nobody states one, mm. */
  width: number;
  /** What the rule is called, by which it is said. */
  id: 'us-block' | 'us-clay' | 'uk-block' | 'uk-clay';
  source: Said;
}

const mm = (l: Length): number => toMillimetres(l);
const half = (every: number): number => every / 2;

const US_BLOCK: MovementRule = {
  every: ({ height }) => Math.min(1.5 * height, mm(feet(25))),
  fromCorner: half,
  besideOpenings: true,
  width: mm(inches(3, 8)),
  id: 'us-block',
  source: TABLE['ncma-tek-10-2c'](),
};

const US_CLAY: MovementRule = {
  every: ({ openings }) => mm(feet(openings > 1 ? 20 : 25)),
  fromCorner: () => mm(feet(10)),
  width: mm(inches(1, 2)),
  id: 'us-clay',
  source: TABLE['bia-technical-note-18a'](),
};

const UK_BLOCK: MovementRule = {
  every: () => mm(metres(6)),
  fromCorner: half,
  width: mm(millimetres(10)),
  id: 'uk-block',
  source: TABLE['pd-6697-and-en'](),
};

const UK_CLAY: MovementRule = {
  every: ({ freeStanding }) => mm(metres(freeStanding ? 6 : 12)),
  fromCorner: half,
  width: mm(millimetres(16)),
  id: 'uk-clay',
  source: TABLE['pd-6697-and-en-1996'](),
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
