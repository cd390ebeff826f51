import { count, type Made, type WorkingInput } from '../../../stages/figure.js';
import type { Counted } from '../../walling.js';
import { KINDS } from '../laying/kinds.js';
import { KIND_NAMES } from './names.js';
import { KERF } from './offcuts.js';
import { mortarOfWall, type LeafTally } from './ofWall.js';
import { buyKey, buyName, packsOf, type Tally } from './tally.js';

type Make = (p: Counted, t: Tally, figure: string) => Made | null;

const JOINTS = 'the joints as laid out in the plan';

const pieceCount = (name: string, value: number): WorkingInput =>
  count(name, value, 'counted piece by piece in the plan');

const pieces: Make = (p, t, figure) => {
  const kind = KINDS.find((k) => `pieces.${k}` === figure);
  if (!kind) return null;
  return {
    title: KIND_NAMES[kind],
    formula: 'pieces of this kind, every course counted',
    inputs: [pieceCount('courses', p.gauge.count), pieceCount('pieces of every kind', t.total)],
    result: t.pieces[kind],
    quantity: 'count',
    source: 'the bond, unit by unit; nothing is taken from an area',
  };
};

/** The tally a figure's key names: the face's, or that of the leaf behind it. */
const tallyNamed = (p: Counted, figure: string): LeafTally =>
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
      pieceCount('net, whole units laid', line.net - line.toSaw),
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
  area,
};

/** How a figure of the units and their mortar comes about: of one run, or of the whole wall. */
export function unitWorking(p: Counted, figure: string, run: number | null): Made | null {
  const [face] = p.tallies;
  const tally = run === null ? face.tally : face.runs[p.runs.findIndex((r) => r.index === run)];
  const make = MAKERS[figure] ?? (figure.startsWith('pieces.') ? pieces : buy);
  return tally ? make(p, tally, figure) : null;
}
