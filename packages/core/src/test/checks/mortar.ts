import { CUBIC_FOOT_MM3 } from '../../measure/length.js';
import type { JobDocument } from '../../job/types.js';
import { plan } from '../../plan/plan.js';
import { documentOf, planOf, soundJob, straight, type OneWall } from '../jobs.js';
import { E1 } from './counts.js';
import type { PublishedCheck } from './list.js';

const FT3 = CUBIC_FOOT_MM3 / 1e9;
const geometric = (w: OneWall): number => planOf(w).tally.mortar.geometric;

/** Mortar of one module more of wall: ends cancel, so that it is the published per-unit figure exactly. */
const perModule = (short: OneWall, long: OneWall): number => geometric(long) - geometric(short);

/** Mortar of a square metre of half-brick wall of frogged bricks, m³: between two walls whose ends cancel. */
function frogged(share: number): number {
  const of = (length: number): OneWall => ({
    line: straight(length),
    height: 1500,
    unit: 'own',
    profile: 'uk',
    show: 'mm',
    units: [
      {
        id: 'own',
        family: 'brick',
        actual: { length: 215, height: 65, width: 102.5 },
        frogs: { count: 1, share },
      },
    ],
  });
  return perModule(of(2240), of(2240 + 900)) / (0.9 * 1.5);
}

/** Mortar of a block in so many courses, ft³ per 100: what 16 in more of wall take. */
const blocks = (width: number, height: string): number =>
  (perModule(
    { line: straight("16'"), height, unit: `cmu-${width}x8x16` },
    { line: straight('17\' 4"'), height, unit: `cmu-${width}x8x16` },
  ) /
    FT3) *
  100;
/** Of one that is bedded on its shells alone: twelve courses less the one they start with. */
const cmu = (width: number): number => (blocks(width, "8'") - blocks(width, '8"')) / 11;

interface Row {
  id: string;
  name: string;
  size: [width: number, height: number, length: number];
  per1000: { 0.375: number; 0.5: number };
  per100: { 0.375: number; 0.5: number };
}

/** BIA Technical Note 10, from memory: ft³ of mortar, no waste, joints 3/8 and 1/2 in. */
const ROWS: Row[] = [
  {
    id: 'BM-01',
    name: 'Modular',
    size: [4, 8 / 3, 8],
    per100: { 0.375: 5.5, 0.5: 7.0 },
    per1000: { 0.375: 8.1, 0.5: 10.3 },
  },
  {
    id: 'BM-02',
    name: 'Engineer',
    size: [4, 3.2, 8],
    per100: { 0.375: 4.8, 0.5: 6.1 },
    per1000: { 0.375: 8.6, 0.5: 10.9 },
  },
  {
    id: 'BM-03',
    name: 'Economy 8',
    size: [4, 4, 8],
    per100: { 0.375: 4.2, 0.5: 5.3 },
    per1000: { 0.375: 9.2, 0.5: 11.7 },
  },
  {
    id: 'BM-04',
    name: 'Double',
    size: [4, 16 / 3, 8],
    per100: { 0.375: 3.5, 0.5: 4.4 },
    per1000: { 0.375: 10.2, 0.5: 12.9 },
  },
  {
    id: 'BM-05',
    name: 'Roman',
    size: [4, 2, 12],
    per100: { 0.375: 6.5, 0.5: 8.2 },
    per1000: { 0.375: 10.8, 0.5: 13.7 },
  },
  {
    id: 'BM-06',
    name: 'Norman',
    size: [4, 8 / 3, 12],
    per100: { 0.375: 5.1, 0.5: 6.5 },
    per1000: { 0.375: 11.3, 0.5: 14.4 },
  },
  {
    id: 'BM-07',
    name: 'Engineer Norman',
    size: [4, 3.2, 12],
    per100: { 0.375: 4.4, 0.5: 5.6 },
    per1000: { 0.375: 11.7, 0.5: 14.9 },
  },
  {
    id: 'BM-08',
    name: 'Utility',
    size: [4, 4, 12],
    per100: { 0.375: 3.7, 0.5: 4.7 },
    per1000: { 0.375: 12.3, 0.5: 15.7 },
  },
  {
    id: 'BM-09',
    name: 'Triple',
    size: [4, 16 / 3, 12],
    per100: { 0.375: 3.0, 0.5: 3.9 },
    per1000: { 0.375: 13.4, 0.5: 17.1 },
  },
  {
    id: 'BM-10',
    name: '6 × 2⅔ × 12',
    size: [6, 8 / 3, 12],
    per100: { 0.375: 7.9, 0.5: 10.2 },
    per1000: { 0.375: 17.5, 0.5: 22.6 },
  },
  {
    id: 'BM-11',
    name: '6 × 3⅕ × 12',
    size: [6, 3.2, 12],
    per100: { 0.375: 6.8, 0.5: 8.8 },
    per1000: { 0.375: 18.1, 0.5: 23.4 },
  },
  {
    id: 'BM-12',
    name: '6 × 4 × 12',
    size: [6, 4, 12],
    per100: { 0.375: 5.6, 0.5: 7.4 },
    per1000: { 0.375: 19.1, 0.5: 24.7 },
  },
];

/** Mortar of one brick and its joints, ft³, from a wall of bricks of that size. */
function perBrick({ size: [w, h, l] }: Row, joint: number): number {
  const mm = (inch: number): number => inch * 25.4;
  const wall = (bricks: number): number => {
    const document: JobDocument = {
      ...documentOf({
        line: straight(mm(l * bricks)),
        lengths: 'nominal',
        height: mm(h * 20),
        unit: 'own',
        build: { bed: mm(joint), head: mm(joint) },
      }),
      units: [
        {
          id: 'own',
          family: 'brick',
          actual: { length: mm(l - joint), height: mm(h - joint), width: mm(w - joint) },
        },
      ],
    };
    return plan(soundJob(document), [], { advise: false }).walls[0]?.tally.mortar.geometric ?? NaN;
  };
  return (wall(11) - wall(10)) / 20 / FT3;
}

const BIA = 'BIA Technical Note 10, from memory; within 3 %';
export const MORTAR: PublishedCheck[] = [
  ...ROWS.flatMap((row) =>
    ([0.375, 0.5] as const).flatMap((joint): PublishedCheck[] => {
      const name = `${row.name}, ${joint === 0.5 ? '1/2' : '3/8'} in joints`;
      const per100 = 14400 / (row.size[1] * row.size[2]);
      return [
        {
          id: `${row.id} ${joint}/100`,
          what: `${name}: mortar per 100 ft²`,
          wanted: row.per100[joint],
          within: row.per100[joint] * 0.03,
          unit: 'ft³',
          source: BIA,
          got: () => perBrick(row, joint) * per100,
        },
        {
          id: `${row.id} ${joint}/1000`,
          what: `${name}: mortar per 1000`,
          wanted: row.per1000[joint],
          within: row.per1000[joint] * 0.03,
          unit: 'ft³',
          source: BIA,
          got: () => perBrick(row, joint) * 1000,
        },
      ];
    }),
  ),
  {
    id: 'CM-10',
    what: '6 in block on face shells, per 100 block',
    wanted: 1.03,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 17.72 in³ a block',
    got: () => cmu(6),
  },
  ...(
    [
      [0.05, 0.02186],
      [0.1, 0.0261],
    ] as const
  ).map(([share, wanted]): PublishedCheck => ({
    id: `M048 ${share * 100}`,
    what: `half-brick wall, frogs of ${share * 100} % of the brick laid up, a square metre`,
    wanted,
    within: 0.00002,
    unit: 'm³',
    source: 'arithmetic: 0.01761 and the frogs of 59.26 bricks',
    got: () => frogged(share),
  })),
  {
    id: 'CM-13',
    what: '8 in block in the course it starts with, all webs bedded, per 100 block',
    wanted: 1.62,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 22.15 and 3 × 1 × 5.125 × 0.375 in³ a block',
    got: () => blocks(8, '8"'),
  },
  {
    id: 'CM-13 6',
    what: '6 in block in the course it starts with, all webs bedded, per 100 block',
    wanted: 1.26,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 17.72 and 3 × 1 × 3.625 × 0.375 in³ a block',
    got: () => blocks(6, '8"'),
  },
  {
    id: 'CM-13 12',
    what: '12 in block in the course it starts with, all webs bedded, per 100 block',
    wanted: 1.95,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 22.15 and 3 × 1.125 × 9.125 × 0.375 in³ a block',
    got: () => blocks(12, '8"'),
  },
  {
    id: 'CM-11',
    what: '8 in block on face shells, per 100 block',
    wanted: 1.28,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 22.15 in³ a block',
    got: () => cmu(8),
  },
  {
    id: 'CM-12',
    what: '12 in block on face shells, per 100 block',
    wanted: 1.28,
    within: 0.005,
    unit: 'ft³',
    source: 'arithmetic: 22.15 in³ a block',
    got: () => cmu(12),
  },
  {
    id: 'M041',
    what: 'half-brick wall, joints full, per m²',
    wanted: 0.01761,
    within: 0.000005,
    unit: 'm³',
    source: 'geometry: 0.1025 − 59.259 × 0.0014324375',
    got: () =>
      perModule(
        { line: straight(2240), height: 3000, unit: 'brick-215x102.5x65', profile: 'uk' },
        { line: straight(2465), height: 3000, unit: 'brick-215x102.5x65', profile: 'uk' },
      ) /
      (0.225 * 3),
  },
  {
    id: 'E1 mortar',
    what: 'garden wall with gate: mortar in the joints',
    wanted: 0.065887,
    within: 0.0000005,
    unit: 'm³',
    source: 'worked example E1, by hand',
    got: () => geometric(E1),
  },
  {
    id: 'E1 perps',
    what: 'garden wall with gate: perps',
    wanted: 216,
    within: 0,
    unit: 'perps',
    source: 'worked example E1, by hand',
    got: () => planOf(E1).tally.mortar.perpCount,
  },
  {
    id: 'TV-05',
    what: '20 ft × 8 ft of 8 in block: mortar in the joints',
    wanted: 2.3,
    within: 0.05,
    unit: 'ft³',
    source: 'arithmetic: 1.44 × 1.6',
    got: () => geometric({ line: straight("20'"), height: "8'" }) / FT3,
  },
  {
    id: 'TV-05b',
    what: '20 ft × 8 ft of 8 in block: mortar to mix',
    wanted: 13.6,
    within: 0.05,
    unit: 'ft³',
    source: 'site rate 8.5 ft³ per 100 ft², from memory',
    got: () => planOf({ line: straight("20'"), height: "8'" }).tally.mortar.used / FT3,
  },
];
