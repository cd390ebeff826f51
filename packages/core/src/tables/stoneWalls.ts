import { millimetres, toMillimetres, type Length, type Mm } from '../measure/length.js';

/** What of a heap as it was tipped is air, and of a dry wall that is hearted: common practice, from memory. */
export const TIPPED_VOIDS = 0.4;
export const DRY_VOIDS = 0.25;
/** What of a mortared rubble wall is stone, of flint and cobble, and what of the stone lies between the faces: common practice, from memory. */
export const RUBBLE_SHARE = 0.7;
export const FLINT_SHARE = 0.55;
export const HEARTING = 0.3;
/** Broken, too small, or the wrong shape: bought over what is built in, where nobody has said. */
export const STONE_WASTE = 0.1;
/** A cubic metre of lime mortar in the wall, kg: EN 1991-1-1 table A.1, from memory. */
export const MORTAR_WEIGHS = 1800;

/** Levelled up each so high where nobody says: rubble 600 mm (IS 13828, from memory), squared stone a course of 300 (common practice). */
export const BROUGHT_TO: Readonly<Record<'rubble' | 'squared', Length>> = {
  rubble: millimetres(600),
  squared: millimetres(300),
};

/** Faces are held together each metre along and up where nobody says: EN 1996-1-1 8.1.4.2, from memory. */
export const BONDERS = { along: 1000, up: 1000 } as const;

/** A bonder that does not go through is so long, as a part of the wall's thickness: EN 1996-1-1 8.1.4.2 has 0.6 to 0.7, from memory. */
export const BONDER_LENGTH = 0.65;

/**
 * Rows of throughs where nobody says, by the height of a dry wall: one at half its height up to 1.4 m, else about knee and waist; a
 * metre apart. Handbooks of walling, from memory.
 */
export function throughsBy(height: Mm): { at: Mm; every: Mm }[] {
  const every = toMillimetres(millimetres(1000));
  if (height <= 600) return [];
  if (height <= 1400) return [{ at: height / 2, every }];
  return [
    { at: 500, every },
    { at: 900, every },
  ];
}

/** Squared stones at ends, corners and jambs: one to so much of height, mm. Common practice. */
export const QUOIN_HIGH = 300;

/** Past this one person does not lift it: the usual caution, kg. */
export const LIFT_MOST = 20;

/** What may stand without more being asked. Handbooks of walling, EN 1996-1-1 and IS 1597-1; all from memory. */
export const STONE_RULES = {
  /** Bonders and throughs at most so far apart, mm. */
  apart: 1000,
  /** A dry wall is as wide at its base as half its height at least, of its body. */
  baseToHeight: 0.5,
  /** Each face leans in by one in so many: more is seen, less is for fine work. */
  batter: { flat: 4, steep: 12 },
  /** Two faces and what lies between want so much, mm. */
  twoFaces: 350,
  /** Joints at most by how stone is laid, mm: IS 1597-1 has 20 for random rubble and 15 for coursed, from memory; round stone wants more, common practice. */
  joint: { random: 20, polygonal: 20, flint: 40, coursed: 15, snecked: 15, ashlar: 6 },
  /** Flint and cobble hardly reach into the wall: higher than that, level courses of something long tie it, each so far up, so many at a time. Common practice. */
  lacing: { over: 1000, every: 900, courses: 2 },
  /** A dry wall higher than that is asked about, mm. */
  dryHigh: 1800,
} as const;

/** Steps over a wall, mm: none rises more than that over the last, each so far along from it, and stands so far out of each face. Common practice. */
export const STILE = { rise: 300, going: 250, out: 250, thick: 90 } as const;

/** A gap goes up at about so much face a day, its footing in it, m² of one side: from the record of such work, common practice. */
export const GAP_PER_DAY = 2.5;

/** Running joints a wall may have: through so many courses, and whether stones that lie across behind cover more. Common practice. */
export const RUNNING = {
  field: { most: 2, depthCovers: true },
  retaining: { most: 2, depthCovers: true },
  garden: { most: 1, depthCovers: false },
} as const;

/** A line that kinks by more than so much to the metre is seen, mm. Common practice. */
export const KINK_SEEN = 20;

/** What a lorry brings at a time where nobody says, kg: common practice, from memory. Smaller where the lane is narrow. */
export const LORRY = 10_000;

/** Pillars of a dry wall stand no farther apart than a line stays straight between them, mm. Common practice. */
export const PILLARS_APART = 3000;

/**
 * Stones laid across a smoot or a culvert, side by side through the wall, mm: how far each bears, how wide one is, how thick one is taken to be for its weight;
 * past a span no stone is taken to carry that nobody has looked at. Common practice.
 */
export const BRIDGE = { bearing: 150, each: 300, thick: 150, most: 600 } as const;

/** Tied into an old wall: one pocket, bonder or tie to so much of height, so deep, mm. Common practice. */
export const INTO_OLD = { toothed: 600, bonded: 600, tied: 450, deep: 150 } as const;

/** The last stone of a peak is so high where there is room for it and no wider than that, mm; on slopes so flat that it would be lower than the least there is none. Its template is marked each so far up. Common practice. */
export const PEAK = { high: 300, wide: 1200, least: 150, every: 50 } as const;
