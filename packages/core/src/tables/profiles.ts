import { inches, millimetres, type Length } from '../measure/length.js';
import type { UnitShape } from './units.js';

export type ProfileId = 'us' | 'uk' | 'earth';

export interface Limits {
  least: Length;
  most: Length;
  source: string;
}

/** A code profile: every rule that differs by place or school, each with where it comes from. */
export interface Profile {
  id: ProfileId;
  name: string;
  lengths: 'nominal' | 'actual';
  joint: Length;
  bed: Limits;
  firstBed: Limits;
  /** Beds that a finish, the ground or a skirting will hide. */
  hiddenBed: Limits;
  /** The largest change from one bed to the next that the eye passes over, and near eye level. */
  change: { most: Length; atEye: Length; source: string };
  head: Limits;
  /** Shortest piece that is not a sliver. */
  leastPiece: (unit: UnitShape) => Length;
  leastPieceSource: string;
  /** Least lap between perps of neighbouring courses. */
  leastLap: (unit: UnitShape) => Length;
  leastLapSource: string;
  bedding: (unit: UnitShape) => 'face-shell' | 'full';
  beddingSource: string;
  breakage: (unit: UnitShape) => number;
  breakageSource: string;
  /** Mortar to mix: geometric × factor, or a rate by face area where joints say nothing. */
  mortar: (unit: UnitShape) => { factor: number } | { rateM3PerM2: number };
  mortarSource: (unit: UnitShape) => string;
  pack: { name: string; m3: number; source: string };
  /** Premixed concrete by the bag. */
  concretePack: { name: string; m3: number; source: string };
  /** A lean past this, 1 in so many, is for an engineer before anything is built on it. */
  leanLimit: { oneIn: number; source: string };
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
  name: 'United States',
  lengths: 'nominal',
  joint: inches(3, 8),
  bed: { least: inches(1, 4), most: inches(1, 2), source: 'TMS 602 3.3 B: 3/8 in ± 1/8 in, from memory' },
  firstBed: { least: inches(1, 4), most: inches(3, 4), source: 'TMS 602 3.3 B; IRC R606.3, from memory' },
  hiddenBed: { least: inches(3, 16), most: inches(3, 4), source: 'common practice' },
  change: { most: inches(1, 8), atEye: inches(1, 16), source: 'common practice' },
  head: {
    least: inches(1, 8),
    most: inches(3, 4),
    source: 'TMS 602 3.3 F: 3/8 in − 1/4 + 3/8 in, from memory',
  },
  leastPiece: (u) => (u.family === 'block' ? inches(4) : half(u, inches(3, 8))),
  leastPieceSource: 'common practice: brick a half, block 4 in',
  leastLap: quarterUnit,
  leastLapSource: 'TMS 402: running bond laps at least a quarter unit, from memory',
  bedding: (u) => (u.shells ? 'face-shell' : 'full'),
  beddingSource: 'TMS 602 3.3 B: hollow units on face shells, solid units full, from memory',
  breakage: (u) => (u.family === 'block' ? 0.03 : 0.05),
  breakageSource: 'common practice: block 3 %, brick 5 %',
  mortar: (u) => (u.shells ? { rateM3PerM2: (8.5 * CUBIC_FOOT) / (100 * 0.09290304) } : { factor: 1.15 }),
  mortarSource: (u) =>
    u.shells
      ? 'site rate 8.5 ft³ per 100 ft² of wall (published handbook table, from memory): joint geometry alone is 3 to 8 times too little for hollow block'
      : 'geometric × 1.15; BIA Technical Note 10 gives 10 to 25 % waste, from memory',
  pack: {
    name: '80 lb bag',
    m3: 0.67 * CUBIC_FOOT,
    source: 'premixed mortar, about 0.67 ft³ a bag: common practice',
  },
  concretePack: {
    name: '80 lb bag of concrete',
    m3: 0.6 * CUBIC_FOOT,
    source: 'printed on the bag: 0.60 ft³, from memory',
  },
  leanLimit: { oneIn: 100, source: 'common practice' },
};

const uk: Profile = {
  id: 'uk',
  name: 'United Kingdom and Ireland',
  lengths: 'actual',
  joint: millimetres(10),
  bed: { least: millimetres(6), most: millimetres(15), source: 'EN 1996-1-1 8.1.5, from memory' },
  firstBed: { least: millimetres(6), most: millimetres(25), source: 'common practice' },
  hiddenBed: { least: millimetres(5), most: millimetres(20), source: 'common practice' },
  change: { most: millimetres(3), atEye: millimetres(1.5), source: 'common practice' },
  head: { least: millimetres(6), most: millimetres(15), source: 'EN 1996-1-1 8.1.5, from memory' },
  leastPiece: (u) => (u.family === 'block' ? millimetres(100) : half(u, millimetres(10))),
  leastPieceSource: 'common practice: brick a half, block 100 mm',
  leastLap: (u) => greater(0.4 * u.height, millimetres(40)),
  leastLapSource: 'EN 1996-1-1 8.1.4.1: the greater of 0.4 × height and 40 mm, from memory',
  bedding: () => 'full',
  beddingSource: 'common practice',
  breakage: (u) => (u.family === 'block' ? 0.03 : 0.05),
  breakageSource: 'common practice: block 3 %, brick 5 %',
  mortar: (u) => ({ factor: u.family === 'block' ? 1.2 : 1.15 }),
  mortarSource: (u) => `geometric × ${u.family === 'block' ? '1.20' : '1.15'}: common practice`,
  pack: {
    name: '25 kg bag',
    m3: 0.0135,
    source: '25 kg of dry mortar makes about 13 to 14 litres: common practice',
  },
  concretePack: {
    name: '25 kg bag of concrete',
    m3: 0.012,
    source: '25 kg makes 11.5 to 12.5 litres: common practice',
  },
  leanLimit: { oneIn: 100, source: 'common practice' },
};

const earth: Profile = {
  ...us,
  id: 'earth',
  name: 'Earth (adobe)',
  lengths: 'actual',
  joint: inches(1),
  bed: { least: inches(1, 2), most: inches(1), source: 'earth code, joint about 1/2 to 1 in, from memory' },
  firstBed: { least: inches(1, 2), most: inches(3, 2), source: 'common practice' },
  hiddenBed: { least: inches(1, 2), most: inches(3, 2), source: 'common practice' },
  change: { most: inches(1, 4), atEye: inches(1, 8), source: 'common practice' },
  head: { least: inches(1, 2), most: inches(1), source: 'earth code, joint about 1/2 to 1 in, from memory' },
  leastPiece: (u) => half(u, inches(1)),
  leastPieceSource: 'common practice: a half',
  leastLap: quarterUnit,
  leastLapSource: 'common practice: a quarter unit',
  bedding: () => 'full',
  beddingSource: 'full slush joints: earth code, from memory',
  breakage: () => 0.05,
  breakageSource: 'common practice: 5 %',
  mortar: () => ({ factor: 1.25 }),
  mortarSource: () => 'geometric × 1.25: common practice',
  pack: { name: 'barrow of 0.08 m³', m3: 0.08, source: 'common practice' },
};

export const PROFILES: Record<ProfileId, Profile> = { us, uk, earth };
