import type { Said } from '../../../messages/message.js';
import type { Figure, MaterialRow } from '../../../stages/figure.js';
import type { UnitShape } from '../../../tables/units.js';
import type { Counted } from '../../walling.js';
import { KINDS, type Kind } from '../laying/kinds.js';
import { kindNamed } from './names.js';
import { mortarOfWall, type LeafTally } from './ofWall.js';
import { buyKey, orderOf, packsOf, type Counts } from './tally.js';
import { HOW } from '../../../stages/workingMessages.js';

const figure = (name: Said, key: string, value: number, quantity: Figure['quantity']): Figure => ({
  key,
  name,
  value,
  quantity,
});

const counted = (pieces: Counts, unit: UnitShape): Figure[] =>
  KINDS.filter((k) => pieces[k] > 0).map((k) =>
    figure(kindNamed(k, unit), `pieces.${k}`, pieces[k], 'count'),
  );

const ofRun = (face: LeafTally, place: number): Figure[] => {
  const t = face.runs[place];
  if (!t) return [];
  return [
    ...counted(t.pieces, face.wall.unit),
    figure(HOW['mortar-in-the-joints'](), 'mortar.geometric', t.mortar.geometric, 'volume'),
    figure(HOW['mortar-to-mix'](), 'mortar.used', t.mortar.used, 'volume'),
    figure(HOW['face-openings-out'](), 'area', t.area, 'area'),
  ];
};

const ordered = (t: LeafTally): Figure[] =>
  t.buy.map((l) => {
    return figure(orderOf(t.name, l), `${t.key}${buyKey(l)}`, l.ordered, 'count');
  });

/** What units and mortar come to: of one run, or of the whole wall with what to order for it. */
export function unitFigures(p: Counted, run: number | null): Figure[] {
  const { wall, tallies } = p;
  const [face, ...behind] = tallies;
  const place = p.runs.findIndex((r) => r.index === run);
  if (run !== null) return ofRun(face, place);
  const { tally } = face;
  const { pack } = wall.profile;
  return [
    ...counted(tally.pieces, wall.unit),
    ...tallies.flatMap(ordered),
    ...behind.map((t) => figure(HOW['inner-mortar'](), `${t.key}mortar.used`, t.tally.mortar.used, 'volume')),
    figure(HOW['mortar-in-the-joints'](), 'mortar.geometric', tally.mortar.geometric, 'volume'),
    figure(HOW['mortar-to-mix'](), 'mortar.used', tally.mortar.used, 'volume'),
    figure(
      HOW['order-packs']({ pack: pack.name }),
      'mortar.ordered',
      packsOf(mortarOfWall(p).used, pack),
      'count',
    ),
    figure(HOW['face-openings-out'](), 'area', tally.area, 'area'),
  ];
}

const row = (what: Said, more: Partial<MaterialRow>): MaterialRow => ({
  run: '',
  what,
  unit: '',
  net: 0,
  order: '',
  measure: '',
  ...more,
});
const filed = (n: number): number => Number(n.toFixed(6));

/** Units laid by run, units to buy, and mortar, as lines to file. */
export function unitMaterials(p: Counted): MaterialRow[] {
  const [face, ...behind] = p.tallies;
  const { geometric, used } = face.tally.mortar;
  const { pack } = p.wall.profile;
  const laid = p.runs.flatMap((run, i) =>
    KINDS.filter((kind) => (face.runs[i]?.pieces[kind] ?? 0) > 0).map((kind: Kind) =>
      row(kindNamed(kind, p.wall.unit), {
        run: p.wall.runs[run.index]?.name ?? '',
        unit: p.wall.unit.id,
        net: face.runs[i]?.pieces[kind] ?? 0,
        measure: HOW['pieces-laid'](),
      }),
    ),
  );
  const bought = p.tallies.flatMap((t) =>
    t.buy.map((line) =>
      row(
        HOW['to-order-of']({
          leaf: t.name,
          what: HOW['kind-plain']({ kind: line.kind, half: 'no' }),
        }),
        { unit: line.unit, net: line.net, order: line.ordered, measure: 'units' },
      ),
    ),
  );
  return [
    ...laid,
    ...bought,
    ...behind.map((t) => row(HOW['inner-mortar'](), { net: filed(t.tally.mortar.used), measure: 'm3' })),
    row(HOW['mortar-in-the-joints'](), { net: filed(geometric), measure: 'm3' }),
    row(behind.length > 0 ? HOW['packs-for-both']() : HOW['mortar-to-mix'](), {
      unit: pack.name,
      net: filed(used),
      order: packsOf(mortarOfWall(p).used, pack),
      measure: HOW['m3-packs'](),
    }),
  ];
}
