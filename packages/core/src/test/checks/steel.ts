import { hook180, hook180Width, hook90, cutLength, linkLength, rounded } from '../../stages/steel/bends.js';
import { bedSteelOf } from '../../stages/steel/horizontal.js';
import { developmentLength, lapOf, PLAIN_MASONRY, PLAIN_STEEL } from '../../stages/steel/laps.js';
import { spacingOf } from '../../stages/steel/spacing.js';
import { BARS, barOf } from '../../tables/bars.js';
import { planOf, straight } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const A615 = 'ASTM A615 bar table, from memory';
const CRSI = 'TMS 402 6.1 / ACI 318 Table 25.3.1, from memory; the arithmetic of its rule';
const TMS = 'TMS 402 Eq. 6-1, from memory; arithmetic';
const EN = 'EN 10080 nominal mass table, from memory';
const INCH = 25.4;
const POUND_PER_FOOT = 0.45359237 / 0.3048;

/** Pounds in a cubic inch of steel: 490 lb/ft³. */
const POUNDS = 490 / 1728;

/** A US bar by its number: so many eighths of an inch; from No. 9 on round what squares an inch and its eighths were. */
function usBar(n: number): PublishedCheck[] {
  const inch = n <= 8 ? n / 8 : Math.sqrt(4 / Math.PI);
  const area = (Math.PI / 4) * inch ** 2;
  const check = (
    what: string,
    wanted: number,
    within: number,
    unit: string,
    got: () => number,
  ): PublishedCheck => ({
    id: `BAR No. ${n} ${what}`,
    what: `No. ${n}: ${what}`,
    wanted: Math.round(wanted * 1000) / 1000,
    within,
    unit,
    source: `${A615}: by its number, and steel of 490 lb/ft³`,
    got,
  });
  return [
    check('diameter', inch, 0.0005, 'in', () => barOf(`#${n}`).diameter / INCH),
    // The table rounds areas to a hundredth.
    check('area', area, 0.0055, 'in²', () => barOf(`#${n}`).area / INCH ** 2),
    check('mass', area * 12 * POUNDS, 0.005, 'lb/ft', () => barOf(`#${n}`).kgPerM / POUND_PER_FOOT),
  ];
}

const hook = (row: string, n: number, d90: number, d180: number, j: number): PublishedCheck[] => [
  {
    id: `${row} 90°`,
    what: `No. ${n}: standard 90° hook, outside`,
    wanted: d90,
    within: 0.01,
    unit: 'in',
    source: CRSI,
    got: () => hook90(`#${n}`) / INCH,
  },
  {
    id: `${row} 180°`,
    what: `No. ${n}: standard 180° hook, taken beyond the straight`,
    wanted: d180,
    within: 0.01,
    unit: 'in',
    source: CRSI,
    got: () => hook180(`#${n}`) / INCH,
  },
  {
    id: `${row} J`,
    what: `No. ${n}: width over a 180° hook`,
    wanted: j,
    within: 0.01,
    unit: 'in',
    source: CRSI,
    got: () => hook180Width(`#${n}`) / INCH,
  },
];

const develops = (row: string, n: number, width: number, wanted: number): PublishedCheck => ({
  id: row,
  what: `No. ${n} centred in ${width} in of wall, f′m 2 000, Grade 60: development length`,
  wanted,
  within: 0.1,
  unit: 'in',
  source: TMS,
  got: () => {
    const { diameter } = barOf(`#${n}`);
    const cover = (width * INCH - diameter) / 2;
    return developmentLength(diameter, cover, PLAIN_MASONRY, PLAIN_STEEL) / INCH;
  },
});

const asked = { rule: '48d', length: null, masonry: PLAIN_MASONRY, steel: PLAIN_STEEL } as const;

/** A square panel of block with reinforcement every so many courses: feet of it per 100 ft². */
const bedPer100 = (every: number, of: 'net' | 'withLaps'): number => {
  // 240 ft is 25 pieces of 10 ft lapped 6 in, all but nothing.
  const p = planOf({
    line: straight('237\' 6"'),
    height: "16'",
    lengths: 'actual',
    wall: { steel: { bed: { every, kind: 'ladder' } } },
  });
  const bed = bedSteelOf(p.wall, p.runs, p.gauge.courses);
  // One bed in every two courses, the top one under the capping left out: per course reinforced.
  const perCourse = (bed?.[of] ?? NaN) / (bed?.courses ?? NaN) / 0.3048 / 237.5;
  return (perCourse * 100) / ((every * 8) / 12);
};

export const STEEL: PublishedCheck[] = [
  ...[3, 4, 5, 6, 7, 8, 9].flatMap(usBar),
  ...(
    [
      [8, 0.395, 50.3],
      [10, 0.617, 78.5],
      [12, 0.888, 113.1],
      [16, 1.578, 201.1],
      [20, 2.466, 314.2],
      [25, 3.853, 490.9],
      [32, 6.313, 804.2],
    ] as const
  ).flatMap(([d, mass, area]): PublishedCheck[] => [
    {
      id: `T${d} mass`,
      what: `${d} mm bar, at 7 850 kg/m³`,
      wanted: mass,
      within: 0.0005,
      unit: 'kg/m',
      source: EN,
      got: () => barOf(`T${d}`).kgPerM,
    },
    {
      id: `T${d} area`,
      what: `${d} mm bar: area`,
      wanted: area,
      within: 0.05,
      unit: 'mm²',
      source: 'geometry',
      got: () => barOf(`T${d}`).area,
    },
  ]),
  // Two diameters to 16 mm, three and a half above.
  ...[8, 10, 12, 16, 20, 25, 32].map((d): PublishedCheck => ({
    id: `M129 ${d}`,
    what: `${d} mm bar: least scheduling radius`,
    wanted: (d <= 16 ? 2 : 3.5) * d,
    within: 0.5,
    unit: 'mm',
    source: 'BS 8666 Table 2 by its rule, from memory',
    got: () => (BARS.find((b) => b.size === `T${d}`)?.bend ?? NaN) / 2,
  })),
  ...hook('HK-01', 3, 6, 5.12, 3),
  ...hook('HK-02', 4, 8, 6, 4),
  ...hook('HK-03', 5, 10, 6.87, 5),
  ...hook('HK-04', 6, 12, 8.25, 6),
  ...hook('HK-05', 7, 14, 9.62, 7),
  ...hook('HK-06', 8, 16, 11, 8),
  ...hook('HK-07', 9, 19.18, 14.82, 11.28),
  develops('REB-23', 4, 7.625, 12.2),
  develops('REB-24', 5, 7.625, 19.5),
  develops('REB-25', 6, 7.625, 37.1),
  develops('REB-26', 7, 7.625, 51.4),
  develops('REB-27', 8, 7.625, 79.0),
  develops('REB-29 No. 5', 5, 11.625, 12.4),
  develops('REB-29 No. 6', 6, 11.625, 23.5),
  develops('REB-29 No. 7', 7, 11.625, 32.3),
  develops('REB-29 No. 8', 8, 11.625, 49.2),
  develops('REB-30 No. 4', 4, 5.625, 17.0),
  develops('REB-30 No. 5', 5, 5.625, 27.3),
  develops('REB-30 No. 6', 6, 5.625, 52.3),
  ...(
    [
      [4, 24],
      [5, 30],
      [6, 36],
    ] as const
  ).map(([n, wanted]): PublishedCheck => ({
    id: `REB-32 No. ${n}`,
    what: `No. ${n}: lap of 48 diameters`,
    wanted,
    within: 0,
    unit: 'in',
    source: 'older allowable-stress rule, from memory; arithmetic',
    got: () => lapOf(`#${n}`, asked, 90).length / INCH,
  })),
  {
    id: 'M131',
    what: 'shape 11: A + B − r/2 − d, a 12 mm bar 300 by 500',
    wanted: 300 + 500 - 0.5 * 24 - 12,
    within: 0,
    unit: 'mm',
    source: 'BS 8666, from memory',
    got: () => cutLength('T12', { shape: 'corner', a: 300, b: 500, c: 0 }),
  },
  {
    id: 'M131 U',
    what: 'shape 21: A + B + C − r − 2 d, a 10 mm bar 400, 150, 400',
    wanted: 400 + 150 + 400 - 20 - 20,
    within: 0,
    unit: 'mm',
    source: 'BS 8666, from memory',
    got: () => cutLength('T10', { shape: 'u', a: 400, b: 150, c: 400 }),
  },
  {
    id: 'M132',
    what: 'link of 10 mm, A 200, B 300, C 130',
    wanted: 1160,
    within: 0,
    unit: 'mm',
    source: 'BS 8666 shape 51, from memory; arithmetic',
    got: () => linkLength('T10', 200, 300, 130),
  },
  {
    id: 'M132 cut',
    what: 'the same as it is scheduled: next 25 up',
    wanted: 1175,
    within: 0,
    unit: 'mm',
    source: 'BS 8666, from memory',
    got: () => rounded(barOf('T10'), linkLength('T10', 200, 300, 130)),
  },
  {
    id: 'JR-10',
    what: 'joint reinforcement at 16 in, per 100 ft², net',
    wanted: 75,
    within: 0.001,
    unit: 'ft',
    source: 'arithmetic: 100 / (16/12)',
    got: () => bedPer100(2, 'net'),
  },
  {
    id: 'JR-10b',
    what: 'the same with 6 in laps on 10 ft',
    wanted: 78.9,
    within: 0.2,
    unit: 'ft',
    source: 'arithmetic: × 10/9.5 (a wall’s last piece laps once less)',
    got: () => bedPer100(2, 'withLaps'),
  },
  {
    id: 'JR-11',
    what: 'at 8 in, per 100 ft², net',
    wanted: 150,
    within: 0.001,
    unit: 'ft',
    source: 'arithmetic',
    got: () => bedPer100(1, 'net'),
  },
  {
    id: 'JR-11b',
    what: 'at 24 in, per 100 ft², net',
    wanted: 50,
    within: 0.001,
    unit: 'ft',
    source: 'arithmetic',
    got: () => bedPer100(3, 'net'),
  },
  ...(
    [
      ['24 in on 16 in block', 24, 8, 24],
      ['36 in on 16 in block: the next lower', 36, 8, 32],
      ['36 in on 18 in block: four cells', 36, 9, 36],
      ['24 in on 18 in block: the next lower', 24, 9, 18],
    ] as const
  ).map(([what, every, pitch, wanted]): PublishedCheck => ({
    id: `spacing ${every} on ${pitch}`,
    what: `bars at ${what}`,
    wanted,
    within: 0,
    unit: 'in',
    source: 'common practice: spacings the unit’s own cells allow',
    got: () => spacingOf(every * INCH, pitch * INCH).used / INCH,
  })),
  ...(
    [
      [675, 225, 675],
      [900, 225, 900],
      [800, 200, 800],
      [500, 200, 400],
    ] as const
  ).map(([every, pitch, wanted]): PublishedCheck => ({
    id: `spacing ${every} on ${pitch} mm`,
    what: `bars at ${every} on cells ${pitch} apart`,
    wanted,
    within: 0,
    unit: 'mm',
    source: 'common practice: spacings the unit’s own cells allow',
    got: () => spacingOf(every, pitch).used,
  })),
];
