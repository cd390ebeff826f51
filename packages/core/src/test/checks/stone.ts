import { STONES, stoneNamed } from '../../tables/stones.js';
import { DRY_VOIDS, MORTAR_WEIGHS, RUBBLE_SHARE, TIPPED_VOIDS } from '../../tables/stoneWalls.js';
import {
  batterOf,
  offsetsAt,
  volumeOf,
  widthAt,
  type Section,
  type Stretch,
} from '../../walling/stone/section.js';
import { throughsIn } from '../../walling/stone/throughs.js';
import { dryVolumes, heapOf, mortaredVolumes } from '../../walling/stone/volumes.js';
import { exactly, near, type PublishedCheck } from './list.js';

const density = (id: string): number => stoneNamed(id)?.density ?? 0;
const DERIVED = 'arithmetic of its inputs';

/** The same thickness from base to top, a metre long and a metre high. */
const squareMetre = (thickness: number): number =>
  volumeOf({
    length: 1000,
    ends: [
      { base: thickness, top: thickness, height: 1000 },
      { base: thickness, top: thickness, height: 1000 },
    ],
  });

const RUBBLE: [number, Record<string, number>, number, Record<string, number>][] = [
  [
    300,
    { sandstone: 0.483, limestone: 0.504, granite: 0.557, basalt: 0.609 },
    90,
    { sandstone: 0.645, limestone: 0.666, granite: 0.719, basalt: 0.771 },
  ],
  [
    400,
    { sandstone: 0.644, limestone: 0.672, granite: 0.742, basalt: 0.812 },
    120,
    { sandstone: 0.86, limestone: 0.888, granite: 0.958, basalt: 1.028 },
  ],
  [
    500,
    { sandstone: 0.805, limestone: 0.84, granite: 0.928, basalt: 1.015 },
    150,
    { sandstone: 1.075, limestone: 1.11, granite: 1.198, basalt: 1.285 },
  ],
  [
    600,
    { sandstone: 0.966, limestone: 1.008, granite: 1.113, basalt: 1.218 },
    180,
    { sandstone: 1.29, limestone: 1.332, granite: 1.437, basalt: 1.542 },
  ],
  [
    750,
    { sandstone: 1.208, limestone: 1.26, granite: 1.391, basalt: 1.523 },
    225,
    { sandstone: 1.613, limestone: 1.665, granite: 1.796, basalt: 1.928 },
  ],
];

const mortared = RUBBLE.flatMap(([thickness, stone, litres, finished]): PublishedCheck[] => {
  const of = (id: string): ReturnType<typeof mortaredVolumes> =>
    mortaredVolumes({ gross: squareMetre(thickness), density: density(id) });
  return [
    near(
      `A2 23 ${thickness} mortar`,
      `mortar in rubble ${thickness} thick`,
      litres,
      1e-6,
      'L/m²',
      DERIVED,
      () => of('granite').mortar * 1000,
    ),
    ...Object.entries(stone).map(([id, tonnes]) =>
      near(
        `A2 23 ${thickness} ${id}`,
        `${id} in rubble ${thickness} thick`,
        tonnes,
        0.0006,
        't/m²',
        DERIVED,
        () => of(id).mass / 1000,
      ),
    ),
    ...Object.entries(finished).map(([id, tonnes]) =>
      near(
        `A2 24 ${thickness} ${id}`,
        `a wall of ${id} ${thickness} thick`,
        tonnes,
        0.0006,
        't/m²',
        DERIVED,
        () => (of(id).mass + of(id).mortar * MORTAR_WEIGHS) / 1000,
      ),
    ),
  ];
});

const DRY: [number, Record<string, number>][] = [
  [400, { sandstone: 0.69, limestone: 0.72, granite: 0.795, basalt: 0.87 }],
  [500, { sandstone: 0.863, limestone: 0.9, granite: 0.994, basalt: 1.088 }],
  [550, { sandstone: 0.949, limestone: 0.99, granite: 1.093, basalt: 1.196 }],
  [600, { sandstone: 1.035, limestone: 1.08, granite: 1.193, basalt: 1.305 }],
];
const dry = DRY.flatMap(([thickness, stone]) =>
  Object.entries(stone).map(([id, tonnes]) =>
    near(
      `A2 25 ${thickness} ${id}`,
      `a dry wall of ${id} ${thickness} thick`,
      tonnes,
      0.0006,
      't/m²',
      DERIVED,
      () => dryVolumes({ gross: squareMetre(thickness), density: density(id) }).mass / 1000,
    ),
  ),
);

const PRACTICE = 'common practice, from memory';
const figures: PublishedCheck[] = [
  ...(
    [
      ['sandstone', 1.38],
      ['limestone', 1.44],
      ['granite', 1.59],
      ['basalt', 1.74],
    ] as const
  ).map(([id, tonnes]) =>
    near(
      `A1 11 ${id}`,
      `a heap of ${id} as it was tipped`,
      tonnes,
      0.001,
      't/m³',
      DERIVED,
      () => density(id) / heapOf(1) / 1000,
    ),
  ),
  near('A1 10', 'air in a heap of rubble', 0.4, 0.05, '', PRACTICE, () => TIPPED_VOIDS),
  near('A1 12', 'air in a dry wall that is hearted', 0.25, 0.05, '', PRACTICE, () => DRY_VOIDS),
  near('A1 13', 'heap to a cubic metre of dry wall', 1.25, 1e-9, 'm³', DERIVED, () => heapOf(1 - DRY_VOIDS)),
  near(
    'A2 16',
    'mortar in coursed rubble',
    0.25,
    0.05 + 1e-9,
    'm³/m³',
    'common practice; CPWD, from memory',
    () => 1 - RUBBLE_SHARE,
  ),
  ...STONES.map((s) =>
    near(
      `A1 ${s.id}`,
      `${s.id} without a void`,
      { granite: 2650, limestone: 2275, sandstone: 2375, basalt: 2900 }[s.id] ?? 0,
      { granite: 100, limestone: 375, sandstone: 275, basalt: 100 }[s.id] ?? 0,
      'kg/m³',
      'EN 1991-1-1 table A.2, from memory',
      () => s.density,
    ),
  ),
];

const E7: Section = { base: 700, top: 400, height: 1200 };
const GAP: Stretch = { length: 4000, ends: [E7, E7] };
const WORKED = 'worked example';
const body = (): ReturnType<typeof dryVolumes> => dryVolumes({ gross: volumeOf(GAP), density: 2600 });
const rows = (): ReturnType<typeof throughsIn> =>
  throughsIn(
    [GAP],
    [
      { at: 450, every: 1000 },
      { at: 850, every: 1000 },
    ],
  );
const gap: PublishedCheck[] = [
  exactly('E7 batter', 'each face leans one in', 8, '', WORKED, () => batterOf(E7)),
  ...(
    [
      [0, 700, 0],
      [300, 625, 37.5],
      [600, 550, 75],
      [900, 475, 112.5],
      [1200, 400, 150],
    ] as const
  ).flatMap(([up, width, offset]) => [
    near(`E7 width ${up}`, `width at ${up}`, width, 1e-9, 'mm', WORKED, () => widthAt(E7, up)),
    near(
      `E7 line ${up}`,
      `line in from the base face at ${up}`,
      offset,
      1e-9,
      'mm',
      WORKED,
      () => offsetsAt(E7, up).outer,
    ),
  ]),
  near('E7 body', 'body of a gap of 4 m', 2.64, 1e-9, 'm³', WORKED, () => volumeOf(GAP)),
  near('E7 stone', 'stone in its body', 5.148, 1e-9, 't', WORKED, () => body().mass / 1000),
  near('E7 hearting', 'hearting in it', 1.544, 0.0005, 't', WORKED, () => (body().hearting * 2600) / 1000),
  near(
    'E7 building stone',
    'and what is built of',
    3.604,
    0.0005,
    't',
    WORKED,
    () => ((body().face + body().back) * 2600) / 1000,
  ),
  exactly('E7 throughs', 'throughs in two rows', 7, '', WORKED, () =>
    rows().reduce((sum, r) => sum + r.count, 0),
  ),
  near(
    'E7 through 450',
    'a through of the lower row',
    587.5,
    1e-9,
    'mm',
    WORKED,
    () => rows()[0]?.length ?? 0,
  ),
  near(
    'E7 through 850',
    'a through of the upper row',
    487.5,
    1e-9,
    'mm',
    WORKED,
    () => rows()[1]?.length ?? 0,
  ),
];

/** Stone: what it weighs, what of a wall is stone, and a gap in a dry wall. */
export const STONE_CHECKS: PublishedCheck[] = [...figures, ...mortared, ...dry, ...gap];
