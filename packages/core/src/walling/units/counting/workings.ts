import type { Said } from '../../../messages/message.js';
import { count, type Made, type WorkingInput } from '../../../stages/figure.js';
import type { Counted } from '../../walling.js';
import { KINDS } from '../laying/kinds.js';
import { kindNamed } from './names.js';
import { KERF } from './offcuts.js';
import { mortarOfWall, type LeafTally } from './ofWall.js';
import { buyKey, buyName, packsOf, type Tally } from './tally.js';
import { HOW } from '../../../stages/workingMessages.js';

type Make = (p: Counted, t: Tally, figure: string) => Made | null;

const JOINTS = HOW['the-joints-as-laid']();

const pieceCount = (name: Said, value: number): WorkingInput =>
  count(name, value, HOW['counted-piece-by-piece']());

const pieces: Make = (p, t, figure) => {
  const kind = KINDS.find((k) => `pieces.${k}` === figure);
  if (!kind) return null;
  return {
    title: kindNamed(kind, p.wall.unit),
    formula: HOW['pieces-of-this-kind'](),
    inputs: [pieceCount(HOW.courses(), p.gauge.count), pieceCount(HOW['pieces-of-every-kind'](), t.total)],
    result: t.pieces[kind],
    quantity: 'count',
    source: HOW['the-bond-unit-by'](),
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
    title: HOW['to-order-of']({ leaf: of.name, what: buyName(line) }),
    formula: HOW['net-1-breakage-rounded'](),
    inputs: [
      pieceCount(HOW['net-whole-units-laid'](), line.net - line.toSaw),
      count(HOW['net-whole-units-opened'](), line.toSaw, HOW['longest-first']({ kerf: KERF })),
      { name: HOW.breakage(), value: breakage, quantity: 'factor', source: p.wall.profile.breakageSource },
    ],
    result: line.ordered,
    quantity: 'count',
    source: HOW['this-wall-round-to'](),
  };
};

const geometric: Make = (p, t) => ({
  title: HOW['mortar-in-the-joints'](),
  formula: HOW['bed-length-bed-width'](),
  inputs: [
    {
      name: HOW['beds-length-of-all'](),
      value: t.mortar.bedLength * 1000,
      quantity: 'length',
      source: JOINTS,
    },
    count(HOW.perps(), t.mortar.perpCount, JOINTS),
    {
      name: HOW['bed-target'](),
      value: p.wall.bed,
      quantity: 'length',
      source: HOW['stated-or-the-profile'](),
    },
    {
      name: HOW['head-joint-target'](),
      value: p.wall.head,
      quantity: 'length',
      source: HOW['stated-or-the-profile'](),
    },
    {
      name: HOW['width-bedded'](),
      value: t.mortar.spread,
      quantity: 'length',
      source: p.wall.profile.beddingSource,
    },
    { name: HOW.beds(), value: t.mortar.beds, quantity: 'volume', source: JOINTS },
    { name: HOW['perps-all'](), value: t.mortar.perps, quantity: 'volume', source: JOINTS },
    ...(t.mortar.webs > 0
      ? [
          {
            name: HOW['on-webs'](),
            value: t.mortar.webs,
            quantity: 'volume' as const,
            source: HOW['webs-where'](),
          },
        ]
      : []),
    ...(t.mortar.frogs > 0
      ? [
          {
            name: HOW['in-frogs'](),
            value: t.mortar.frogs,
            quantity: 'volume' as const,
            source: HOW['frogs-how'](),
          },
        ]
      : []),
  ],
  result: t.mortar.geometric,
  quantity: 'volume',
  source: HOW['geometry-no-waste-no'](),
});

const used: Make = (p, t) => {
  const rule = p.wall.profile.mortar(p.wall.unit);
  const source = p.wall.profile.mortarSource(p.wall.unit);
  const byArea = 'rateM3PerM2' in rule;
  return {
    title: HOW['mortar-to-mix'](),
    formula: byArea
      ? HOW['area-by-rate']({ leaves: p.wall.wythes === 2 ? 'two' : 'one' })
      : HOW['joints-by-factor'](),
    inputs: byArea
      ? [
          {
            name: HOW['net-face-area'](),
            value: t.area,
            quantity: 'area',
            source: HOW['outside-face-openings-out'](),
          },
          { name: HOW['site-rate-m-per'](), value: rule.rateM3PerM2, quantity: 'factor', source },
          ...(p.wall.wythes === 2
            ? [
                {
                  name: HOW['joint-between-the-leaves'](),
                  value: t.mortar.collar,
                  quantity: 'volume' as const,
                  source: JOINTS,
                },
              ]
            : []),
          {
            name: HOW['mortar-in-the-joints-to'](),
            value: t.mortar.geometric,
            quantity: 'volume',
            source: JOINTS,
          },
        ]
      : [
          {
            name: HOW['mortar-in-the-joints-x'](),
            value: t.mortar.geometric,
            quantity: 'volume',
            source: JOINTS,
          },
          { name: HOW.factor(), value: rule.factor, quantity: 'factor', source },
        ],
    result: t.mortar.used,
    quantity: 'volume',
    source,
  };
};

const ordered: Make = (p, t) => ({
  title: HOW['mortar-in-packs']({ pack: p.wall.profile.pack.name }),
  formula: HOW['packs-made']({ leaves: p.tallies.length > 1 ? 'two' : 'one' }),
  inputs: [
    {
      name: HOW['mortar-to-mix-x'](),
      value: t.mortar.used,
      quantity: 'volume',
      source: HOW['see-its-own-working'](),
    },
    ...p.tallies.slice(1).map((t) => ({
      name: HOW['inner-to-mix'](),
      value: t.tally.mortar.used,
      quantity: 'volume' as const,
      source: HOW['see-its-own-working'](),
    })),
    {
      name: HOW['a-pack-makes'](),
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
  title: HOW['net-face-area-x'](),
  formula: HOW['run-length-height-built'](),
  inputs: [
    {
      name: HOW['height-built'](),
      value: p.gauge.courses.at(-1)?.top ?? 0,
      quantity: 'length',
      source: HOW['top-of-the-last'](),
    },
    count(HOW.openings(), p.wall.openings.length, 'stated'),
  ],
  result: t.area,
  quantity: 'area',
  source: HOW['geometry-outside-face'](),
});

/** The same figure of the leaf behind the face, worked out as of a wall of its own. */
const ofInner =
  (make: Make): Make =>
  (p, _t, figure) => {
    const of = tallyNamed(p, figure);
    if (of.key === '') return null;
    const made = make({ ...p, wall: of.wall, gauge: of.leaves[0].gauge }, of.tally, figure);
    return made && { ...made, title: HOW['inner-of']({ what: made.title }) };
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
