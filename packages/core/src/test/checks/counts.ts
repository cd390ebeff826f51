import { toInches, toMillimetres } from '../../measure/length.js';
import { unitById } from '../../tables/units.js';
import { PROFILES } from '../../tables/profiles.js';
import { closed, corner, planOf, straight, type OneWall } from '../jobs.js';
import type { WallPlan } from '../../plan/plan.js';
import type { PublishedCheck } from './list.js';

/** Pieces as whole units: a half counts a half. */
export const equivalent = (p: WallPlan): number =>
  p.runs.reduce(
    (sum, run) =>
      sum +
      run.rows.reduce(
        (s, row) =>
          s + row.pieces.reduce((t, x) => t + (x.to - x.from > p.wall.unitLength * 0.9 ? 1 : 0.5), 0),
        0,
      ),
    0,
  );

const TEK = 'NCMA TEK 4-2A, from memory; 14400 / (height × length)';
const BIA = 'BIA Technical Note 10, from memory';
const GEOMETRY = 'geometry, exact';

const per = (wall: OneWall, area: number): number => equivalent(planOf(wall)) / area;

export const COUNTS: PublishedCheck[] = [
  {
    id: 'CNT-01',
    what: '8×16 face block per 100 ft²',
    wanted: 112.5,
    within: 0,
    unit: 'block',
    source: TEK,
    got: () => per({ line: straight('16\' 8"'), height: "6'" }, 1),
  },
  {
    id: 'BRK-02',
    what: 'modular brick per 100 ft²',
    wanted: 675,
    within: 0,
    unit: 'brick',
    source: BIA,
    got: () => per({ line: straight("25'"), height: "4'", unit: 'brick-modular-us' }, 1),
  },
  {
    id: 'TV-01',
    what: '8 in block in 20 ft × 8 ft',
    wanted: 180,
    within: 0,
    unit: 'block',
    source: 'arithmetic: 15 × 12',
    got: () => per({ line: straight("20'"), height: "8'" }, 1),
  },
  {
    id: 'TV-10',
    what: 'modular brick in 20 ft × 8 ft',
    wanted: 1080,
    within: 0,
    unit: 'brick',
    source: 'arithmetic: 160 × 6.75',
    got: () => per({ line: straight("20'"), height: "8'", unit: 'brick-modular-us' }, 1),
  },
  {
    id: 'TV-10b',
    what: 'the same ordered, 5 % over',
    wanted: 1134,
    within: 0,
    unit: 'brick',
    source: 'arithmetic: 1080 × 1.05',
    got: () =>
      planOf({ line: straight("20'"), height: "8'", unit: 'brick-modular-us' }).buy.reduce(
        (s, l) => s + l.ordered,
        0,
      ),
  },
  {
    id: 'M021',
    what: 'half-brick wall, bricks per m²',
    wanted: 59.26,
    within: 0.005,
    unit: 'brick',
    source: '1 / (0.225 × 0.075), exact; common practice 60',
    got: () =>
      per(
        {
          line: straight('9 m'),
          lengths: 'nominal',
          height: '3 m',
          unit: 'brick-215x102.5x65',
          profile: 'uk',
        },
        27,
      ),
  },
  {
    id: 'M023',
    what: '440 × 215 face blocks per m²',
    wanted: 9.877,
    within: 0.0005,
    unit: 'block',
    source: '1 / (0.450 × 0.225), exact; common practice 10',
    got: () =>
      per(
        { line: straight('9 m'), lengths: 'nominal', height: 2250, unit: 'block-440x215x100', profile: 'uk' },
        20.25,
      ),
  },
  {
    id: 'bench-wall',
    what: '166′ 8″ × 33′ 4″ of 8 in block',
    wanted: 6250,
    within: 0,
    unit: 'block',
    source: 'arithmetic: 125 × 50',
    got: () => per({ line: straight('166\' 8"'), height: '33\' 4"' }, 1),
  },
  {
    id: 'ring',
    what: 'whole block in one course of a closed 24′ 8″ × 16′ 8″',
    wanted: 60,
    within: 0,
    unit: 'block',
    source: 'geometry: (37 + 25) × 2 half modules less 4 corners, over 2',
    got: () => planOf({ line: closed('24\' 8"', '16\' 8"'), height: '8"' }).tally.total,
  },
  {
    id: 'E1-bricks',
    what: 'garden wall with gate: bricks net',
    wanted: 224,
    within: 0,
    unit: 'brick',
    source: 'worked example E1, by hand',
    got: () => planOf(E1).buy[0]?.net ?? NaN,
  },
  {
    id: 'E1-ordered',
    what: 'garden wall with gate: bricks with 5 %',
    wanted: 236,
    within: 0,
    unit: 'brick',
    source: 'worked example E1, by hand',
    got: () => planOf(E1).buy[0]?.ordered ?? NaN,
  },
  {
    id: 'E1-bats',
    what: 'garden wall with gate: half bats',
    wanted: 16,
    within: 0,
    unit: 'bat',
    source: 'worked example E1, by hand',
    got: () => planOf(E1).tally.pieces.half,
  },
  {
    id: 'E6-blocks',
    what: 'retaining stem 18 modules × 7 courses: blocks',
    wanted: 126,
    within: 0,
    unit: 'block',
    source: 'worked example E6, by hand',
    got: () => per({ line: straight(8090), height: 1575, unit: 'block-440x215x215', profile: 'uk' }, 1),
  },
];

export const E1: OneWall = {
  line: straight(7190),
  height: 600,
  unit: 'brick-215x102.5x65',
  profile: 'uk',
  show: 'mm',
  openings: [{ at: 2690, width: 910, sill: 0, head: 600 }],
};

const unit = (id: string) => {
  const found = unitById(id);
  if (!found) throw new Error(id);
  return found;
};

/** How far from the target something may go, by small steps, before it is no longer taken: the last that was, mm. */
function lastTaken(target: number, step: number, taken: (mm: number) => boolean): number {
  let at = target;
  while (taken(at + step) && Math.abs(at - target) < 50) at += step;
  return at;
}

/** The thinnest or thickest bed four courses of brick are laid with before the plan says they miss their height. */
const bedTaken = (end: 'least' | 'most'): number =>
  lastTaken(10, end === 'least' ? -0.25 : 0.25, (bed) => {
    const p = planOf({
      line: [{ run: 2240 }],
      height: 4 * (65 + bed),
      unit: 'brick-215x102.5x65',
      profile: 'uk',
      show: 'mm',
    });
    return p.findings.every((f) => f.code !== 'height-off-gauge');
  });

/** The thinnest or thickest bed under course one on a footing poured high or low. */
const firstBedTaken = (end: 'least' | 'most'): number =>
  lastTaken(9.525, (end === 'least' ? -25.4 : 25.4) / 128, (bed) => {
    const p = planOf({
      line: straight("16'"),
      height: "4'",
      wall: { poured: [{ run: 0, at: 1000, level: 9.525 - bed }] },
    });
    return p.survey.poured.every((r) => r.units.every((u) => u.verdict === 'sound'));
  });

const ASTM = 'nominal less 3/8 in: TEK 5-12, TMS 402, from memory';
export const SIZES: PublishedCheck[] = [
  ...(
    [
      [4, 3.625, 'CMU-02'],
      [6, 5.625, 'CMU-03'],
      [8, 7.625, 'CMU-01'],
      [10, 9.625, 'CMU-04'],
      [12, 11.625, 'CMU-05'],
    ] as const
  ).map(([w, wanted, id]): PublishedCheck => ({
    id,
    what: `${w} in block, specified width`,
    wanted,
    within: 0,
    unit: 'in',
    source: ASTM,
    got: () => toInches(unit(`cmu-${w}x8x16`).width),
  })),
  ...(
    [
      [4, 0.2499],
      [6, 0.3878],
      [8, 0.5257],
      [10, 0.6636],
      [12, 0.8015],
    ] as const
  ).map(([w, wanted]): PublishedCheck => ({
    id: `CMU-44 ${w}`,
    what: `${w} in block, gross volume`,
    wanted,
    within: 0.00005,
    unit: 'ft³',
    source: 'arithmetic: W × 7.625 × 15.625 / 1728',
    got: () => {
      const u = unit(`cmu-${w}x8x16`);
      return (toInches(u.width) * toInches(u.height) * toInches(u.length)) / 1728;
    },
  })),
  {
    id: 'BRK-01',
    what: 'modular brick, three courses',
    wanted: 8,
    within: 0,
    unit: 'in',
    source: BIA,
    got: () =>
      3 *
      (toInches(unit('brick-modular-us').height) + toInches(unit('brick-modular-us').bed ?? unit('x').width)),
  },
  {
    id: 'M003',
    what: 'two headers and a joint make a stretcher',
    wanted: 215,
    within: 0,
    unit: 'mm',
    source: GEOMETRY,
    got: () => 2 * toMillimetres(unit('brick-215x102.5x65').width) + 10,
  },
  {
    id: 'M003b',
    what: 'three brick heights and two joints make a stretcher',
    wanted: 215,
    within: 0,
    unit: 'mm',
    source: GEOMETRY,
    got: () => 3 * toMillimetres(unit('brick-215x102.5x65').height) + 20,
  },
  {
    id: 'M011',
    what: 'one brick, gross',
    wanted: 1.4324375,
    within: 0,
    unit: 'litre',
    source: GEOMETRY,
    got: () => {
      const b = unit('brick-215x102.5x65');
      return (toMillimetres(b.length) * toMillimetres(b.width) * toMillimetres(b.height)) / 1e6;
    },
  },
  {
    id: 'M012',
    what: '440 × 215 × 100 block, gross',
    wanted: 9.46,
    within: 0,
    unit: 'litre',
    source: GEOMETRY,
    got: () => {
      const b = unit('block-440x215x100');
      return (toMillimetres(b.length) * toMillimetres(b.width) * toMillimetres(b.height)) / 1e6;
    },
  },
  {
    id: 'MOR-25 least',
    what: 'US first bed, the thinnest the plan lets stand on a footing as poured',
    wanted: 0.25,
    within: 0.01,
    unit: 'in',
    source: 'TMS 602 3.3 B, from memory',
    got: () => firstBedTaken('least') / 25.4,
  },
  {
    id: 'MOR-25 most',
    what: 'US first bed, the thickest it lets stand',
    wanted: 0.75,
    within: 0.01,
    unit: 'in',
    source: 'TMS 602 3.3 B, from memory',
    got: () => firstBedTaken('most') / 25.4,
  },
  {
    id: 'A4-42 least',
    what: 'EN bed, the thinnest a height may ask for',
    wanted: 6,
    within: 0.25,
    unit: 'mm',
    source: 'EN 1996-1-1 8.1.5, from memory',
    got: () => bedTaken('least'),
  },
  {
    id: 'A4-42 most',
    what: 'EN bed, the thickest a height may ask for',
    wanted: 15,
    within: 0.25,
    unit: 'mm',
    source: 'EN 1996-1-1 8.1.5, from memory',
    got: () => bedTaken('most'),
  },
  {
    id: 'A4-41 block',
    what: 'EN least lap, block 215 high',
    wanted: 86,
    within: 0,
    unit: 'mm',
    source: 'EN 1996-1-1 8.1.4.1: 0.4 × height, from memory',
    got: () => toMillimetres(PROFILES.uk.leastLap(unit('block-440x215x100'))),
  },
  {
    id: 'A4-41 brick',
    what: 'EN least lap, brick 65 high',
    wanted: 40,
    within: 0,
    unit: 'mm',
    source: 'EN 1996-1-1 8.1.4.1: not under 40 mm, from memory',
    got: () => toMillimetres(PROFILES.uk.leastLap(unit('brick-215x102.5x65'))),
  },
  {
    id: 'lap-us',
    what: 'US least lap, 16 in block',
    wanted: 3.90625,
    within: 0,
    unit: 'in',
    source: 'TMS 402: a quarter unit, from memory',
    got: () => toInches(PROFILES.us.leastLap(unit('cmu-8x8x16'))),
  },
  {
    id: 'E84',
    what: 'adobe least lap, 14 in unit: a quarter would be less',
    wanted: 4,
    within: 1e-9,
    unit: 'in',
    source: '14.7.4 NMAC, from memory',
    got: () => toInches(PROFILES.earth.leastLap(unit('adobe-10x14x4'))),
  },
];

/** The run, tape length and openings that the plan gives for modular US lengths. */
export const MODULAR: PublishedCheck[] = [
  {
    id: 'CNT-10',
    what: 'fifteen block on the tape',
    wanted: 239.625,
    within: 0,
    unit: 'in',
    source: 'TEK 5-12: n × 16 − 3/8, from memory',
    got: () => (planOf({ line: straight("20'"), height: "4'" }).wall.runs[0]?.length ?? NaN) / 25.4,
  },
  {
    id: 'CNT-11',
    what: 'opening of 40 in nominal on the tape',
    wanted: 40.375,
    within: 0,
    unit: 'in',
    source: 'TEK 5-12: nominal + 3/8, from memory',
    got: () => {
      const o = planOf({
        line: straight("20'"),
        height: "8'",
        openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
      }).wall.openings[0];
      return ((o?.to ?? NaN) - (o?.from ?? NaN)) / 25.4;
    },
  },
  {
    id: 'contract-opening',
    what: 'an opening at 4 ft nominal clears from',
    wanted: 47.625,
    within: 0,
    unit: 'in',
    source: 'the contract of the job file',
    got: () =>
      (planOf({
        line: straight("20'"),
        height: "8'",
        openings: [{ at: "4'", width: '3\' 4"', sill: 0, head: '6\' 8"' }],
      }).wall.openings[0]?.from ?? NaN) / 25.4,
  },
];

/** Worst piece that is neither whole nor half, and worst head joint off 10 mm, in a brick run of this length. */
export function offBond(p: WallPlan, run = 0): number {
  let worst = 0;
  for (const row of p.runs[run]?.rows ?? []) {
    for (const x of row.pieces)
      worst = Math.max(worst, Math.min(Math.abs(x.to - x.from - 215), Math.abs(x.to - x.from - 102.5)));
    for (const perp of row.perps) worst = Math.max(worst, Math.abs(perp.width - 10));
  }
  return worst;
}

const TABLE = 'brick dimension table, common practice; identities exact';
const brick = { height: 300, unit: 'brick-215x102.5x65', profile: 'uk', show: 'mm' } as const;

/** The brick table's three forms: laid out, each length stands in wholes and halves with 10 mm joints throughout. */
export const BRICK_TABLE: PublishedCheck[] = Array.from({ length: 23 }, (_, i) => 1 + i / 2).flatMap(
  (n): PublishedCheck[] => {
    const row = (form: string, length: number, got: () => number): PublishedCheck => ({
      id: `section 2, n = ${n}, ${form}`,
      what: `${form} of ${length} mm: most any piece or joint is off`,
      wanted: 0,
      within: 0,
      unit: 'mm',
      source: TABLE,
      got,
    });
    return [
      row('pier', 225 * n - 10, () => offBond(planOf({ ...brick, line: straight(225 * n - 10) }))),
      row('one end returned', 225 * n, () =>
        offBond(planOf({ ...brick, line: corner(2240, 225 * n + 102.5) }), 1),
      ),
      row('opening', 225 * n + 10, () =>
        offBond(
          planOf({
            ...brick,
            line: straight(225 * (n + 8) - 10),
            openings: [{ at: 890, width: 225 * n + 10, sill: 0, head: 300 }],
          }),
        ),
      ),
    ];
  },
);
