import { underFinish } from '../../stages/set-out/levels.js';
import { leastRadius, facet } from '../../stages/set-out/curve.js';
import { footingAmounts } from '../../stages/set-out/footing.js';
import { sayLean } from '../../stages/set-out/lean.js';
import { drifts, oneEnd } from '../../stages/set-out/oldGauge.js';
import {
  checkSquare,
  threeFourFive,
  type MeasuredSquare,
  type SquareAnswer,
} from '../../stages/set-out/square.js';
import { moduleSizes } from '../../stages/set-out/missing.js';
import { planOf, straight } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const PARALLELOGRAM: MeasuredSquare = { ab: 8000, bc: 6000, cd: 8000, da: 6000, ac: 10_030, bd: 9970 };
const GENERAL: MeasuredSquare = { ab: 8004, bc: 5998, cd: 7996, da: 6003, ac: 10_012, bd: null };
const squared = (m: MeasuredSquare): SquareAnswer | null => checkSquare(m, 8000, 6000);
const corner = (m: MeasuredSquare, name: string, axis: 'moveX' | 'moveY'): number =>
  squared(m)?.corners.find((c) => c.name === name)?.[axis] ?? NaN;

const square = (
  id: string,
  what: string,
  wanted: number,
  within: number,
  unit: string,
  got: () => number,
): PublishedCheck => ({
  id,
  what,
  wanted,
  within,
  unit,
  source: 'worked example E13, by hand',
  got,
});

const curve = (id: string, what: string, wanted: number, got: () => number): PublishedCheck => ({
  id,
  what,
  wanted,
  within: 0.5,
  unit: 'mm',
  source: 'geometry, joints 6 mm inside to 15 mm outside',
  got,
});

const E6 = (): ReturnType<typeof planOf>['wall'] =>
  planOf({ line: straight(8090), height: 1575, unit: 'block-440x215x215', profile: 'uk', show: 'mm' }).wall;
const strip = { width: 1200, depth: 300, past: 150, trench: 300 };

export const GROUND: PublishedCheck[] = [
  square(
    'E13a-slide',
    'parallelogram 8 × 6 m, diagonals 10.030 and 9.970: C slides back along AB',
    -37.6,
    0.05,
    'mm',
    () => corner(PARALLELOGRAM, 'C', 'moveX'),
  ),
  square('E13a-slide-D', 'the same: D', -37.6, 0.05, 'mm', () => corner(PARALLELOGRAM, 'D', 'moveX')),
  square(
    'E13a-angle',
    'the same: angle at B',
    90.359,
    0.0005,
    '°',
    () => squared(PARALLELOGRAM)?.angles[1] ?? NaN,
  ),
  square('E13b-B', 'four sides and a diagonal: B moves', -4, 0.05, 'mm', () => corner(GENERAL, 'B', 'moveX')),
  square('E13b-Cx', 'the same: C moves along AB', -16.5, 0.05, 'mm', () => corner(GENERAL, 'C', 'moveX')),
  square('E13b-Cy', 'the same: C moves out from AB', 2, 0.05, 'mm', () => corner(GENERAL, 'C', 'moveY')),
  square('E13b-Dx', 'the same: D moves along AB', -20.5, 0.05, 'mm', () => corner(GENERAL, 'D', 'moveX')),
  square('E13b-Dy', 'the same: D moves out from AB', -3, 0.05, 'mm', () => corner(GENERAL, 'D', 'moveY')),
  square(
    'E13b-BD',
    'the same: the other diagonal should read',
    9988.6,
    0.05,
    'mm',
    () => squared(GENERAL)?.otherDiagonal ?? NaN,
  ),
  square('E13b-A', 'the same: angle at A', 89.804, 0.0005, '°', () => squared(GENERAL)?.angles[0] ?? NaN),
  {
    id: '345',
    what: '3-4-5 for a building 8 × 6 m in steps of 100 mm: the hypotenuse',
    wanted: 10_000,
    within: 0,
    unit: 'mm',
    source: 'geometry',
    got: () => threeFourFive(8000, 6000, 100)?.[2] ?? NaN,
  },
  curve('M159a', 'least outside radius, stretchers', 2619, () =>
    leastRadius({ length: 215, depth: 102.5 }, 6, 15),
  ),
  curve('M159b', 'least outside radius, one-brick headers', 2807, () =>
    leastRadius({ length: 102.5, depth: 215 }, 6, 15),
  ),
  curve('M159c', 'least outside radius, snapped headers', 1338, () =>
    leastRadius({ length: 102.5, depth: 102.5 }, 6, 15),
  ),
  {
    id: 'M160',
    what: 'a stretcher’s middle off a curve of 2 619 mm',
    wanted: 2.2,
    within: 0.05,
    unit: 'mm',
    source: 'geometry: 46225 / 20952',
    got: () => facet(215, 2619),
  },
  {
    id: 'E6-footing',
    what: 'footing 8 390 × 1 200 × 300: concrete',
    wanted: 3.0204,
    within: 0.00005,
    unit: 'm³',
    source: 'worked example E6, by hand',
    got: () => footingAmounts(E6(), strip).concrete,
  },
  {
    id: 'BAG-29',
    what: 'footing 20 × 10 in, 100 ft long: concrete',
    wanted: 138.9,
    within: 0.05,
    unit: 'ft³',
    source: 'arithmetic: 20 × 10 / 144 × 100',
    got: () => {
      const { wall } = planOf({ line: straight("100'"), height: "4'", lengths: 'actual' });
      return footingAmounts(wall, { width: 508, depth: 254, past: 0, trench: 254 }).concrete / 0.028316846592;
    },
  },
  {
    id: 'drift-us',
    what: 'a joint of 1/4 in against 3/8 in: drift a course',
    wanted: -0.125,
    within: 0,
    unit: 'in',
    source: 'common practice',
    got: () => (drifts({ height: 203.2 * 3, courses: 3 }, 193.675, 6.35, 10)[0]?.perCourse ?? NaN) / 25.4,
  },
  {
    id: 'drift-mm',
    what: 'a joint of 6 mm against 10 mm: drift a course',
    wanted: -4,
    within: 0,
    unit: 'mm',
    source: 'common practice',
    got: () => drifts({ height: 300, courses: 4 }, 65, 6, 10)[0]?.perCourse ?? NaN,
  },
  {
    id: 'one end',
    what: 'their 71 at one end and 75 at the other: twenty courses over 9 m, 1 in',
    wanted: 112.5,
    within: 1e-9,
    unit: '',
    source: 'arithmetic: 20 × 4 in 9 000',
    got: () => oneEnd({ height: 284, courses: 4 }, 65, 10, 20, 9000)?.oneIn ?? NaN,
  },
  {
    id: 'finish',
    what: 'support 23 mm lower than the one that governs, 165 of layers: what it gets',
    wanted: 188,
    within: 0,
    unit: 'mm',
    source: 'arithmetic: 120 + 165 − 97',
    got: () => underFinish([{ name: 'sill', level: 97 }], 285, 165)[0]?.toFinish ?? NaN,
  },
  {
    id: 'lean',
    what: 'a gap of 15 mm at the end of a level of 1 200 mm: 1 in',
    wanted: 80,
    within: 0,
    unit: '',
    source: 'arithmetic',
    got: () => sayLean({ gap: 15, over: 1200 }).oneIn,
  },
  ...(
    [
      ['pier', 440],
      ['pier', 665],
      ['pier', 890],
    ] as const
  ).map(([form, wanted]): PublishedCheck => ({
    id: `pier-${wanted}`,
    what: `brick-sized ${form} near ${wanted + 9} mm`,
    wanted,
    within: 0,
    unit: 'mm',
    source: 'common practice: n × 225 less a joint',
    got: () => moduleSizes(form, wanted + 9, 225, 10)[0]?.length ?? NaN,
  })),
];
