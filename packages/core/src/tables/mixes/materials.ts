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
  source: string;
}

/** Pounds a cubic foot, in kg/m³. */
export const perCubicFoot = (pounds: number): number => (pounds * POUND * CUBIC_METRE_MM3) / CUBIC_FOOT_MM3;

/** A material whose bag is in every mix the same; what differs by its grade is said with the mix. */
export const MATERIAL: Readonly<Record<MaterialId, Material>> = {
  portland: {
    loose: { us: perCubicFoot(94), metric: 1440 },
    solid: 3150,
    source: 'ASTM C270: 94 lb/ft³; metric 1440 kg/m³ loose, common practice; from memory',
  },
  'masonry-cement': {
    loose: { us: perCubicFoot(75), metric: 1200 },
    solid: 2900,
    source: 'ASTM C91: type N 70, S 75, M 80 lb a bag of 1 ft³; from memory',
  },
  'lime-hydrated': {
    loose: { us: perCubicFoot(40), metric: 600 },
    solid: 2250,
    source: 'ASTM C270: 40 lb/ft³; metric 600 kg/m³ loose, common practice; from memory',
  },
  'lime-putty': {
    loose: { us: perCubicFoot(80), metric: 1400 },
    solid: 1400,
    source: 'ASTM C270: 80 lb/ft³; mature putty 1.35–1.45 kg/L, common practice; from memory',
  },
  nhl: {
    loose: { us: 620, metric: 620 },
    solid: 2650,
    source: 'NHL 2, 3.5 and 5 batched at 0.55, 0.62 and 0.70 kg/L, common practice; from memory',
  },
  quicklime: {
    loose: { us: 850, metric: 850 },
    solid: 3300,
    source: 'ground quicklime about 0.85 kg/L, common practice; from memory',
  },
  preblended: {
    loose: { us: 1600, metric: 1600 },
    solid: 2680,
    source: 'dry mortar poured loose about 1600 kg/m³, common practice; from memory',
  },
  soil: {
    loose: { us: 1250, metric: 1250 },
    solid: 2650,
    source: 'loose dry soil 1200–1300 kg/m³, common practice; from memory',
  },
  sand: {
    loose: { us: perCubicFoot(80), metric: 1600 },
    solid: 2650,
    source:
      'ASTM C270: 80 lb of dry sand in a cubic foot of it damp and loose; metric 1600 kg/m³ dry; from memory',
  },
  gravel: {
    loose: { us: perCubicFoot(100), metric: 1500 },
    solid: 2650,
    source: 'ASCE 7 table C3-2: 100 lb/ft³; metric 1500 kg/m³, common practice; from memory',
  },
  ballast: {
    loose: { us: perCubicFoot(100), metric: 1600 },
    solid: 2650,
    source: 'sand and gravel together, ASCE 7 table C3-2: 100 lb/ft³ loose; from memory',
  },
  water: { loose: { us: 1000, metric: 1000 }, solid: 1000, source: 'physics' },
};

/** Sand takes up more room damp than dry or soaked: by a fifth to three tenths at 4–6 % of water; from memory. */
export const BULKING = 0.25;
/** Water that sand brings, as a part of its dry weight, by its state. Damp: ½ gal a cubic foot; wet from memory. */
export const MOISTURE = { dry: 0, damp: 0.05, wet: 0.08 } as const;
export type SandState = keyof typeof MOISTURE;
