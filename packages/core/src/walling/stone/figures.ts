import type { Said } from '../../messages/message.js';
import {
  area,
  count,
  factor,
  figuresNamed,
  length,
  volume,
  type Figure,
  type Made,
  type MaterialRow,
  type WorkingInput,
  type Workings,
} from '../../stages/figure.js';
import { HOW } from '../../stages/workingMessages.js';
import { BONDERS, QUOIN_HIGH, TIPPED_VOIDS } from '../../tables/stoneWalls.js';
import { unitFigures, unitMaterials } from '../units/counting/figures.js';
import { unitWorking } from '../units/counting/workings.js';
import type { Counted } from '../walling.js';
import { ashlarOf, stoneOfAshlar } from './ashlar/lay.js';
import { STONES_SAY as SAYS } from './messages.js';
import { stoneName } from './names.js';
import { jointsOnFace, pointingOf, squaredIn } from './sorted.js';
import { middleLength, stoneIn } from './stretches.js';
import { heapOf } from './volumes.js';
import { stoneWork, toBring, type StoneWork } from './work.js';

interface Of {
  p: Counted;
  work: StoneWork;
}
const kilos = (name: Said, value: number, source: Said): WorkingInput => ({
  name,
  value,
  quantity: 'mass',
  source,
});

const made = (
  title: Said,
  formula: Said,
  inputs: WorkingInput[],
  result: number,
  quantity: Made['quantity'],
  source: Said = SAYS.stated(),
): Made => ({ title, formula, inputs, result, quantity, source });

/** Stone in the wall, m³. */
const solid = ({ work: { volumes: v } }: Of): number => v.face + v.back + v.hearting;
const ruleOf = ({ p }: Of): Said =>
  stoneIn(p.wall).kind === 'dry' ? SAYS['dry-band']() : SAYS['share-band']();

const WORKINGS: Workings<Of> = {
  'stone.gross': ({ p, work }) => {
    const { base, top } = stoneIn(p.wall);
    const long = work.runs.reduce((sum, r) => sum + middleLength(r), 0);
    const mean = long > 0 ? (work.volumes.gross * 1e9) / (long * ((base + top) / 2)) : 0;
    return made(
      SAYS.gross(),
      SAYS['gross-formula'](),
      [
        length(SAYS['wall-long'](), long, SAYS['as-set-out']()),
        length(SAYS['wide-base'](), base, SAYS.stated()),
        length(SAYS['wide-top'](), top, SAYS.stated()),
        length(SAYS['high-mean'](), mean, SAYS['as-set-out']()),
      ],
      work.volumes.gross,
      'volume',
    );
  },
  'stone.face': (of) =>
    made(
      SAYS.face(),
      SAYS['face-formula'](),
      [
        volume(SAYS['stone-in-wall'](), solid(of), ruleOf(of)),
        factor(SAYS['hearting-share'](), stoneIn(of.p.wall).hearting, SAYS.stated()),
      ],
      of.work.volumes.face,
      'volume',
    ),
  'stone.back': (of) =>
    made(
      SAYS.back(),
      SAYS['face-formula'](),
      [
        volume(SAYS['stone-in-wall'](), solid(of), ruleOf(of)),
        factor(SAYS['hearting-share'](), stoneIn(of.p.wall).hearting, SAYS.stated()),
      ],
      of.work.volumes.back,
      'volume',
    ),
  'stone.hearting': (of) =>
    made(
      SAYS.hearting(),
      SAYS['hearting-formula'](),
      [
        volume(SAYS['stone-in-wall'](), solid(of), ruleOf(of)),
        factor(SAYS['hearting-share'](), stoneIn(of.p.wall).hearting, SAYS.handbooks()),
      ],
      of.work.volumes.hearting,
      'volume',
    ),
  'stone.voids': (of) =>
    made(
      SAYS.voids(),
      SAYS['voids-formula'](),
      [
        volume(SAYS.gross(), of.work.volumes.gross, SAYS['as-set-out']()),
        factor(SAYS['left-open'](), stoneIn(of.p.wall).voids, SAYS['dry-band']()),
      ],
      of.work.volumes.voids,
      'volume',
    ),
  'stone.mass': (of) => {
    const { stone } = stoneIn(of.p.wall);
    return made(
      SAYS.mass(),
      SAYS['mass-formula'](),
      [
        volume(SAYS['stone-in-wall'](), solid(of), ruleOf(of)),
        factor(SAYS.density(), stone.density, stone.source),
      ],
      of.work.volumes.mass,
      'mass',
    );
  },
  'stone.ordered': ({ p, work }) =>
    made(
      SAYS.ordered(),
      SAYS['ordered-formula'](),
      [
        kilos(SAYS.mass(), work.volumes.mass, SAYS['mass-formula']()),
        factor(SAYS.waste(), stoneIn(p.wall).waste, HOW['common-practice']()),
      ],
      work.volumes.ordered,
      'mass',
    ),
  'stone.heap': (of) =>
    made(
      SAYS.heap(),
      SAYS['heap-formula'](),
      [
        volume(SAYS['stone-in-wall'](), solid(of), ruleOf(of)),
        factor(SAYS.waste(), stoneIn(of.p.wall).waste, HOW['common-practice']()),
        factor(SAYS['heap-voids'](), TIPPED_VOIDS, HOW['common-practice']()),
      ],
      heapOf(solid(of) * (1 + stoneIn(of.p.wall).waste)),
      'volume',
    ),
  'stone.loads': ({ p, work }) => {
    const { load } = stoneIn(p.wall);
    return made(
      SAYS.loads(),
      SAYS['loads-formula'](),
      [
        kilos(SAYS.ordered(), work.volumes.ordered, SAYS['ordered-formula']()),
        kilos(SAYS['copes-mass'](), work.copes?.mass ?? 0, SAYS['copes-mass-formula']()),
        kilos(SAYS.footing(), work.footing?.mass ?? 0, SAYS['footing-formula']()),
        kilos(SAYS.load(), load, HOW['common-practice']()),
      ],
      Math.ceil(toBring(work) / load - 1e-9),
      'count',
      HOW['common-practice'](),
    );
  },
  'stone.throughs': ({ p, work }) =>
    made(
      SAYS.throughs(),
      SAYS['throughs-formula'](),
      [
        length(
          SAYS['wall-long'](),
          work.runs.reduce((s, r) => s + r.length, 0),
          SAYS['as-set-out'](),
        ),
        ...stoneIn(p.wall).throughs.map((t) =>
          length(SAYS['through-at']({ at: t.at, length: t.every }), t.every, SAYS.stated()),
        ),
      ],
      work.throughs.reduce((sum, t) => sum + t.count, 0),
      'count',
      SAYS.handbooks(),
    ),
  'stone.bonders': ({ p, work }) => {
    const { along, up } = stoneIn(p.wall).bonders ?? BONDERS;
    return made(
      SAYS.bonders(),
      SAYS['bonders-formula'](),
      [
        length(HOW['apart-along'](), along, SAYS['en-bonders']()),
        length(HOW['apart-up'](), up, SAYS['en-bonders']()),
      ],
      work.bonders.count,
      'count',
      SAYS['en-bonders'](),
    );
  },
  'stone.quoins': ({ p }) => {
    const squared = squaredIn(p.wall, p.gauge);
    return made(
      SAYS.quoins(),
      SAYS['quoins-formula'](),
      [
        count(SAYS['ends-corners'](), squared.places, SAYS['as-set-out']()),
        length(SAYS['quoin-high'](), QUOIN_HIGH, HOW['common-practice']()),
      ],
      squared.quoins,
      'count',
    );
  },
  'stone.jambs': ({ p }) => {
    const squared = squaredIn(p.wall, p.gauge);
    return made(
      SAYS.jambs(),
      SAYS['jambs-formula'](),
      [
        count(SAYS['jambs-both'](), squared.jambPlaces, SAYS['as-set-out']()),
        length(SAYS['quoin-high'](), QUOIN_HIGH, HOW['common-practice']()),
      ],
      squared.jambs,
      'count',
    );
  },
  'stone.copes': ({ p, work }) => {
    const { copes } = stoneIn(p.wall);
    return made(
      SAYS.copes(),
      SAYS['copes-formula'](),
      [
        length(
          SAYS['copes-long'](),
          work.runs.flatMap((r) => r.coped).reduce((s, c) => s + c.to - c.from, 0),
          SAYS['as-set-out'](),
        ),
        length(SAYS['cope-each'](), copes?.each ?? 0, SAYS.stated()),
      ],
      work.copes?.count ?? 0,
      'count',
    );
  },
  'stone.copesMass': ({ p, work }) => {
    const { copes, top, stone } = stoneIn(p.wall);
    return made(
      SAYS['copes-mass'](),
      SAYS['copes-mass-formula'](),
      [
        length(SAYS['cope-each'](), copes?.each ?? 0, SAYS.stated()),
        length(SAYS.height(), copes?.height ?? 0, SAYS.stated()),
        length(SAYS['wide-top'](), top, SAYS.stated()),
        factor(SAYS.density(), stone.density, stone.source),
      ],
      work.copes?.mass ?? 0,
      'mass',
    );
  },
  'stone.footing': ({ work }) =>
    made(
      SAYS.footing(),
      SAYS['footing-formula'](),
      [volume(SAYS.gross(), work.footing?.volume ?? 0, SAYS['as-set-out']())],
      work.footing?.mass ?? 0,
      'mass',
      SAYS.handbooks(),
    ),
  'stone.ashlar': ({ p }) => {
    const laid = ashlarOf(p.wall, p.gauge);
    return made(
      SAYS['ashlar-stones'](),
      SAYS['ashlar-formula'](),
      [volume(SAYS['stone-in-wall'](), stoneOfAshlar(laid), SAYS['as-set-out']())],
      laid.stones.length,
      'count',
    );
  },
  'stone.lacing': ({ p, work }) => {
    const { lacing } = stoneIn(p.wall);
    return made(
      SAYS.lacing(),
      SAYS['lacing-formula'](),
      [
        count(SAYS['lacing-levels'](), work.lacing?.heights.length ?? 0, SAYS['as-set-out']()),
        count(SAYS['lacing-courses'](), lacing?.courses ?? 0, SAYS.stated()),
        length(SAYS['lacing-unit'](), lacing?.length ?? 0, SAYS.stated()),
      ],
      work.lacing?.units ?? 0,
      'count',
    );
  },
  'stone.pointing': ({ p }) => {
    const { pointing, joint } = stoneIn(p.wall);
    const net = p.tallies[0].tally.area;
    return made(
      SAYS.pointing(),
      SAYS['pointing-formula'](),
      [
        area(HOW['face-openings-out'](), net, SAYS['as-set-out']()),
        factor(SAYS['joint-length'](), jointsOnFace(p.wall), HOW['common-practice']()),
        length(SAYS['joint-wide'](), joint, SAYS.stated()),
        length(SAYS['raked-deep'](), pointing?.depth ?? 0, SAYS.stated()),
      ],
      pointingOf(p.wall, net),
      'volume',
    );
  },
};

const isOfKind = (name: string, kind: string): boolean =>
  name === 'stone.ashlar'
    ? kind === 'ashlar'
    : kind !== 'ashlar' || !/quoins|jambs|hearting|back|heap/.test(name);

const of = (p: Counted): Of => ({ p, work: stoneWork(p.wall, p.gauge) });

/** What stone and mortar come to, of the whole wall; of one run its mortar and its face. */
export function stoneFigures(p: Counted, run: number | null): Figure[] {
  const kind = stoneIn(p.wall).kind;
  const names = Object.keys(WORKINGS).filter((n) => isOfKind(n, kind));
  // Mortar and face are counted like any wall’s; no unit of it is bought.
  const shared = unitFigures(p, run).filter((f) => f.value > 0 && !f.key.startsWith('pieces.'));
  return run === null ? [...figuresNamed(WORKINGS, names, of(p)), ...shared] : shared;
}

/** How a figure comes about. */
export function stoneWorking(p: Counted, figure: string, run: number | null): Made | null {
  if (figure === 'mortar.geometric' && run === null) {
    const { volumes } = stoneWork(p.wall, p.gauge);
    return made(
      SAYS.mortar(),
      stoneIn(p.wall).kind === 'ashlar' ? SAYS['mortar-ashlar']() : SAYS['mortar-formula'](),
      [
        volume(SAYS.gross(), volumes.gross, SAYS['as-set-out']()),
        factor(
          SAYS['stone-share'](),
          volumes.gross > 0 ? 1 - volumes.mortar / volumes.gross : 0,
          SAYS['share-band'](),
        ),
      ],
      p.tallies[0].tally.mortar.geometric,
      'volume',
      SAYS['share-band'](),
    );
  }
  return WORKINGS[figure]?.(of(p)) ?? unitWorking(p, figure, run);
}

const filed = (n: number): number => Number(n.toFixed(6));

/** Stone by use, and mortar, as lines to file. */
export function stoneMaterials(p: Counted): MaterialRow[] {
  const { stone, kind } = stoneIn(p.wall);
  const { volumes, throughs, bonders, copes, footing, lacing } = stoneWork(p.wall, p.gauge);
  const squared = squaredIn(p.wall, p.gauge);
  const row = (what: Said, net: number, measure: Said, order: number | '' = ''): MaterialRow => ({
    run: '',
    what,
    unit: stoneName(stone.id),
    net: filed(net),
    order,
    measure,
  });
  const some = (what: Said, n: number): MaterialRow[] => (n > 0 ? [row(what, n, HOW['pieces-laid']())] : []);
  return [
    row(SAYS.mass(), volumes.mass, 'kg', filed(volumes.ordered)),
    ...(volumes.hearting > 0 ? [row(SAYS.hearting(), volumes.hearting * stone.density, 'kg')] : []),
    ...throughs.flatMap((t) => some(SAYS['through-at']({ at: t.at, length: t.length }), t.count)),
    ...some(SAYS.bonders(), bonders.count),
    ...some(SAYS.lacing(), lacing?.units ?? 0),
    ...(kind === 'ashlar'
      ? []
      : [...some(SAYS.quoins(), squared.quoins), ...some(SAYS.jambs(), squared.jambs)]),
    ...(copes ? [...some(SAYS.copes(), copes.count), row(SAYS['copes-mass'](), copes.mass, 'kg')] : []),
    ...(footing ? [row(SAYS.footing(), footing.mass, 'kg')] : []),
    ...unitMaterials(p).filter((m) => m.net > 0),
  ];
}
