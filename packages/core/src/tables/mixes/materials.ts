import { TABLE } from '../messages.js';
import type { Said } from '../../messages/message.js';
import { POUND } from '../../measure/amounts.js';
import { CUBIC_FOOT_MM3, CUBIC_METRE_MM3 } from '../../measure/length.js';

/** What mud, grout and concrete are made of. */
export const MATERIALS = [
  'portland',
  'masonry-cement',
  'lime-hydrated',
  'lime-putty',
  'nhl',
  'quicklime',
  'preblended',
  'soil',
  'sand',
  'gravel',
  'ballast',
  'water',
] as const;
export type MaterialId = (typeof MATERIALS)[number];

/** Whose customs volumes and masses go by: a cubic foot of damp loose sand, or a cubic metre of it dry. */
export type Basis = 'us' | 'metric';

export interface Material {
  /** What a cubic metre of it weighs as it is put in, poured loose, kg: of sand what is sand, its water left out. */
  loose: Readonly<Record<Basis, number>>;
  /** What it weighs without the air between, kg/m³. */
  solid: number;
  source: Said;
}

/** Pounds a cubic foot, in kg/m³. */
export const perCubicFoot = (pounds: number): number => (pounds * POUND * CUBIC_METRE_MM3) / CUBIC_FOOT_MM3;

/** A material whose bag is in every mix the same; what differs by its grade is said with the mix. */
export const MATERIAL: Readonly<Record<MaterialId, Material>> = {
  portland: {
    loose: { us: perCubicFoot(94), metric: 1440 },
    solid: 3150,
    source: TABLE['weighs-portland'](),
  },
  'masonry-cement': {
    loose: { us: perCubicFoot(75), metric: 1200 },
    solid: 2900,
    source: TABLE['weighs-masonry-cement'](),
  },
  'lime-hydrated': {
    loose: { us: perCubicFoot(40), metric: 600 },
    solid: 2250,
    source: TABLE['weighs-hydrated-lime'](),
  },
  'lime-putty': {
    loose: { us: perCubicFoot(80), metric: 1400 },
    solid: 1400,
    source: TABLE['weighs-putty'](),
  },
  nhl: {
    loose: { us: 620, metric: 620 },
    solid: 2650,
    source: TABLE['weighs-nhl'](),
  },
  quicklime: {
    loose: { us: 850, metric: 850 },
    solid: 3300,
    source: TABLE['weighs-quicklime'](),
  },
  preblended: {
    loose: { us: 1600, metric: 1600 },
    solid: 2680,
    source: TABLE['weighs-preblended'](),
  },
  soil: {
    loose: { us: 1250, metric: 1250 },
    solid: 2650,
    source: TABLE['weighs-soil'](),
  },
  sand: {
    loose: { us: perCubicFoot(80), metric: 1600 },
    solid: 2650,
    source: TABLE['weighs-sand'](),
  },
  gravel: {
    loose: { us: perCubicFoot(100), metric: 1500 },
    solid: 2650,
    source: TABLE['weighs-gravel'](),
  },
  ballast: {
    loose: { us: perCubicFoot(100), metric: 1600 },
    solid: 2650,
    source: TABLE['weighs-ballast'](),
  },
  water: { loose: { us: 1000, metric: 1000 }, solid: 1000, source: TABLE['physics']() },
};

/** Sand takes up more room damp than dry or soaked: by a fifth to three tenths at 4–6 % of water; from memory. */
export const BULKING = 0.25;
/** Water that sand brings, as a part of its dry weight, by its state. Damp: ½ gal a cubic foot; wet from memory. */
export const MOISTURE = { dry: 0, damp: 0.05, wet: 0.08 } as const;
export type SandState = keyof typeof MOISTURE;
