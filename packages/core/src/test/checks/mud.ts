import { LITRE, POUND } from '../../measure/amounts.js';
import { CUBIC_FOOT_MM3, CUBIC_METRE_MM3 } from '../../measure/length.js';
import type { JobDocument, OwnMix } from '../../job/types.js';
import { looseOf, madeOf, madeOfOnePart, makingOf, type Sand } from '../../mud/making.js';
import { repointing as repointingOf } from '../../mud/repointing.js';
import { mixOf } from '../../mud/settings.js';
import { BULKING, MATERIAL, type Basis, type MaterialId } from '../../tables/mixes/materials.js';
import { mixNamed, type Mix } from '../../tables/mixes/mixes.js';
import { materialsFor } from '../../stages/mud/wallMud.js';
import { mudSettings } from '../../mud/settings.js';
import { exactly, near, type PublishedCheck } from './list.js';

const FT3 = CUBIC_FOOT_MM3 / CUBIC_METRE_MM3;
const YD3 = 27 * FT3;
const DRY: Sand = { state: 'dry', bulking: 0 };

const named = (id: string): Mix => {
  const mix = mixNamed(id);
  if (!mix) throw new Error(`no mix ${id}`);
  return mix;
};
const job = (mixes: OwnMix[], profile: 'us' | 'uk' = 'uk'): JobDocument => ({
  format: 'even-tally/job',
  version: 1,
  name: 'm',
  show: 'mm',
  profile,
  mixes,
  walls: [],
});
const own = (parts: [MaterialId, number][], y: OwnMix['yield']): Mix => {
  const mix = mixOf(job([{ id: 'own', parts: parts.map(([of, n]) => ({ of, parts: n })), yield: y }]), 'own');
  if (!mix) throw new Error('no own mix');
  return mix;
};
const part = (mix: Mix, of: MaterialId) => {
  const found = mix.parts.find((p) => p.of === of);
  if (!found) throw new Error(`no ${of}`);
  return found;
};

/** Pounds of a material in a cubic foot of mud. */
const poundsIn = (id: string, of: MaterialId): number =>
  ((makingOf(named(id), 'us', DRY).mass[of] ?? 0) * FT3) / POUND;
/** Kilograms, and cubic metres loose, in a cubic metre of it. */
const kgIn = (mix: Mix, of: MaterialId): number => makingOf(mix, 'metric', DRY).mass[of] ?? 0;
const m3In = (mix: Mix, of: MaterialId): number => makingOf(mix, 'metric', DRY).loose[of] ?? 0;

const BIA = 'BIA Technical Note 10/8 (older) table, from memory';
const MODEL = 'model S, dry factor 1.30 or absolute volumes, common practice';
const BAG = 'printed on the bag, from memory';

const inCubicFoot: PublishedCheck[] = (
  [
    ['MOR-41', 'cement-lime-n', 'portland', 15.67],
    ['MOR-41', 'cement-lime-n', 'lime-hydrated', 6.67],
    ['MOR-41', 'cement-lime-n', 'sand', 80],
    ['MOR-42', 'cement-lime-s', 'portland', 20.89],
    ['MOR-42', 'cement-lime-s', 'lime-hydrated', 4.44],
    ['MOR-42', 'cement-lime-s', 'sand', 80],
    ['MOR-44', 'cement-lime-o', 'portland', 10.44],
    ['MOR-44', 'cement-lime-o', 'lime-hydrated', 8.89],
  ] as const
).map(([row, id, of, wanted]) =>
  near(`${row} ${of}`, `${of} in a cubic foot of ${id}`, wanted, 0.005, 'lb', BIA, () => poundsIn(id, of)),
);

const bagsToYard: PublishedCheck[] = (
  [
    ['n', 4.5],
    ['s', 6],
    ['m', 9],
  ] as const
).map(([type, wanted]) =>
  exactly(
    `MOR-45 ${type}`,
    `bags of cement to a yard of sand, type ${type}`,
    wanted,
    'bags',
    'arithmetic',
    () => {
      const { mass, loose } = makingOf(named(`cement-lime-${type}`), 'us', DRY);
      return ((mass.portland ?? 0) / (94 * POUND) / (loose.sand ?? 1)) * YD3;
    },
  ),
);

const ratios: PublishedCheck[] = ['m', 's', 'n', 'o'].map((type) =>
  near(
    `MOR-05 ${type}`,
    `sand to all that binds, type ${type}`,
    2.625,
    0.375,
    'parts',
    'ASTM C270 table 1: 2¼ to 3, from memory',
    () => {
      const mix = named(`cement-lime-${type}`);
      return part(mix, 'sand').parts / (part(mix, 'portland').parts + part(mix, 'lime-hydrated').parts);
    },
  ),
);

const groutParts: PublishedCheck[] = [
  near(
    'GR-01',
    'sand to cement in fine grout',
    2.625,
    0.375,
    'parts',
    'ASTM C476 table 1, from memory',
    () => part(named('grout-fine'), 'sand').parts,
  ),
  near(
    'GR-02',
    'gravel to cement in coarse grout',
    1.5,
    0.5,
    'parts',
    'ASTM C476 table 1, from memory',
    () => part(named('grout-coarse'), 'gravel').parts,
  ),
];

const weights: PublishedCheck[] = (
  [
    ['MOR-16', 'portland', 94, 'ASTM C270, from memory'],
    ['MOR-18', 'lime-putty', 80, 'ASTM C270, from memory'],
    ['MOR-19', 'sand', 80, 'ASTM C270, from memory'],
    ['A5 63', 'lime-hydrated', 40, 'ASTM C270, from memory'],
    ['BAG-25', 'ballast', 100, 'ASCE 7 table C3-2, from memory'],
  ] as const
).map(([id, of, wanted, source]) =>
  exactly(
    `${id} ${of}`,
    `a cubic foot of ${of}`,
    wanted,
    'lb',
    source,
    () => (MATERIAL[of].loose.us * FT3) / POUND,
  ),
);

const bags: PublishedCheck[] = [
  near('BAG-04', 'an 80 lb bag of dry mortar makes', 0.67, 0.005, 'ft³', BAG, () => {
    const mix = named('preblended-s');
    const bag = (80 * POUND) / looseOf(part(mix, 'preblended'), 'us');
    return madeOf(mix, 'us', DRY, { preblended: bag }) / FT3;
  }),
  near('BAG-06', '80 lb bags to a yard', 40, 0.5, 'bags', 'arithmetic', () => {
    const { mass } = makingOf(named('preblended-s'), 'us', DRY);
    return ((mass.preblended ?? 0) * YD3) / (80 * POUND);
  }),
  exactly(
    'BAG-09',
    'a bag of cement, loose',
    1,
    'ft³',
    'ASTM C150 and C270, from memory',
    () => (94 * POUND) / MATERIAL.portland.loose.us / FT3,
  ),
  near(
    'BAG-10',
    'a bag of cement, solid',
    0.478,
    0.0005,
    'ft³',
    'arithmetic',
    () => (94 * POUND) / MATERIAL.portland.solid / FT3,
  ),
  exactly('BAG-11 n', 'a 70 lb bag of masonry cement, loose', 1, 'ft³', 'ASTM C91, from memory', () => {
    const mix = named('masonry-cement-n');
    return (70 * POUND) / looseOf(part(mix, 'masonry-cement'), 'us') / FT3;
  }),
  exactly('BAG-11 s', 'a 75 lb bag of masonry cement, loose', 1, 'ft³', 'ASTM C91, from memory', () => {
    const mix = named('masonry-cement-s');
    return (75 * POUND) / looseOf(part(mix, 'masonry-cement'), 'us') / FT3;
  }),
  near(
    'MOR-47',
    'a bag of masonry cement and three feet of sand make',
    3,
    0.06,
    'ft³',
    'trade; 2.94 by its solids',
    () => madeOf(named('masonry-cement-n'), 'us', DRY, { 'masonry-cement': FT3, sand: 3 * FT3 }) / FT3,
  ),
  near(
    'MOR-46',
    'a bag of cement, half a bag of lime and 4½ feet of sand make',
    4.5,
    0.35,
    'ft³',
    'trade; 4.16 by its solids',
    () =>
      madeOf(named('cement-lime-s'), 'us', DRY, {
        portland: FT3,
        'lime-hydrated': FT3 / 2,
        sand: 4.5 * FT3,
      }) / FT3,
  ),
  exactly(
    'BAG-16',
    'a yard of damp loose sand',
    2160,
    'lb',
    'arithmetic',
    () => (MATERIAL.sand.loose.us * YD3) / POUND,
  ),
  near('M171', 'a 25 kg bag of dry mortar makes', 13.5, 0.5, 'L', 'common practice; the bag governs', () => {
    const mix = named('preblended-n');
    return (
      madeOf(mix, 'metric', DRY, { preblended: 25 / looseOf(part(mix, 'preblended'), 'metric') }) / LITRE
    );
  }),
  near(
    'M173 bag',
    'a 25 kg bag of cement, loose',
    17.4,
    0.05,
    'L',
    'arithmetic',
    () => 25 / MATERIAL.portland.loose.metric / LITRE,
  ),
  near(
    'M173 1:4',
    'mortar of a 25 kg bag of cement at 1 : 4',
    0.0649,
    0.00005,
    'm³',
    'arithmetic',
    () => 25 / kgIn(named('cement-sand-4'), 'portland'),
  ),
  near(
    'M173 1:1:6',
    'mortar of a 25 kg bag of cement at 1 : 1 : 6',
    0.0973,
    0.0001,
    'm³',
    'arithmetic',
    () => 25 / kgIn(named('cement-lime-n'), 'portland'),
  ),
];

const sandFills: PublishedCheck[] = (
  [
    ['M054', 3, 514, 20.5, 510],
    ['M055', 4, 385, 15.4, 380],
    ['M056', 5, 308, 12.3, 310],
    ['M057', 6, 257, 10.3, 250],
  ] as const
).flatMap(([id, n, kg, bagsOf25, rival]) => {
  const mix = (): Mix => named(`cement-sand-${n}`);
  return [
    near(`${id} S cement`, `cement in a cubic metre at 1 : ${n}`, kg, 0.7, 'kg', MODEL, () =>
      kgIn(mix(), 'portland'),
    ),
    exactly(`${id} S sand`, `sand in a cubic metre at 1 : ${n}`, 1.07, 'm³', MODEL, () =>
      m3In(mix(), 'sand'),
    ),
    near(
      `M062 1:${n}`,
      `25 kg bags in a cubic metre at 1 : ${n}`,
      bagsOf25,
      0.06,
      'bags',
      'arithmetic',
      () => kgIn(mix(), 'portland') / 25,
    ),
    near(
      `M061 1:${n}`,
      `cement in a cubic metre at 1 : ${n}`,
      rival,
      rival * 0.03,
      'kg',
      'an Indian schedule of rates, from memory',
      () => kgIn(mix(), 'portland'),
    ),
  ];
});

const dryFactor: PublishedCheck[] = (
  [
    ['M054', 3, 468, 0.975],
    ['M055', 4, 374, 1.04],
    ['M056', 5, 312, 1.083],
    ['M057', 6, 267, 1.114],
  ] as const
).flatMap(([id, n, kg, m3]) => {
  const mix = (): Mix =>
    own(
      [
        ['portland', 1],
        ['sand', n],
      ],
      { model: 'dry', factor: 1.3 },
    );
  return [
    near(`${id} D cement`, `cement at 1 : ${n}, dry factor`, kg, 0.6, 'kg', MODEL, () =>
      kgIn(mix(), 'portland'),
    ),
    near(`${id} D sand`, `sand at 1 : ${n}, dry factor`, m3, 0.0005, 'm³', MODEL, () => m3In(mix(), 'sand')),
  ];
});

const gauged: PublishedCheck[] = [
  near('M060 cement', 'cement in a cubic metre at 1 : 2 : 9', 171, 0.5, 'kg', MODEL, () =>
    kgIn(named('cement-lime-o'), 'portland'),
  ),
  near('M060 lime', 'lime in a cubic metre at 1 : 2 : 9', 143, 0.5, 'kg', MODEL, () =>
    kgIn(named('cement-lime-o'), 'lime-hydrated'),
  ),
  near(
    'M062 1:1:6',
    '25 kg bags in a cubic metre at 1 : 1 : 6',
    10.3,
    0.06,
    'bags',
    'arithmetic',
    () => kgIn(named('cement-lime-n'), 'portland') / 25,
  ),
  near(
    'M062 1:2:9',
    '25 kg bags in a cubic metre at 1 : 2 : 9',
    6.8,
    0.06,
    'bags',
    'arithmetic',
    () => kgIn(named('cement-lime-o'), 'portland') / 25,
  ),
  near(
    'M066',
    'damp sand takes up more room by',
    0.25,
    0.05,
    '',
    'concrete texts: 20–30 %, from memory',
    () => BULKING,
  ),
];

const concretes: PublishedCheck[] = (
  [
    ['M167', 2, 4, 0.55, 300],
    ['M168', 3, 6, 0.7, 213],
  ] as const
).map(([id, sand, gravel, water, kg]) =>
  near(
    id,
    `cement in a cubic metre of concrete at 1 : ${sand} : ${gravel}`,
    kg,
    1,
    'kg',
    'absolute volumes',
    () =>
      kgIn(
        own(
          [
            ['portland', 1],
            ['sand', sand],
            ['gravel', gravel],
          ],
          { model: 'absolute', water, air: 0.015 },
        ),
        'portland',
      ),
  ),
);

const limes: PublishedCheck[] = [
  ...(
    [
      ['2', 45],
      ['3.5', 40],
      ['5', 36],
    ] as const
  ).map(([grade, litres]) =>
    near(
      `A5 52 NHL ${grade}`,
      `a 25 kg bag of hydraulic lime ${grade}, loose`,
      litres,
      0.5,
      'L',
      'practice, from memory',
      () => 25 / looseOf(part(named(`nhl-${grade}`), 'nhl'), 'metric') / LITRE,
    ),
  ),
  near(
    'A5 55 yield',
    'a litre of hydraulic lime 3.5 and 2½ of sand make',
    2.575,
    0.005,
    'L',
    'arithmetic of its solids',
    () => madeOfOnePart(named('nhl-3.5'), 'metric'),
  ),
  near(
    'A5 55 sand',
    'sand in mortar of hydraulic lime 3.5',
    0.97,
    0.005,
    'm³',
    'arithmetic of its solids',
    () => m3In(named('nhl-3.5'), 'sand'),
  ),
  near('A6 74', 'loose dry soil in a cubic metre of mud', 1.3, 0.05, 'm³', 'common practice', () =>
    m3In(named('earth'), 'soil'),
  ),
];

const E17 = (): { need: ReturnType<typeof materialsFor> } => {
  const mix = own(
    [
      ['nhl', 1],
      ['sand', 2],
    ],
    { model: 'dry', factor: 1.36 },
  );
  const settings = { ...mudSettings(job([])), sand: DRY };
  return { need: materialsFor([{ mix, used: 0.1536 * 1.15 }], settings) };
};
/** 24 m² of it with 8 m of joint to each, 20 wide and 40 deep. */
const E17_JOINTS = repointingOf({ joints: 24 * 8000, raked: 0, pointed: 0, depth: 40, width: 20 }, 'metric');
const repointing: PublishedCheck[] = [
  near(
    'E17 joints',
    'mud in 192 m of joint',
    0.1536,
    1e-9,
    'm³',
    'worked example',
    () => E17_JOINTS.face + E17_JOINTS.behind,
  ),
  near(
    'E17 used',
    'and with what falls of it',
    0.17664,
    1e-9,
    'm³',
    'worked example',
    () => E17_JOINTS.faceUsed + E17_JOINTS.behindUsed,
  ),
  exactly(
    'MOR-28 layers',
    'layers to 3/4 in of depth',
    3,
    'layers',
    'BIA TN 46, from memory',
    () => repointingOf({ joints: 1, raked: 0, pointed: 0, depth: 19.05, width: 9.525 }, 'us').layers,
  ),
  near(
    'E17 lime',
    'lime to repoint 24 m² of rubble',
    49.65,
    0.005,
    'kg',
    'worked example',
    () => E17().need.find((n) => n.of === 'nhl')?.mass ?? 0,
  ),
  exactly(
    'E17 bags',
    'its bags of 25 kg',
    2,
    'bags',
    'worked example',
    () => E17().need.find((n) => n.of === 'nhl')?.ordered['25 kg bag'] ?? 0,
  ),
  near(
    'E17 sand',
    'its sand',
    0.160154,
    0.0000005,
    'm³',
    'worked example',
    () => E17().need.find((n) => n.of === 'sand')?.volume ?? 0,
  ),
];

const life = (id: string, basis: Basis, hot = false): number => named(id)[hot ? 'hotLife' : 'life'][basis];
const lives: PublishedCheck[] = [
  exactly('WX-16', 'cement mud, in the heat', 120, 'min', 'TMS 602 1.8 D, from memory', () =>
    life('cement-lime-s', 'us', true),
  ),
  exactly('WX-16 usual', 'cement mud', 150, 'min', 'TMS 602, from memory', () => life('cement-lime-s', 'us')),
  exactly('M080', 'cement mud in Britain', 120, 'min', 'BS 8000-3, from memory', () =>
    life('cement-lime-n', 'metric'),
  ),
  near('A5 56 NHL 5', 'hydraulic lime 5', 180, 60, 'min', 'common practice: 2–4 h', () =>
    life('nhl-5', 'metric'),
  ),
  near('A5 56 NHL 2', 'hydraulic lime 2', 300, 60, 'min', 'common practice: 4–6 h', () =>
    life('nhl-2', 'metric'),
  ),
  near('A5 56 NHL 3.5', 'hydraulic lime 3.5', 300, 60, 'min', 'common practice: 4–6 h', () =>
    life('nhl-3.5', 'metric'),
  ),
];

export const MUD_CHECKS: PublishedCheck[] = [
  ...inCubicFoot,
  ...bagsToYard,
  ...ratios,
  ...groutParts,
  ...weights,
  ...bags,
  ...sandFills,
  ...dryFactor,
  ...gauged,
  ...concretes,
  ...limes,
  ...repointing,
  ...lives,
];
