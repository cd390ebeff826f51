import type { Said } from '../messages/message.js';
import { inches, millimetres, type Length } from '../measure/length.js';
import { TABLE } from './messages.js';

export type UnitFamily = 'block' | 'brick' | 'adobe' | 'stone';

/** A masonry unit as specified (work size), not as sampled. */
export interface UnitShape {
  id: string;
  name: Said;
  family: UnitFamily;
  /** Along the wall, up the wall, through the wall. */
  length: Length;
  height: Length;
  width: Length;
  /**
   * Face shell and web of a hollow unit where they are thinnest, null when solid. `taper`: how much thicker both of a
   * cell's sides together are at mid height, left out for none.
   */
  shells: { shell: Length; web: Length; cells: number; taper?: Length } | null;
  /** Whether halves are bought as units or sawn from a whole one. */
  halves: 'bought' | 'sawn';
  /** Frogs, and what part of the unit they are together; the part of its bed that is holes. */
  frogs?: { count: number; share: number };
  perforated?: number;
  /** Height of the half-high unit made to go with it, where one is. */
  halfHigh?: Length;
  /** The bed that makes whole courses fall on the module when the profile's joint does not. */
  bed?: Length;
  /** The joint the unit is made for when the profile's is not. */
  head?: Length;
  source: Said;
}

/** What units are spoken of as; stone is none of them. */
export const familyOf = ({ family }: Pick<UnitShape, 'family'>): Exclude<UnitFamily, 'stone'> =>
  family === 'stone' ? 'block' : family;

const CMU_SOURCE = TABLE['specified-nominal-less-3']();

/** Minimum face shell and the older minimum web, by nominal width (figures kept with the unit). */
const SHELL: Record<number, [Length, Length]> = {
  4: [inches(3, 4), inches(3, 4)],
  6: [inches(1), inches(1)],
  8: [inches(5, 4), inches(1)],
  10: [inches(5, 4), inches(9, 8)],
  12: [inches(5, 4), inches(9, 8)],
};

function cmu(width: number, height: number, length: number): UnitShape {
  const [shell, web] = SHELL[width] ?? [inches(5, 4), inches(1)];
  return {
    id: `cmu-${width}x${height}x${length}`,
    name: TABLE['inch-block']({ width, height, length }),
    family: 'block',
    length: inches(length * 8 - 3, 8),
    height: inches(height * 8 - 3, 8),
    width: inches(width * 8 - 3, 8),
    shells: { shell, web, cells: 2 },
    halves: 'bought',
    ...(height === 8 ? { halfHigh: inches(29, 8) } : {}),
    source: CMU_SOURCE,
  };
}

function metricBlock(width: number): UnitShape {
  return {
    id: `block-440x215x${width}`,
    name: TABLE['metric-block']({ width }),
    family: 'block',
    length: millimetres(440),
    height: millimetres(215),
    width: millimetres(width),
    shells: null,
    halves: 'sawn',
    ...(width >= 100 ? { halfHigh: millimetres(100) } : {}),
    source: TABLE['work-size-co-ordinating'](),
  };
}

export const UNITS: readonly UnitShape[] = [
  cmu(4, 8, 16),
  cmu(6, 8, 16),
  cmu(8, 8, 16),
  cmu(10, 8, 16),
  cmu(12, 8, 16),
  cmu(6, 6, 18),
  metricBlock(90),
  metricBlock(100),
  metricBlock(140),
  metricBlock(215),
  {
    id: 'hollow-440x215x215',
    name: TABLE['440-215-215-mm'](),
    family: 'block',
    length: millimetres(440),
    height: millimetres(215),
    width: millimetres(215),
    shells: { shell: millimetres(40), web: millimetres(35), cells: 2 },
    halves: 'bought',
    halfHigh: millimetres(100),
    source: TABLE['work-size-co-ordinating-450'](),
  },
  {
    id: 'brick-215x102.5x65',
    name: TABLE['215-102-5-65'](),
    family: 'brick',
    length: millimetres(215),
    height: millimetres(65),
    width: millimetres(102.5),
    shells: null,
    halves: 'sawn',
    source: TABLE['bs-3921-1985-withdrawn'](),
  },
  {
    id: 'brick-modular-us',
    name: TABLE['modular-brick-4-2'](),
    family: 'brick',
    length: inches(61, 8),
    height: inches(9, 4),
    width: inches(29, 8),
    shells: null,
    halves: 'sawn',
    bed: inches(5, 12),
    source: TABLE['bia-technical-note-10'](),
  },
  {
    id: 'adobe-10x14x4',
    name: TABLE['10-14-4-in'](),
    family: 'adobe',
    length: inches(14),
    height: inches(4),
    width: inches(10),
    shells: null,
    halves: 'sawn',
    source: TABLE['common-practice-laid-14'](),
  },
  {
    id: 'adobe-14x10x4',
    name: TABLE['14-10-4-in'](),
    family: 'adobe',
    length: inches(10),
    height: inches(4),
    width: inches(14),
    shells: null,
    halves: 'sawn',
    source: TABLE['common-practice-the-same'](),
  },
  {
    id: 'slip-215x20x65',
    name: TABLE['215-65-mm-brick'](),
    family: 'brick',
    length: millimetres(215),
    height: millimetres(65),
    width: millimetres(20),
    shells: null,
    halves: 'sawn',
    source: TABLE['work-size-of-the'](),
  },
];

export const unitById = (id: string): UnitShape | undefined => UNITS.find((u) => u.id === id);
