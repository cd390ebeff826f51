import { behindCavity, carried } from '../walling/units/leaves/leaf.js';
import { cavityAmounts } from '../stages/cavity/amounts.js';
import { filledVolume, type FillVolume } from '../stages/grout/fill.js';
import { primeVolume } from '../stages/grout/pours.js';
import { jointAmounts, slipTiePitch } from '../stages/movement/amounts.js';
import { schedule } from '../stages/steel/steel.js';
import { BED_PIECE, bedLap } from '../stages/steel/horizontal.js';
import { GROUT_FACTOR, GROUT_FACTOR_SOURCE } from '../tables/grout.js';
import type { WallPlan } from './plan.js';
import type { Working, WorkingInput } from './working.js';

const uprights = (p: WallPlan): number => p.steel.verticals.reduce((n, v) => n + v.bars.length, 0);

type Made = Omit<Working, 'key'>;

const CELLS = 'the cells of the units as specified, course by course';

const inWall = (p: WallPlan, of: keyof FillVolume): number => p.fills.reduce((s, f) => s + f.volume[of], 0);
export const groutInWall = (p: WallPlan): number => p.fills.reduce((s, f) => s + filledVolume(f.volume), 0);
export const steelMass = (p: WallPlan): number =>
  p.wall.steel ? schedule(carried(p).wall, p.steel).reduce((s, l) => s + l.mass, 0) : 0;
/** Straps round corners, one every so many courses. */
export const cornerStraps = (p: WallPlan): number =>
  p.wall.steel?.straps
    ? p.wall.line.corners.length * Math.floor(carried(p).gauge.count / p.wall.steel.straps)
    : 0;

const count = (name: string, value: number, source: string): WorkingInput => ({
  name,
  value,
  quantity: 'count',
  source,
});
const volume = (name: string, value: number, source: string): WorkingInput => ({
  name,
  value,
  quantity: 'volume',
  source,
});
const length = (name: string, value: number, source: string): WorkingInput => ({
  name,
  value,
  quantity: 'length',
  source,
});

const joints = (p: WallPlan) => jointAmounts(p.wall, p.gauge.courses, p.gauge.count);

/** How the figures of the stage Steel come about. */
export const STEEL_WORKINGS: Record<string, (p: WallPlan) => Made> = {
  'grout.geometric': (p) => ({
    title: 'Grout in the wall',
    formula: 'Σ cell area × course height + beams + courses filled solid',
    inputs: [
      volume('cells', inWall(p, 'cells'), CELLS),
      volume(
        'beams, full height and inside width',
        inWall(p, 'beams'),
        'length × inside width × course height',
      ),
      volume('courses filled solid, head joints with them', inWall(p, 'solid'), CELLS),
      count(
        'cells filled',
        p.fills.reduce((s, f) => s + f.cells.filter((c) => c.filled).length, 0),
        'counted once each',
      ),
    ],
    result: groutInWall(p),
    quantity: 'volume',
    source: 'geometry: shells and webs as specified, bars not taken off (about 1 %)',
  }),
  'grout.used': (p) => ({
    title: 'Grout to order',
    formula: 'grout in the wall × factor',
    inputs: [
      volume('grout in the wall', groutInWall(p), 'see its own working'),
      { name: 'factor', value: GROUT_FACTOR, quantity: 'factor', source: GROUT_FACTOR_SOURCE },
    ],
    result: groutInWall(p) * GROUT_FACTOR,
    quantity: 'volume',
    source: GROUT_FACTOR_SOURCE,
  }),
  'grout.prime': (p) => ({
    title: 'Slurry to prime the hose',
    formula: 'π/4 × bore² × length',
    inputs: [
      length('length', p.wall.grout?.hose?.length ?? 0, 'stated'),
      length('bore', p.wall.grout?.hose?.bore ?? 0, 'stated'),
    ],
    result: primeVolume(p.wall.grout?.hose ?? null),
    quantity: 'volume',
    source: 'geometry; thrown away, never into a cell or a slab',
  }),
  'steel.mass': (p) => {
    const lines = schedule(carried(p).wall, p.steel);
    return {
      title: 'Bars, by weight',
      formula: 'Σ length to cut × number × mass a metre',
      inputs: [
        count(
          'bars',
          lines.reduce((s, l) => s + l.count, 0),
          'the bar schedule',
        ),
        length(
          'length of all',
          lines.reduce((s, l) => s + l.total, 0),
          'cut lengths, laps and hooks in them',
        ),
      ],
      result: steelMass(p),
      quantity: 'mass',
      source: 'ASTM A615 or EN 10080 bar table, from memory',
    };
  },
  'steel.bed': (p) => ({
    title: 'Reinforcement in the beds',
    formula: 'Σ stretches of each reinforced bed + a lap for every piece after the first',
    inputs: [
      count('beds', p.steel.bed?.courses ?? 0, 'over every so many courses, the last left out'),
      length(
        'in the wall',
        (p.steel.bed?.net ?? 0) * 1000,
        'stretch by stretch, stopped at joints and openings',
      ),
      length('a piece', BED_PIECE, '10 ft, from memory'),
      length('lap', bedLap(carried(p).wall), 'TMS 602 Art. 3.4 B: 6 in; 225 mm in the UK; from memory'),
    ],
    result: (p.steel.bed?.withLaps ?? 0) * 1000,
    quantity: 'length',
    source: 'the stretches as they are laid',
  }),
  'steel.topTies': (p) => ({
    title: 'Top ties for uprights',
    formula: 'one for each upright, so that a bar dropped in hangs plumb',
    inputs: [count('uprights', uprights(p), 'cells with a bar')],
    result: uprights(p),
    quantity: 'count',
    source: 'common practice',
  }),
  'steel.straps': (p) => ({
    title: 'Corner straps',
    formula: 'corners × courses ÷ every so many, rounded down',
    inputs: [
      count('corners', p.wall.line.corners.length, 'the line'),
      count('courses', p.gauge.count, 'the gauge'),
      count('every so many', p.wall.steel?.straps ?? 0, 'stated'),
    ],
    result: cornerStraps(p),
    quantity: 'count',
    source: 'common practice',
  }),
  'joints.sealant': (p) => ({
    title: 'Sealant in movement joints',
    formula: '2 faces × height of each joint',
    inputs: [count('joints', joints(p).count, 'those that stand, not those refused')],
    result: joints(p).sealant * 1000,
    quantity: 'length',
    source: 'geometry; depth half the width, at least ¼ in (NCMA TEK 10-2C, from memory)',
  }),
  'joints.filler': (p) => ({
    title: 'Filler in movement joints',
    formula: 'height × thickness of the wall',
    inputs: [count('joints', joints(p).count, 'those that stand')],
    result: joints(p).filler,
    quantity: 'area',
    source: 'geometry',
  }),
  'joints.ties': (p) => ({
    title: 'Ties that slip, across movement joints',
    formula: 'Σ height ÷ pitch, rounded up for each joint',
    inputs: [
      count('joints', joints(p).count, 'those that stand'),
      length(
        'pitch',
        slipTiePitch(p.wall),
        'AD A 2C8 and PD 6697: 300 mm; 16 in: common practice; from memory',
      ),
    ],
    result: joints(p).ties,
    quantity: 'count',
    source: 'common practice',
  }),
};

const LEVEL = 'rows in beds that lie level in both leaves';

/** One figure of a cavity, with what it was counted from. */
const ofCavity =
  (
    title: string,
    key: 'ties' | 'trayLength' | 'weeps' | 'dpc' | 'board' | 'sleeves',
    formula: string,
    source: string,
  ) =>
  (p: WallPlan): Made => {
    const a = cavityAmounts(p);
    const metres = key === 'trayLength' || key === 'dpc';
    return {
      title,
      formula,
      inputs: [
        count('rows of ties', a?.levels.levels.length ?? 0, LEVEL),
        count(
          'extra ties at edges',
          a?.edgeTies ?? 0,
          'jambs, free ends and movement joints, in level beds up to 300 mm apart',
        ),
        count(
          'pieces of the inner leaf cut round sleeves',
          a?.sleeveCuts ?? 0,
          'the inner leaf’s own courses',
        ),
        count('trays, each with two stop ends', a?.trays ?? 0, 'openings with wall over them'),
        length('left clear in the cavity', a?.clear ?? 0, 'its width less the board'),
      ],
      result: (a?.[key] ?? 0) * (metres ? 1000 : 1),
      quantity: metres ? 'length' : key === 'board' ? 'area' : 'count',
      source,
    };
  };

Object.assign(STEEL_WORKINGS, {
  'cavity.ties': ofCavity(
    'Wall ties',
    'ties',
    'Σ stretch ÷ spacing, each row + extra at edges',
    'PD 6697 and AD A 2C8, from memory',
  ),
  'cavity.trays': ofCavity(
    'Cavity trays',
    'trayLength',
    'Σ opening + 150 mm past each jamb',
    'PD 6697, from memory',
  ),
  'cavity.weeps': ofCavity(
    'Weeps over openings',
    'weeps',
    'opening ÷ 450 mm, at least two each',
    '450 mm: common practice; two: PD 6697, from memory',
  ),
  'cavity.dpc': ofCavity(
    'Damp-proof course',
    'dpc',
    'both leaves, 100 mm laps on 8 m rolls',
    'laps BS 8215, from memory; rolls common practice',
  ),
  'cavity.sleeves': ofCavity(
    'Sleeves for air bricks, through the cavity',
    'sleeves',
    'one for each air brick and vent; the inner leaf is cut round it',
    'common practice',
  ),
  'cavity.board': ofCavity(
    'Insulation board',
    'board',
    'net face area',
    'geometry; no insulation value is worked out',
  ),
});

/** The figures of a wall that its steel, grout and joints give: those that are not nought. */
export function steelFigures(p: WallPlan): { key: string; made: Made }[] {
  const asked = [
    ...(p.wall.grout ? ['grout.geometric', 'grout.used', 'grout.prime'] : []),
    ...(p.wall.steel ? ['steel.mass', 'steel.topTies', 'steel.bed', 'steel.straps'] : []),
    ...(behindCavity(p)
      ? ['cavity.ties', 'cavity.trays', 'cavity.weeps', 'cavity.dpc', 'cavity.sleeves', 'cavity.board']
      : []),
    ...(p.wall.joints.length > 0 ? ['joints.sealant', 'joints.filler', 'joints.ties'] : []),
  ];
  return asked
    .map((key) => ({ key, made: (STEEL_WORKINGS[key] as (p: WallPlan) => Made)(p) }))
    .filter((f) => f.made.result > 0);
}
