import { inches, millimetres, type Length } from '../measure/length.js';

export type UnitFamily = 'block' | 'brick' | 'adobe';

/** A masonry unit as specified (work size), not as sampled. */
export interface UnitShape {
  id: string;
  name: string;
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
  /** Height of the half-high unit made to go with it, where one is. */
  halfHigh?: Length;
  /** The bed that makes whole courses fall on the module when the profile's joint does not. */
  bed?: Length;
  /** The joint the unit is made for when the profile's is not. */
  head?: Length;
  source: string;
}

const CMU_SOURCE =
  'Specified = nominal less 3/8 in (TMS 402, TEK 5-12, from memory); shells and webs ASTM C90 minimum, from memory';

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
    name: `${width}×${height}×${length} in block`,
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
    name: `440 × 215 × ${width} mm block`,
    family: 'block',
    length: millimetres(440),
    height: millimetres(215),
    width: millimetres(width),
    shells: null,
    halves: 'sawn',
    ...(width >= 100 ? { halfHigh: millimetres(100) } : {}),
    source:
      'Work size; co-ordinating 450 × 225 (BS 6073-2, from memory). Taken as solid. Coursing unit 100 high: common practice.',
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
    name: '440 × 215 × 215 mm hollow block',
    family: 'block',
    length: millimetres(440),
    height: millimetres(215),
    width: millimetres(215),
    shells: { shell: millimetres(40), web: millimetres(35), cells: 2 },
    halves: 'bought',
    halfHigh: millimetres(100),
    source: 'Work size; co-ordinating 450 × 225 (BS 6073-2, from memory). Shells and webs: common practice.',
  },
  {
    id: 'brick-215x102.5x65',
    name: '215 × 102.5 × 65 mm brick',
    family: 'brick',
    length: millimetres(215),
    height: millimetres(65),
    width: millimetres(102.5),
    shells: null,
    halves: 'sawn',
    source: 'BS 3921:1985 (withdrawn), now the UK annex to EN 771-1, from memory. Taken as solid, no frog.',
  },
  {
    id: 'brick-modular-us',
    name: 'Modular brick, 4 × 2⅔ × 8 in',
    family: 'brick',
    length: inches(61, 8),
    height: inches(9, 4),
    width: inches(29, 8),
    shells: null,
    halves: 'sawn',
    bed: inches(5, 12),
    source: 'BIA Technical Note 10, from memory: three courses in 8 in, so the bed works out at 5/12 in',
  },
  {
    id: 'adobe-10x14x4',
    name: '10 × 14 × 4 in adobe',
    family: 'adobe',
    length: inches(14),
    height: inches(4),
    width: inches(10),
    shells: null,
    halves: 'sawn',
    source: 'common practice; laid 14 in along a wall 10 in thick',
  },
  {
    id: 'adobe-14x10x4',
    name: '14 × 10 × 4 in adobe, wall 14 in thick',
    family: 'adobe',
    length: inches(10),
    height: inches(4),
    width: inches(14),
    shells: null,
    halves: 'sawn',
    source: 'common practice; the same brick laid 10 in along a wall 14 in thick',
  },
  {
    id: 'slip-215x20x65',
    name: '215 × 65 mm brick slip, 20 thick',
    family: 'brick',
    length: millimetres(215),
    height: millimetres(65),
    width: millimetres(20),
    shells: null,
    halves: 'sawn',
    source:
      'Work size of the brick it is sawn from; 20 mm thick: common practice. Laid on adhesive, joints filled after.',
  },
];

export const unitById = (id: string): UnitShape | undefined => UNITS.find((u) => u.id === id);
