import { filledVolume } from '../../stages/grout/fill.js';
import { primeVolume } from '../../stages/grout/pours.js';
import { spaceFor } from '../../tables/grout.js';
import { cellsOfPiece, insideWidth } from '../../stages/steel/cells.js';
import { planOf, straight } from '../jobs.js';
import type { Wall } from '../../job/types.js';
import type { PublishedCheck } from './list.js';

const TABLE = 'TMS 602 Table 6 (2016), from memory';
const A = 'geometry of the published minimum shells and webs (geometry A), arithmetic';
const INCH = 25.4;
const FT3 = 0.3048 ** 3;
const YD3 = 27 * FT3;

const groutIn = (
  unit: string,
  line: string,
  height: string,
  wall: Partial<Wall>,
  lengths: 'nominal' | 'actual' = 'nominal',
) =>
  planOf({ line: straight(line), height, unit, lengths, wall }).fills.reduce(
    (s, f) => s + filledVolume(f.volume),
    0,
  );

/** Solid grout per unit of wall, ft³: a long wall's difference from one a unit shorter, so that ends fall out. */
const perUnit = (unit: string): number => {
  const solid = { grout: { fill: 'all' as const } };
  const at = (feet: number): number => groutIn(unit, `${feet * 12}"`, '8"', solid);
  return (at(80) - at(40)) / 30 / FT3;
};

const solid = (row: string, unit: string, width: number, per100: number): PublishedCheck => ({
  id: row,
  what: `${width} in block filled solid, per 100 ft²`,
  wanted: per100,
  within: 0.1,
  unit: 'ft³',
  source: A,
  got: () => perUnit(unit) * 112.5,
});

/** Vertical cells only, per 100 ft² of a long wall: a bar's cells between two lengths, so that ends fall out. */
const partial = (row: string, unit: string, width: number, s: number, yards: number): PublishedCheck => ({
  id: row,
  what: `${width} in block, cells at ${s} in, no beams, per 100 ft²`,
  wanted: yards,
  within: 0.0011,
  unit: 'yd³',
  source: `${A}; V only`,
  got: () => {
    const wall: Partial<Wall> = {
      steel: { vertical: { bar: '#4', every: `${s}"` } },
      grout: { fill: 'steel' },
      jointEvery: "900'",
    };
    const at = (n: number): number => groutIn(unit, `${n * s * 2}"`, "8'", wall);
    return (at(30) - at(10)) / YD3 / ((20 * s * 2 * 8) / 12 / 100);
  },
});

const space = (
  row: string,
  aggregate: 'fine' | 'coarse',
  feet: number,
  a: number,
  b: number,
): PublishedCheck[] => [
  {
    id: `${row} least`,
    what: `${aggregate} grout poured ${feet} ft: least cell`,
    wanted: a,
    within: 0,
    unit: 'in',
    source: TABLE,
    got: () => (spaceFor(aggregate, feet * 12 * INCH)?.cell[0] ?? NaN) / INCH,
  },
  {
    id: `${row} other`,
    what: `${aggregate} grout poured ${feet} ft: the other way`,
    wanted: b,
    within: 0,
    unit: 'in',
    source: TABLE,
    got: () => (spaceFor(aggregate, feet * 12 * INCH)?.cell[1] ?? NaN) / INCH,
  },
];

const stretcher = (unit: string) => {
  const p = planOf({ line: straight("8'"), height: "4'", unit });
  const piece = p.runs[0]?.rows[0]?.pieces[1];
  return { wall: p.wall, cells: piece ? cellsOfPiece(p.wall, piece, []) : [] };
};

/** Pours of a wall of 8 in block, so many courses high, 32 ft long, that may be poured so high at once. */
const poured = (courses: number, pour?: string, fill: 'steel' | 'all' = 'steel') =>
  planOf({
    line: straight("32'"),
    height: `${courses * 8}"`,
    wall: {
      steel: { vertical: { bar: '#4', every: '48"' } },
      grout: { fill, ...(pour === undefined ? {} : { pour }) },
    },
  }).pours;

const tallestLift = (courses: number, pour?: string): number =>
  Math.max(...poured(courses, pour).flatMap((p) => p.lifts.map((l) => l.top - l.bottom)));

/** Of how many courses the highest pour is that needs no cleanout. */
const mostWithoutCleanouts = (): number =>
  Math.max(
    ...Array.from({ length: 12 }, (_, i) => i + 1).filter((n) =>
      poured(n, "12'").every((p) => p.cleanouts === 0),
    ),
  );

/** What a No. 4 bar on the soil's side leaves clear of a shell 1¼ in thick, in. */
function clearanceOf(aggregate: 'fine' | 'coarse'): number {
  const { steel } = planOf({
    line: straight("16'"),
    height: "8'",
    wall: {
      held: 'soil',
      steel: { vertical: { bar: '#4', every: '48"' } },
      grout: { fill: 'steel', aggregate },
    },
  });
  return (7.625 - 2 * 1.25) / 2 - 0.25 - Math.abs(steel.place?.off ?? NaN) / INCH;
}

export const GROUT: PublishedCheck[] = [
  solid('GV 8 in', 'cmu-8x8x16', 8, 34.7),
  solid('GV-03', 'cmu-10x8x16', 10, 46.9),
  solid('GV-04', 'cmu-12x8x16', 12, 60.0),
  partial('GP-03', 'cmu-6x8x16', 6, 32, 0.221),
  partial('GP-04', 'cmu-6x8x16', 6, 40, 0.177),
  partial('GP-05', 'cmu-6x8x16', 6, 48, 0.147),
  partial('GP-06', 'cmu-8x8x16', 8, 16, 0.624),
  partial('GP-07', 'cmu-8x8x16', 8, 24, 0.416),
  partial('GP-08', 'cmu-8x8x16', 8, 32, 0.312),
  partial('GP-09', 'cmu-8x8x16', 8, 40, 0.25),
  partial('GP-10', 'cmu-8x8x16', 8, 48, 0.208),
  partial('GP-11', 'cmu-10x8x16', 10, 16, 0.842),
  partial('GP-15', 'cmu-10x8x16', 10, 48, 0.281),
  partial('GP-18', 'cmu-12x8x16', 12, 32, 0.539),
  partial('GP-19', 'cmu-12x8x16', 12, 40, 0.431),
  {
    id: 'GX-03',
    what: '8 in block filled solid by a cubic yard',
    wanted: 87.5,
    within: 0.1,
    unit: 'block',
    source: A,
    got: () => 27 / perUnit('cmu-8x8x16'),
  },
  {
    id: 'CMU-36',
    what: '8 in block: percent solid from the minimum geometry',
    wanted: 45.7,
    within: 0.05,
    unit: '%',
    source: 'arithmetic: (908.4 − 493.4) / 908.4',
    got: () => {
      const { wall, cells } = stretcher('cmu-8x8x16');
      const area = cells.reduce((s, c) => s + c.area, 0);
      return 100 * (1 - area / (wall.unitLength * wall.unitWidth));
    },
  },
  ...(
    [
      ['cmu-8x8x16', 6.3125, 5.125],
      ['cmu-10x8x16', 6.125, 7.125],
      ['cmu-12x8x16', 6.125, 9.125],
      ['cmu-6x6x18', 7.3125, 3.625],
    ] as const
  ).flatMap(([unit, long, wide]): PublishedCheck[] => [
    {
      id: `cell of ${unit}`,
      what: `${unit}: cell, along the wall`,
      wanted: long,
      within: 0,
      unit: 'in',
      source: A,
      got: () => {
        const { cells } = stretcher(unit);
        return ((cells[0]?.to ?? NaN) - (cells[0]?.from ?? NaN)) / INCH;
      },
    },
    {
      id: `width of ${unit}`,
      what: `${unit}: cell, through the wall`,
      wanted: wide,
      within: 0,
      unit: 'in',
      source: A,
      got: () => insideWidth(stretcher(unit).wall) / INCH,
    },
  ]),
  ...space('GR-09', 'fine', 1, 1.5, 2),
  ...space('GR-11', 'fine', 12.67, 2.5, 3),
  ...space('GR-12', 'fine', 24, 3, 3),
  ...space('GR-13', 'coarse', 1, 1.5, 3),
  ...space('GR-14', 'coarse', 5.33, 2.5, 3),
  ...space('GR-15', 'coarse', 12.67, 3, 3),
  ...space('GR-16', 'coarse', 24, 3, 4),
  {
    id: 'GR-19',
    what: 'a lift',
    wanted: 64,
    within: 0,
    unit: 'in',
    source: 'TMS 602 Art. 3.5 D, from memory: 8 courses of 8 in',
    got: () => tallestLift(16) / INCH,
  },
  {
    id: 'GR-20',
    what: 'a lift where the wall has cured four hours and no beam crosses it',
    wanted: 152,
    within: 0,
    unit: 'in',
    source: 'TMS 602 Art. 3.5 D, from memory: 19 courses of 8 in',
    got: () => Math.max(...[18, 19, 20, 21].map((n) => tallestLift(n, `24'`))) / INCH,
  },
  {
    id: 'GR-23',
    what: 'cleanouts over a pour of',
    wanted: 64,
    within: 0,
    unit: 'in',
    source: 'TMS 602 Art. 3.2 F, from memory',
    got: () => 8 * mostWithoutCleanouts(),
  },
  {
    id: 'GR-25',
    what: 'cleanouts in a wall filled solid, apart',
    wanted: 32,
    within: 0,
    unit: 'in',
    source: 'TMS 602 3.2 F, from memory',
    // A wall of 32 ft: so many inches to each.
    got: () => (32 * 12) / (poured(12, "8'", 'all')[0]?.cleanouts ?? NaN),
  },
  {
    id: 'GR-30 fine',
    what: 'bar to unit, fine grout',
    wanted: 0.25,
    within: 0,
    unit: 'in',
    source: 'TMS 602 Art. 3.4 B, from memory',
    got: () => clearanceOf('fine'),
  },
  {
    id: 'GR-30 coarse',
    what: 'bar to unit, coarse grout',
    wanted: 0.5,
    within: 0,
    unit: 'in',
    source: 'TMS 602 Art. 3.4 B, from memory',
    got: () => clearanceOf('coarse'),
  },
  {
    id: 'hose',
    what: 'slurry in 30 m of 50 mm hose',
    wanted: 0.0589,
    within: 0.00005,
    unit: 'm³',
    source: 'geometry: π/4 × 0.05² × 30',
    got: () => primeVolume({ length: 30_000, bore: 50 }),
  },
];
