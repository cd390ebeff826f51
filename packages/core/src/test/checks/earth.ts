import { bricksMade } from '../../mud/earth/making.js';
import { slaked } from '../../mud/slaking.js';
import { millimetres } from '../../measure/length.js';
import type { JobDocument } from '../../job/types.js';
import { unitOfBuild } from '../../job/units.js';
import type { WallPlan } from '../../plan/plan.js';
import { plan } from '../../plan/plan.js';
import { soundJob } from '../jobs.js';
import type { UnitShape } from '../../tables/units.js';
import { exactly, near, type PublishedCheck } from './list.js';
import { ADOBE_HUT, SQUARE } from '../adobeHut.js';

const WORKED = 'worked example';

/** E9's hut: adobe 400 × 400 × 100 in joints of 20, 4.600 by 3.760 m outside and twenty courses high. */
const HUT = soundJob({
  format: 'even-tally/job',
  version: 1,
  name: 'E9',
  show: 'mm',
  profile: 'earth',
  units: SQUARE,
  rules: {
    why: 'joints of 20',
    bed: { least: 15, most: 25 },
    firstBed: { least: 15, most: 25 },
    head: { least: 15, most: 25 },
  },
  walls: [
    {
      id: 'hut',
      name: 'Hut',
      line: ADOBE_HUT.line,
      height: 2400,
      build: { kind: 'units', unit: 'square', bond: 'half', bed: 20, head: 20 },
      bears: 'roof',
    },
  ],
});
let hut: WallPlan | undefined;
const planned = (): WallPlan => (hut ??= plan(HUT, [], { advise: false }).walls[0] as WallPlan);
const course = (n: number): { bottom: number; top: number; bed: number } =>
  planned().gauge.courses[n - 1] ?? { bottom: NaN, top: NaN, bed: NaN };

/** A brick of a size, and what making so many of it takes with what is stated of the making. */
function made(
  size: readonly [number, number, number],
  laid: number,
  making: object,
): ReturnType<typeof bricksMade> {
  const [length, height, width] = size.map((n) => millimetres(n)) as [never, never, never];
  const adobe = unitOfBuild(HUT, { kind: 'units', unit: 'square', bond: 'half' }) as UnitShape;
  return bricksMade(
    { ...(HUT as JobDocument), earth: { making } },
    { ...adobe, length, height, width },
    laid,
  );
}
const e9 = (): ReturnType<typeof bricksMade> => made([400, 100, 400], 661.14, { loss: 0.1 });
const e19 = (): ReturnType<typeof bricksMade> => made([290, 90, 140], 1000, { loss: 0.05, stabilised: 0.06 });
const e18 = (): ReturnType<typeof slaked> => slaked(85, 0.93);

/** Worked examples of adobe and lime: a hut, pressed blocks, a hot mix. */
export const EARTH_CHECKS: PublishedCheck[] = [
  exactly('E9 courses', 'courses of a hut 2.400 m high', 20, '', WORKED, () => planned().gauge.count),
  exactly(
    'E9 ring',
    'adobes that twenty courses of the ring are laid of, no opening, halves sawn from whole ones',
    720,
    '',
    WORKED,
    () => planned().buy.reduce((sum, line) => sum + line.net, 0),
  ),
  ...(
    [
      [1, 20, 120],
      [5, 500, 600],
      [9, 980, 1080],
      [10, 1100, 1200],
      [15, 1700, 1800],
      [17, 1940, 2040],
      [18, 2060, 2160],
      [20, 2300, 2400],
    ] as const
  ).flatMap(([n, bottom, top]) => [
    near(
      `E9 pole ${n} bottom`,
      `bottom of adobe ${n} on the pole`,
      bottom,
      1e-6,
      'mm',
      WORKED,
      () => course(n).bottom + course(n).bed,
    ),
    near(`E9 pole ${n} top`, `top of adobe ${n} on the pole`, top, 1e-6, 'mm', WORKED, () => course(n).top),
  ]),
  exactly(
    'E9 slender',
    'clear length and height together, 17.0 of 17.5: findings',
    0,
    '',
    WORKED,
    () => planned().findings.filter((f) => f.code === 'earth-unheld' || f.code === 'earth-too-high').length,
  ),
  exactly('E9 made', 'adobes made for 661.14 laid', 728, '', WORKED, () => e9().made),
  near('E9 soil', 'loose soil for them', 15.142, 0.0005, 'm³', WORKED, () => e9().soil),
  near('E9 one', 'one adobe', 27.2, 1e-6, 'kg', WORKED, () => e9().each),
  near('E9 all', 'all of them', 19.8, 0.005, 't', WORKED, () => e9().mass / 1000),
  exactly('E19 made', 'pressed blocks made for 1000', 1050, '', WORKED, () => e19().made),
  near('E19 one', 'one block', 6.7599, 0.00005, 'kg', WORKED, () => e19().each),
  near('E19 mix', 'dry mix of all', 7097.9, 0.05, 'kg', WORKED, () => e19().mass),
  near('E19 soil', 'dry soil in it', 6696.1, 0.05, 'kg', WORKED, () => e19().stabilised?.soil ?? 0),
  near('E19 cement', 'cement in it', 401.8, 0.05, 'kg', WORKED, () => e19().stabilised?.cement ?? 0),
  near('E19 water', 'water in it', 851.7, 0.05, 'kg', WORKED, () => e19().stabilised?.water ?? 0),
  near(
    'E18 water',
    'water 85 kg of quicklime, 93 % pure, takes up',
    25.4,
    0.005,
    'kg',
    WORKED,
    () => e18().water,
  ),
  near('E18 hydrate', 'hydrate that comes of it', 104.4, 0.05, 'kg', WORKED, () => e18().hydrate),
  near('E18 heat', 'heat', 91.7, 0.05, 'MJ', WORKED, () => e18().heat),
];
