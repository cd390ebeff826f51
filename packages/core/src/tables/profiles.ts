import type { Said } from '../messages/message.js';
import { inches, millimetres, type Length } from '../measure/length.js';
import { GROUT_FACTOR, GROUT_FACTOR_SOURCE } from './grout.js';
import type { UnitShape } from './units.js';
import { TABLE } from './messages.js';

export type ProfileId = 'us' | 'uk' | 'earth';

export interface Limits {
  least: Length;
  most: Length;
  source: Said;
}

/** A code profile: every rule that differs by place or school, each with where it comes from. */
export interface Profile {
  id: ProfileId;
  name: Said;
  lengths: 'nominal' | 'actual';
  joint: Length;
  bed: Limits;
  firstBed: Limits;
  /** Beds that a finish, the ground or a skirting will hide. */
  hiddenBed: Limits;
  /** The largest change from one bed to the next that the eye passes over, and near eye level. */
  change: { most: Length; atEye: Length; source: Said };
  head: Limits;
  /** Shortest piece that is not a sliver. */
  leastPiece: (unit: UnitShape) => Length;
  leastPieceSource: Said;
  /** Least lap between perps of neighbouring courses. */
  leastLap: (unit: UnitShape) => Length;
  leastLapSource: Said;
  bedding: (unit: UnitShape) => 'face-shell' | 'full';
  beddingSource: Said;
  breakage: (unit: UnitShape) => number;
  breakageSource: Said;
  /** Mortar to mix: geometric × factor, or a rate by face area where joints say nothing. */
  mortar: (unit: UnitShape) => { factor: number } | { rateM3PerM2: number };
  mortarSource: (unit: UnitShape) => Said;
  /** Grout to order over what the cells hold. */
  grout: { factor: number; source: Said };
  pack: { name: Said; m3: number; source: Said };
  /** Premixed concrete by the bag. */
  concretePack: { name: Said; m3: number; source: Said };
  /** A lean past this, 1 in so many, is for an engineer before anything is built on it. */
  leanLimit: { oneIn: number; source: Said };
}

const half = (unit: UnitShape, joint: Length): Length => ((unit.length - joint) / 2) as Length;
const greater = (a: number, b: number): Length => Math.max(Math.round(a), b) as Length;
const CUBIC_FOOT = 0.028316846592;
const quarterUnit = (u: UnitShape): Length => Math.round(u.length / 4) as Length;

/** A mason's eye standing at the wall, and how far above and below it small changes show: common practice. */
export const EYE_LEVEL = millimetres(1500);
export const EYE_REACH = millimetres(450);

const us: Profile = {
  id: 'us',
  name: TABLE['united-states'](),
  lengths: 'nominal',
  joint: inches(3, 8),
  bed: { least: inches(1, 4), most: inches(1, 2), source: TABLE['tms-602-3-3']() },
  firstBed: { least: inches(1, 4), most: inches(3, 4), source: TABLE['tms-602-3-3-b']() },
  hiddenBed: { least: inches(3, 16), most: inches(3, 4), source: TABLE['common-practice']() },
  change: { most: inches(1, 8), atEye: inches(1, 16), source: TABLE['common-practice']() },
  head: {
    least: inches(1, 8),
    most: inches(3, 4),
    source: TABLE['tms-602-3-3-f'](),
  },
  leastPiece: (u) => (u.family === 'block' ? inches(4) : half(u, inches(3, 8))),
  leastPieceSource: TABLE['common-practice-brick-a'](),
  leastLap: quarterUnit,
  leastLapSource: TABLE['tms-402-running-bond'](),
  bedding: (u) => (u.shells ? 'face-shell' : 'full'),
  beddingSource: TABLE['tms-602-3-3-b-hollow'](),
  breakage: (u) => (u.family === 'block' ? 0.03 : 0.05),
  breakageSource: TABLE['common-practice-block-3'](),
  mortar: (u) => (u.shells ? { rateM3PerM2: (8.5 * CUBIC_FOOT) / (100 * 0.09290304) } : { factor: 1.15 }),
  mortarSource: (u) => (u.shells ? TABLE['site-rate']() : TABLE['geometric-bia']()),
  grout: { factor: GROUT_FACTOR, source: GROUT_FACTOR_SOURCE },
  pack: {
    name: TABLE['80-lb-bag'](),
    m3: 0.67 * CUBIC_FOOT,
    source: TABLE['premixed-mortar-about-0'](),
  },
  concretePack: {
    name: TABLE['80-lb-bag-of'](),
    m3: 0.6 * CUBIC_FOOT,
    source: TABLE['printed-on-the-bag'](),
  },
  leanLimit: { oneIn: 100, source: TABLE['common-practice']() },
};

const uk: Profile = {
  id: 'uk',
  name: TABLE['united-kingdom-and-ireland'](),
  lengths: 'actual',
  joint: millimetres(10),
  bed: { least: millimetres(6), most: millimetres(15), source: TABLE['en-1996-1-1']() },
  firstBed: { least: millimetres(6), most: millimetres(25), source: TABLE['common-practice']() },
  hiddenBed: { least: millimetres(5), most: millimetres(20), source: TABLE['common-practice']() },
  change: { most: millimetres(3), atEye: millimetres(1.5), source: TABLE['common-practice']() },
  head: { least: millimetres(6), most: millimetres(15), source: TABLE['en-1996-1-1']() },
  leastPiece: (u) => (u.family === 'block' ? millimetres(100) : half(u, millimetres(10))),
  leastPieceSource: TABLE['common-practice-brick-a-half'](),
  leastLap: (u) => greater(0.4 * u.height, millimetres(40)),
  leastLapSource: TABLE['en-1996-1-1-8'](),
  bedding: () => 'full',
  beddingSource: TABLE['common-practice'](),
  breakage: (u) => (u.family === 'block' ? 0.03 : 0.05),
  breakageSource: TABLE['common-practice-block-3'](),
  mortar: (u) => ({ factor: u.family === 'block' ? 1.2 : 1.15 }),
  mortarSource: (u) => TABLE['geometric-times']({ factor: u.family === 'block' ? 1.2 : 1.15 }),
  grout: { factor: GROUT_FACTOR, source: GROUT_FACTOR_SOURCE },
  pack: {
    name: TABLE['25-kg-bag'](),
    m3: 0.0135,
    source: TABLE['25-kg-of-dry'](),
  },
  concretePack: {
    name: TABLE['25-kg-bag-of'](),
    m3: 0.012,
    source: TABLE['25-kg-makes-11'](),
  },
  leanLimit: { oneIn: 100, source: TABLE['common-practice']() },
};

const earth: Profile = {
  ...us,
  id: 'earth',
  name: TABLE['earth-adobe'](),
  lengths: 'actual',
  joint: inches(1),
  bed: { least: inches(1, 2), most: inches(1), source: TABLE['earth-code-joint-about']() },
  firstBed: { least: inches(1, 2), most: inches(3, 2), source: TABLE['common-practice']() },
  hiddenBed: { least: inches(1, 2), most: inches(3, 2), source: TABLE['common-practice']() },
  change: { most: inches(1, 4), atEye: inches(1, 8), source: TABLE['common-practice']() },
  head: { least: inches(1, 2), most: inches(1), source: TABLE['earth-code-joint-about']() },
  leastPiece: (u) => half(u, inches(1)),
  leastPieceSource: TABLE['common-practice-a-half'](),
  leastLap: (u) => greater(quarterUnit(u), inches(4)),
  leastLapSource: TABLE['common-practice-a-quarter'](),
  bedding: () => 'full',
  beddingSource: TABLE['full-slush-joints-earth'](),
  breakage: () => 0.05,
  breakageSource: TABLE['common-practice-5'](),
  mortar: () => ({ factor: 1.25 }),
  mortarSource: () => TABLE['geometric-times']({ factor: 1.25 }),
  pack: { name: TABLE['barrow-of-0-08'](), m3: 0.08, source: TABLE['common-practice']() },
};

export const PROFILES: Record<ProfileId, Profile> = { us, uk, earth };
