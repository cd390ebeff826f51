import { toMillimetres, feet, inches } from '../../measure/length.js';
import { proposedJoints } from '../../stages/movement/proposing.js';
import { jointSpacing, panelsOfRun } from '../../stages/movement/spacing.js';
import { withLaps } from '../../stages/set-out/dampCourse.js';
import { weepsOver } from '../../stages/cavity/places.js';
import { tiesUp } from '../../stages/movement/amounts.js';
import { closed, planOf, straight, type OneWall } from '../jobs.js';
import type { PublishedCheck } from './list.js';

const TEK = 'NCMA TEK 10-2C, from memory';
const BIA = 'BIA Technical Note 18A, from memory';
const EN = 'EN 1996-2 2.3.4.2 and PD 6697, from memory';
const ft = (n: number): number => toMillimetres(feet(n));

const every = (wall: OneWall): number => jointSpacing(planOf(wall).wall, 0) ?? NaN;

const BRICK: Partial<OneWall> = { unit: 'brick-215x102.5x65', profile: 'uk', show: 'mm' };
const US_BRICK: Partial<OneWall> = { unit: 'brick-modular-us', lengths: 'actual' };

/** Joints proposed in run 0, mm. */
function proposed(wall: OneWall): number[] {
  const p = planOf(wall);
  const run = p.runs[0];
  return run ? panelsOfRun(p.wall, 0).flatMap((panel) => proposedJoints(p.wall, run, panel) ?? []) : [];
}

/** A straight wall between two returns. */
const returned = (length: number, leg: number): OneWall['line'] => [
  { run: length },
  { turn: 90 },
  { run: leg },
  { turn: 90 },
  { run: length },
  { turn: 90 },
  { run: leg },
];

export const MOVEMENT: PublishedCheck[] = [
  ...(
    [
      [8, 12],
      [10, 15],
      [12, 18],
      [20, 25],
    ] as const
  ).map(([height, wanted]): PublishedCheck => ({
    id: `VJ-02 ${height}`,
    what: `block wall ${height} ft high: joint to joint, ft`,
    wanted,
    within: 0,
    unit: 'ft',
    source: TEK,
    got: () => every({ line: straight("40'"), height: `${height}'` }) / ft(1),
  })),
  {
    id: 'garden wall',
    what: 'block wall that stands free with bars both ways: joint to joint, ft',
    wanted: 60,
    within: 0,
    unit: 'ft',
    source: 'common practice: the reinforced garden wall',
    got: () =>
      every({
        line: straight("70'"),
        height: "6'",
        wall: {
          held: 'free-standing',
          steel: {
            vertical: { bar: '#4', every: '32"' },
            beams: [{ course: 'top', bar: '#4', count: 1 }],
          },
        },
      }) / ft(1),
  },
  {
    id: 'VJ-01 cap',
    what: 'block wall that holds ground back: the cap alone, ft',
    wanted: 25,
    within: 0,
    unit: 'ft',
    source: `${TEK}; without the ratio: common practice`,
    got: () =>
      every({
        line: straight("40'"),
        height: '2\' 8"',
        wall: { held: 'soil', retains: { height: "2'" } },
      }) / ft(1),
  },
  ...(
    [
      [4, 3.625],
      [12, 11.625],
    ] as const
  ).map(([width, wanted]): PublishedCheck => ({
    id: `closer ${width}`,
    what: `closer beside the return of ${width} in block, on the tape`,
    wanted,
    within: 1e-6,
    unit: 'in',
    source: 'arithmetic: to the next perp of half bond, less the return and a joint',
    got: () => {
      const p = planOf({
        line: closed("24'", "16'"),
        height: "4'",
        unit: `cmu-${width}x8x16`,
        build: { closers: true },
      });
      const found = p.runs
        .flatMap((r) => r.rows.flatMap((row) => row.pieces))
        .find((x) => x.kind === 'closer');
      return ((found?.to ?? NaN) - (found?.from ?? NaN)) / toMillimetres(inches(1));
    },
  })),
  {
    id: 'VJ-13',
    what: 'clay brick without openings, ft',
    wanted: 25,
    within: 0,
    unit: 'ft',
    source: BIA,
    got: () => every({ ...US_BRICK, line: straight("40'"), height: "8'" }) / ft(1),
  },
  {
    id: 'VJ-14',
    what: 'clay brick with several openings, ft',
    wanted: 20,
    within: 0,
    unit: 'ft',
    source: BIA,
    got: () =>
      every({
        ...US_BRICK,
        line: straight("40'"),
        height: "8'",
        openings: [
          { at: "5'", width: "3'", sill: "3'", head: "6'" },
          { at: "20'", width: "3'", sill: "3'", head: "6'" },
        ],
      }) / ft(1),
  },
  {
    id: 'VJ-15',
    what: 'clay brick: from a corner, where the wall round it is long, ft',
    wanted: 10,
    within: 1e-6,
    unit: 'ft',
    source: BIA,
    got: () =>
      (panelsOfRun(planOf({ ...US_BRICK, line: closed("60'", "60'"), height: "8'" }).wall, 0)[0]?.fromStart ??
        NaN) / ft(1),
  },
  {
    id: 'VJ-15b',
    what: 'and where the leg round the corner is 10 ft: 25 ft round it, ft',
    wanted: 15,
    within: 1e-6,
    unit: 'ft',
    source: BIA,
    got: () =>
      (panelsOfRun(planOf({ ...US_BRICK, line: closed("60'", "10'"), height: "8'" }).wall, 0)[0]?.fromStart ??
        NaN) / ft(1),
  },
  {
    id: 'M082',
    what: 'clay brickwork, m',
    wanted: 12,
    within: 0,
    unit: 'm',
    source: EN,
    got: () => every({ ...BRICK, line: straight(40_000), height: 2400 }) / 1000,
  },
  {
    id: 'M084',
    what: 'clay, free-standing: half, m',
    wanted: 6,
    within: 0,
    unit: 'm',
    source: EN,
    got: () =>
      every({ ...BRICK, line: straight(40_000), height: 1800, wall: { held: 'free-standing' } }) / 1000,
  },
  {
    id: 'M085',
    what: 'concrete block, m',
    wanted: 6,
    within: 0,
    unit: 'm',
    source: EN,
    got: () =>
      every({ line: straight(40_000), height: 2400, unit: 'block-440x215x100', profile: 'uk', show: 'mm' }) /
      1000,
  },
  {
    id: 'M083',
    what: 'clay: from a corner, m',
    wanted: 6,
    within: 0,
    unit: 'm',
    source: EN,
    got: () =>
      (panelsOfRun(planOf({ ...BRICK, line: returned(40_000, 20_000), height: 2400 }).wall, 0)[0]
        ?.fromStart ?? NaN) / 1000,
  },
  {
    id: 'M088',
    what: 'clay joint 12 m from the next, mm (1.3 mm a metre, up to the next whole)',
    wanted: 16,
    within: 0,
    unit: 'mm',
    source: 'PD 6697, from memory',
    got: () => planOf({ ...BRICK, line: straight(40_000), height: 2400 }).wall.movement?.width ?? NaN,
  },
  {
    id: 'VJ-07',
    what: 'control joint in block, in',
    wanted: 3 / 8,
    within: 1e-9,
    unit: 'in',
    source: 'NCMA TEK 10-2C, from memory',
    got: () =>
      (planOf({ line: straight("40'"), height: "8'" }).wall.movement?.width ?? NaN) /
      toMillimetres(inches(1)),
  },
  {
    id: 'M094',
    what: 'ties up a jamb of 2 100 mm at 300',
    wanted: 7,
    within: 0,
    unit: 'ties',
    source: 'AD A 2C8 and PD 6697, from memory; arithmetic',
    got: () => tiesUp(2100, 300),
  },
  {
    id: 'M094b',
    what: 'the same at every block course, 225 mm',
    wanted: 10,
    within: 0,
    unit: 'ties',
    source: 'arithmetic: 9.33, rounded up',
    got: () => tiesUp(2100, 225),
  },
  {
    id: 'M096',
    what: 'weeps over a hatch 400 wide: at least two',
    wanted: 2,
    within: 0,
    unit: 'weeps',
    source: 'PD 6697, from memory',
    got: () => weepsOver(400),
  },
  {
    id: 'M096b',
    what: 'weeps over 1 800 at 450',
    wanted: 4,
    within: 0,
    unit: 'weeps',
    source: 'common practice: 450 mm',
    got: () => weepsOver(1800),
  },
  {
    id: 'M099',
    what: 'dpc for 15 m in rolls of 8 m, lapped 100: laps',
    wanted: 100,
    within: 0,
    unit: 'mm',
    source: 'BS 8215, from memory',
    got: () => withLaps(15_000) - 15_000,
  },
  {
    id: 'M091',
    what: '40 m of clay between two returns at 12 m: joints',
    wanted: 4,
    within: 0,
    unit: 'joints',
    source: 'EN 1996-2 2.3.4.2, from memory; arithmetic: ceil(40 / 12)',
    got: () => proposed({ ...BRICK, line: returned(40_000, 20_000), height: 2400 }).length,
  },
  {
    id: 'M091 first',
    what: 'the first of them, m (on a perp, within half a brick of 5 m)',
    wanted: 5,
    within: 0.115,
    unit: 'm',
    source: 'EN 1996-2 2.3.4.2, from memory',
    got: () => (proposed({ ...BRICK, line: returned(40_000, 20_000), height: 2400 })[0] ?? NaN) / 1000,
  },
  {
    id: 'M091 free',
    what: 'the same with two free ends: joints',
    wanted: 3,
    within: 0,
    unit: 'joints',
    source: 'arithmetic: ceil(40 / 12) − 1',
    got: () => proposed({ ...BRICK, line: straight(40_000), height: 2400 }).length,
  },
];
