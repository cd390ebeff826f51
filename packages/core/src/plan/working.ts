import { toMillimetres } from '../measure/length.js';
import { KINDS, type Kind } from '../walling/units/laying/kinds.js';
import type { Job } from '../job/types.js';
import { KERF } from '../walling/units/counting/offcuts.js';
import { mortarOfWall, type LeafTally } from '../walling/units/counting/ofWall.js';
import { buyKey, buyName, packsOf, type Tally } from '../walling/units/counting/tally.js';
import { STEEL_WORKINGS } from './steelWorking.js';
import { plan, type SiteRecord, type WallPlan } from './plan.js';

export type Quantity = 'count' | 'length' | 'area' | 'volume' | 'mass' | 'factor' | 'text';

export interface WorkingInput {
  name: string;
  value: number | string;
  quantity: Quantity;
  source: string;
}

/** How a figure comes about: plain data, so that it crosses workers and files. SI units: mm, m², m³. */
export interface Working {
  key: string;
  title: string;
  formula: string;
  inputs: WorkingInput[];
  result: number;
  quantity: Quantity;
  source: string;
}

export const KIND_NAMES: Record<Kind, string> = {
  stretcher: 'Stretchers',
  header: 'Headers',
  half: 'Halves',
  'three-quarter': 'Three-quarters',
  closer: 'Closers',
  corner: 'Corner units',
  jamb: 'Jamb units',
  beam: 'Beam units',
  lintel: 'Lintels',
  cap: 'Caps',
  cut: 'Sawn to length',
};

type Make = (p: WallPlan, t: Tally, figure: string) => Omit<Working, 'key'> | null;

const JOINTS = 'the joints as laid out in the plan';

const count = (name: string, value: number, source = 'counted piece by piece in the plan'): WorkingInput => ({
  name,
  value,
  quantity: 'count',
  source,
});

const pieces: Make = (p, t, figure) => {
  const kind = KINDS.find((k) => `pieces.${k}` === figure);
  if (!kind) return null;
  return {
    title: KIND_NAMES[kind],
    formula: 'pieces of this kind, every course counted',
    inputs: [count('courses', p.gauge.count), count('pieces of every kind', t.total)],
    result: t.pieces[kind],
    quantity: 'count',
    source: 'the bond, unit by unit; nothing is taken from an area',
  };
};

/** The tally a figure's key names: the face's, or that of the leaf behind it. */
const tallyNamed = (p: WallPlan, figure: string): LeafTally =>
  p.tallies.find((t) => t.key !== '' && figure.startsWith(t.key)) ?? p.tallies[0];

const buy: Make = (p, _t, figure) => {
  const of = tallyNamed(p, figure);
  const line = of.buy.find((l) => `${of.key}${buyKey(l)}` === figure);
  if (!line) return null;
  const breakage = of.wall.profile.breakage(of.wall.unit);
  return {
    title: `To order${of.name === '' ? '' : `, ${of.name.toLowerCase()}`}: ${buyName(line, KIND_NAMES)}`,
    formula: 'net × (1 + breakage), rounded up once at the end',
    inputs: [
      count('net, whole units laid', line.net - line.toSaw),
      count(
        'net, whole units opened to saw from, offcuts used again',
        line.toSaw,
        `longest piece first, saw cut ${KERF} mm: common practice`,
      ),
      { name: 'breakage', value: breakage, quantity: 'factor', source: p.wall.profile.breakageSource },
    ],
    result: line.ordered,
    quantity: 'count',
    source: 'this wall; round to pallets with your yard',
  };
};

const geometric: Make = (p, t) => ({
  title: 'Mortar in the joints',
  formula: 'Σ bed length × bed × width bedded + Σ perp × unit height × width bedded',
  inputs: [
    {
      name: 'beds, length of all courses',
      value: t.mortar.bedLength * 1000,
      quantity: 'length',
      source: JOINTS,
    },
    count('perps', t.mortar.perpCount, JOINTS),
    { name: 'bed, target', value: p.wall.bed, quantity: 'length', source: 'stated, or the profile’s' },
    {
      name: 'head joint, target',
      value: p.wall.head,
      quantity: 'length',
      source: 'stated, or the profile’s',
    },
    {
      name: 'width bedded',
      value: t.mortar.spread,
      quantity: 'length',
      source: p.wall.profile.beddingSource,
    },
    { name: 'beds', value: t.mortar.beds, quantity: 'volume', source: JOINTS },
    { name: 'perps, all', value: t.mortar.perps, quantity: 'volume', source: JOINTS },
  ],
  result: t.mortar.geometric,
  quantity: 'volume',
  source: 'geometry: no waste, no droppings, cells and frogs empty',
});

const used: Make = (p, t) => {
  const rule = p.wall.profile.mortar(p.wall.unit);
  const source = p.wall.profile.mortarSource(p.wall.unit);
  const byArea = 'rateM3PerM2' in rule;
  return {
    title: 'Mortar to mix',
    formula: byArea
      ? `net face area × site rate${p.wall.wythes === 2 ? ' × 2 leaves + joint between them' : ''}`
      : 'mortar in the joints × factor',
    inputs: byArea
      ? [
          { name: 'net face area', value: t.area, quantity: 'area', source: 'outside face, openings out' },
          { name: 'site rate, m³ per m² of one leaf', value: rule.rateM3PerM2, quantity: 'factor', source },
          ...(p.wall.wythes === 2
            ? [
                {
                  name: 'joint between the leaves',
                  value: t.mortar.collar,
                  quantity: 'volume' as const,
                  source: JOINTS,
                },
              ]
            : []),
          {
            name: 'mortar in the joints, to compare',
            value: t.mortar.geometric,
            quantity: 'volume',
            source: JOINTS,
          },
        ]
      : [
          { name: 'mortar in the joints', value: t.mortar.geometric, quantity: 'volume', source: JOINTS },
          { name: 'factor', value: rule.factor, quantity: 'factor', source },
        ],
    result: t.mortar.used,
    quantity: 'volume',
    source,
  };
};

const ordered: Make = (p, t) => ({
  title: `Mortar, ${p.wall.profile.pack.name}s`,
  formula: `mortar to mix${p.tallies.length > 1 ? ', both leaves,' : ''} ÷ what a pack makes, rounded up`,
  inputs: [
    { name: 'mortar to mix', value: t.mortar.used, quantity: 'volume', source: 'see its own working' },
    ...p.tallies.slice(1).map((t) => ({
      name: `mortar to mix, ${t.name.toLowerCase()}`,
      value: t.tally.mortar.used,
      quantity: 'volume' as const,
      source: 'see its own working',
    })),
    {
      name: 'a pack makes',
      value: p.wall.profile.pack.m3,
      quantity: 'volume',
      source: p.wall.profile.pack.source,
    },
  ],
  result: packsOf(
    mortarOfWall({ tallies: [{ ...p.tallies[0], tally: t }, ...p.tallies.slice(1)] }).used,
    p.wall.profile.pack,
  ),
  quantity: 'count',
  source: p.wall.profile.pack.source,
});

/** In words, how this wall's beds were got: the three ways differ. */
function bedFormula({ gauge }: WallPlan): string {
  if (gauge.short !== 0) return 'the target bed: no number of whole courses lands inside the limits';
  if (gauge.met !== null && gauge.met.courses.length > 0)
    return 'the least Σ (bed − target)² that lands on every fixed height, each stretch its own';
  if (gauge.sawn !== null) return 'the target bed: the difference is in the sawn course';
  if (gauge.lowest < gauge.count) return `the target bed: the difference is in the lowest ${gauge.lowest}`;
  return 'height ÷ courses − unit height';
}

const bed: Make = (p) => ({
  title: 'Bed of the upper courses',
  formula: bedFormula(p),
  inputs: [
    { name: 'height', value: p.wall.height, quantity: 'length', source: 'stated' },
    count('courses', p.gauge.count, 'whole courses with the bed nearest its target, or as chosen'),
    { name: 'target bed', value: p.wall.bed, quantity: 'length', source: 'stated, or the profile’s' },
    { name: 'unit height', value: p.wall.unitHeight, quantity: 'length', source: p.wall.unit.source },
    {
      name: 'least bed',
      value: toMillimetres(p.wall.profile.bed.least),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
    {
      name: 'most bed',
      value: toMillimetres(p.wall.profile.bed.most),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
  ],
  result: p.gauge.courses.at(-1)?.bed ?? 0,
  quantity: 'length',
  source: p.wall.profile.bed.source,
});

const area: Make = (p, t) => ({
  title: 'Net face area',
  formula: 'Σ run length × height built − clear openings',
  inputs: [
    {
      name: 'height built',
      value: p.gauge.courses.at(-1)?.top ?? 0,
      quantity: 'length',
      source: 'top of the last course',
    },
    count('openings', p.wall.openings.length, 'stated'),
  ],
  result: t.area,
  quantity: 'area',
  source: 'geometry: outside face',
});

/** The same figure of the leaf behind the face, worked out as of a wall of its own. */
const ofInner =
  (make: Make): Make =>
  (p, _t, figure) => {
    const of = tallyNamed(p, figure);
    if (of.key === '') return null;
    const made = make({ ...p, wall: of.wall, gauge: of.leaves[0].gauge }, of.tally, figure);
    return made && { ...made, title: `${of.name}: ${made.title.toLowerCase()}` };
  };

const MAKERS: Record<string, Make> = {
  'inner.mortar.geometric': ofInner(geometric),
  'inner.mortar.used': ofInner(used),
  'mortar.geometric': geometric,
  'mortar.used': used,
  'mortar.ordered': ordered,
  bed,
  area,
};

/**
 * Rebuilds how a figure came about. `key` is `<wall id>/<run number or "wall">/<figure>`, the figure one of
 * pieces.<kind>, buy.<kind>, buy.half-high.<kind>, area, bed, mortar.geometric, mortar.used, mortar.ordered; of a whole wall also
 * grout.*, steel.* and joints.*. Null for an unknown key.
 */
export function working(job: Job, record: SiteRecord, key: string): Working | null {
  const [wallId, scope, figure = ''] = splitKey(key);
  const index = job.walls.findIndex((w) => w.id === wallId);
  if (index < 0) return null;
  const p = plan(job, record, { advise: false, only: [index] }).walls[0];
  if (!p) return null;
  const runPlace = p.runs.findIndex((r) => String(r.index) === scope);
  const tally = scope === 'wall' ? p.tally : p.runTallies[runPlace];
  if (!tally) return null;
  const steel = scope === 'wall' ? STEEL_WORKINGS[figure] : undefined;
  if (steel) return { key, ...steel(p) };
  const make = MAKERS[figure] ?? (figure.startsWith('pieces.') ? pieces : buy);
  const made = make(p, tally, figure);
  return made && { key, ...made };
}

/** Wall ids may hold any text, so the key is split from its end. */
function splitKey(key: string): string[] {
  const figure = key.slice(key.lastIndexOf('/') + 1);
  const rest = key.slice(0, key.lastIndexOf('/'));
  return [rest.slice(0, rest.lastIndexOf('/')), rest.slice(rest.lastIndexOf('/') + 1), figure];
}
