import { TABLE } from '../messages.js';
import type { Said } from '../../messages/message.js';
import { LITRE, POUND } from '../../measure/amounts.js';
import { CUBIC_FOOT_MM3, CUBIC_METRE_MM3, type CubicMetres, type Kilograms } from '../../measure/length.js';
import { perCubicFoot, type Basis, type MaterialId } from './materials.js';

/** What a mix may be for. */
export const USES = ['bed', 'pointing', 'grout', 'concrete', 'stove'] as const;
export type Use = (typeof USES)[number];

export interface Part {
  of: MaterialId;
  parts: number;
  /** Where its grade weighs otherwise than the material does on the whole, kg/m³ loose. */
  loose?: number;
}

/** How much comes of what is put in. */
export type Yield =
  /** As much as the sand, or less by a factor: the rest goes into the spaces between its grains. */
  | { model: 'sand'; factor: Readonly<Record<Basis, number>> }
  /** All loose parts together, less by a factor. */
  | { model: 'dry'; factor: number }
  /** What is solid of the parts, its water and its air. `waterToBinder` by weight. */
  | { model: 'absolute'; waterToBinder: number; air: number }
  /** So much of a pack, as its maker says. */
  | { model: 'pack'; kg: Readonly<Record<Basis, Kilograms>>; makes: Readonly<Record<Basis, CubicMetres>> }
  /** What was made of what was put in, counted on site: so many parts of the mix came to so much. */
  | { model: 'measured'; made: number };

/** What a person must keep off their skin and out of their lungs. */
export type Caution = 'cement' | 'lime' | 'quicklime';

export interface Mix {
  id: string;
  /** Of a job’s own: what it is called there. */
  name?: string;
  for: readonly Use[];
  parts: readonly Part[];
  yield: Yield;
  /** Water in a cubic metre of it when it is as wet as it is worked, m³; of what is reckoned by its water, null. */
  water: Readonly<Record<Basis, number>> | null;
  /** Working life from the water on, minutes, at about 20 °C and in the heat. */
  life: Readonly<Record<Basis, number>>;
  hotLife: Readonly<Record<Basis, number>>;
  /** Water may be worked in again within its life. */
  retemper: boolean;
  cautions: readonly Caution[];
  /** Where its bag says which it is; else its parts do. */
  type?: 'M' | 'S' | 'N' | 'O';
  /** By how much a whole-measure recipe may miss the parts. */
  allows: number;
  source: Said;
}

const both = (n: number): Readonly<Record<Basis, number>> => ({ us: n, metric: n });
const FT3 = CUBIC_FOOT_MM3 / CUBIC_METRE_MM3;
const cubicFeet = (n: number): CubicMetres => n * FT3;

/** Cement mud: 2½ h, 2 h in the heat (TMS 602), 2 h in Britain (BS 8000-3). */
const CEMENT_LIFE = { life: { us: 150, metric: 120 }, hotLife: both(120) };
/** 8 gal to 4½ ft³ (worked from its solids); Britain 0.28 m³ a cubic metre. */
const CEMENT_WATER = { us: 1.07 / 4.5, metric: 0.28 };
const SAND_FILLS = { model: 'sand', factor: { us: 1, metric: 1.07 } } as const;

const cementMud = (id: string, parts: readonly Part[], source: Said): Mix => ({
  id,
  for: ['bed', 'pointing'],
  parts,
  yield: SAND_FILLS,
  water: CEMENT_WATER,
  ...CEMENT_LIFE,
  retemper: true,
  cautions: parts.some((p) => p.of === 'lime-hydrated') ? ['cement', 'lime'] : ['cement'],
  allows: 0.1,
  source,
});

const cementLime = (id: string, lime: number, sand: number): Mix =>
  cementMud(
    id,
    [
      { of: 'portland', parts: 1 },
      { of: 'lime-hydrated', parts: lime },
      { of: 'sand', parts: sand },
    ],
    TABLE['parts-c270-en'](),
  );
const cementSand = (sand: number): Mix =>
  cementMud(
    `cement-sand-${sand}`,
    [
      { of: 'portland', parts: 1 },
      { of: 'sand', parts: sand },
    ],
    TABLE['parts-en-plasticiser'](),
  );
const masonryCement = (id: string, type: 'S' | 'N', pounds: number, sand: number, source: Said): Mix => ({
  ...cementMud(
    id,
    [
      { of: 'masonry-cement', parts: 1, loose: perCubicFoot(pounds) },
      { of: 'sand', parts: sand },
    ],
    source,
  ),
  type,
  // 5 gal to a bag and three cubic feet of sand, worked from its solids and 15 % of air.
  water: both(0.67 / 3),
});
const nhl = (grade: string, loose: number, life: number, hot: number): Mix => ({
  id: `nhl-${grade}`,
  for: ['bed', 'pointing'],
  parts: [
    { of: 'nhl', parts: 1, loose },
    { of: 'sand', parts: 2.5 },
  ],
  // 1 L of NHL 3.5 and 2.5 L of sand come to 2.575 L: worked from its solids, its water and 5 % of air.
  yield: { model: 'dry', factor: 1.36 },
  water: both(0.75 / 2.575),
  life: both(life),
  hotLife: both(hot),
  retemper: true,
  cautions: ['lime'],
  allows: 0.1,
  source: TABLE['parts-hydraulic-lime'](),
});
const preblended = (id: string, type: 'M' | 'S' | 'N'): Mix => ({
  id,
  type,
  for: ['bed', 'pointing'],
  parts: [{ of: 'preblended', parts: 1 }],
  yield: {
    model: 'pack',
    kg: { us: 80 * POUND, metric: 25 },
    makes: { us: cubicFeet(0.67), metric: 13.6 * LITRE },
  },
  water: { us: 0.3, metric: 3.5 / 13.6 },
  ...CEMENT_LIFE,
  retemper: true,
  cautions: ['cement', 'lime'],
  allows: 0,
  source: TABLE['makes-preblended'](),
});
const poured = (
  id: string,
  use: Use,
  parts: readonly Part[],
  waterToBinder: number,
  air: number,
  source: Said,
): Mix => ({
  id,
  for: [use],
  parts,
  yield: { model: 'absolute', waterToBinder, air },
  water: null,
  // Grout is placed within an hour and a half of its water (ASTM C476); concrete as ready-mixed, the same.
  life: both(90),
  hotLife: both(60),
  retemper: false,
  cautions: ['cement'],
  allows: 0.1,
  source,
});
const sand = (parts: number): Part => ({ of: 'sand', parts });

/** The library of mixes: by volume, binder first. */
export const MIXES: readonly Mix[] = [
  cementLime('cement-lime-m', 0.25, 3),
  cementLime('cement-lime-s', 0.5, 4.5),
  cementLime('cement-lime-n', 1, 6),
  cementLime('cement-lime-o', 2, 9),
  cementSand(3),
  cementSand(4),
  cementSand(5),
  cementSand(6),
  masonryCement('masonry-cement-s', 'S', 75, 3, TABLE['parts-masonry-cement']()),
  masonryCement('masonry-cement-n', 'N', 70, 3, TABLE['parts-masonry-cement']()),
  masonryCement('bagged-s-2', 'S', 75, 2, TABLE['parts-richer']()),
  preblended('preblended-s', 'S'),
  preblended('preblended-n', 'N'),
  nhl('2', 550, 300, 240),
  nhl('3.5', 620, 300, 240),
  nhl('5', 700, 180, 120),
  {
    id: 'putty-3',
    for: ['bed', 'pointing'],
    parts: [{ of: 'lime-putty', parts: 1 }, sand(3)],
    // Putty is wet already: worked from its solids, its own water and 5 % of air.
    yield: { model: 'dry', factor: 1.25 },
    water: both(0.08),
    // Under plastic.
    life: both(3 * 1440),
    hotLife: both(1440),
    retemper: true,
    cautions: ['lime'],
    allows: 0.1,
    source: TABLE['parts-putty'](),
  },
  ...[6, 9].map((parts): Mix => ({
    id: `hydrated-lime-${parts}`,
    for: ['stove'],
    parts: [{ of: 'lime-hydrated', parts: 1 }, sand(parts)],
    yield: { model: 'dry', factor: 1.3 },
    water: both(0.28),
    life: both(1440),
    hotLife: both(480),
    retemper: true,
    cautions: ['lime'],
    allows: 0.1,
    source: TABLE['parts-stove'](),
  })),
  {
    id: 'hot-lime-3',
    for: ['bed'],
    parts: [{ of: 'quicklime', parts: 1 }, sand(3)],
    yield: { model: 'dry', factor: 1.1 },
    water: both(0.4),
    life: both(1440),
    hotLife: both(480),
    retemper: true,
    cautions: ['lime', 'quicklime'],
    allows: 0.1,
    source: TABLE['parts-hot-lime'](),
  },
  {
    id: 'limecrete-3',
    for: ['concrete'],
    parts: [
      { of: 'nhl', parts: 1, loose: 700 },
      { of: 'ballast', parts: 3 },
    ],
    yield: { model: 'dry', factor: 1.3 },
    water: both(0.25),
    life: both(180),
    hotLife: both(120),
    retemper: false,
    cautions: ['lime'],
    allows: 0.1,
    source: TABLE['parts-limecrete'](),
  },
  {
    id: 'earth',
    for: ['bed'],
    parts: [{ of: 'soil', parts: 1 }],
    yield: { model: 'dry', factor: 1.3 },
    water: both(0.3),
    life: both(3 * 1440),
    hotLife: both(1440),
    retemper: true,
    cautions: [],
    allows: 0,
    source: TABLE['parts-own-soil'](),
  },
  {
    ...preblended('rapid', 'S'),
    for: ['bed'],
    life: both(10),
    hotLife: both(5),
    retemper: false,
    source: TABLE['life-as-maker-says'](),
  },
  poured(
    'grout-fine',
    'grout',
    [{ of: 'portland', parts: 1 }, sand(3)],
    0.7,
    0.01,
    TABLE['parts-grout-fine'](),
  ),
  poured(
    'grout-coarse',
    'grout',
    [{ of: 'portland', parts: 1 }, sand(3), { of: 'gravel', parts: 2 }],
    0.7,
    0.01,
    TABLE['parts-grout-coarse'](),
  ),
  poured(
    'ballast-5',
    'concrete',
    [
      { of: 'portland', parts: 1 },
      { of: 'ballast', parts: 5 },
    ],
    0.6,
    0.015,
    TABLE['parts-ballast'](),
  ),
  poured(
    'concrete-1-2-3',
    'concrete',
    [{ of: 'portland', parts: 1 }, sand(2), { of: 'gravel', parts: 3 }],
    0.55,
    0.015,
    TABLE['parts-concrete'](),
  ),
];

const BY_ID = new Map(MIXES.map((m) => [m.id, m]));
export const mixNamed = (id: string): Mix | null => BY_ID.get(id) ?? null;
