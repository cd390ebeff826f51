import type { Figure, MaterialRow } from '../../../stages/figure.js';
import type { Counted } from '../../walling.js';
import { KINDS, type Kind } from '../laying/kinds.js';
import { KIND_NAMES } from './names.js';
import { mortarOfWall, type LeafTally } from './ofWall.js';
import { buyKey, buyName, packsOf, type Counts } from './tally.js';

const figure = (name: string, key: string, value: number, quantity: Figure['quantity']): Figure => ({
  key,
  name,
  value,
  quantity,
});

const counted = (pieces: Counts): Figure[] =>
  KINDS.filter((k) => pieces[k] > 0).map((k) => figure(KIND_NAMES[k], `pieces.${k}`, pieces[k], 'count'));

const ofRun = (face: LeafTally, place: number): Figure[] => {
  const t = face.runs[place];
  if (!t) return [];
  return [
    ...counted(t.pieces),
    figure('Mortar in the joints', 'mortar.geometric', t.mortar.geometric, 'volume'),
    figure('Mortar to mix', 'mortar.used', t.mortar.used, 'volume'),
    figure('Face, openings out', 'area', t.area, 'area'),
  ];
};

const ordered = (t: LeafTally): Figure[] =>
  t.buy.map((l) => {
    const name = `${t.name === '' ? 'Order' : `${t.name}, order`}: ${buyName(l, KIND_NAMES)}`;
    return figure(name, `${t.key}${buyKey(l)}`, l.ordered, 'count');
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
    ...counted(tally.pieces),
    ...tallies.flatMap(ordered),
    ...behind.map((t) =>
      figure(`${t.name}: mortar to mix`, `${t.key}mortar.used`, t.tally.mortar.used, 'volume'),
    ),
    figure('Mortar in the joints', 'mortar.geometric', tally.mortar.geometric, 'volume'),
    figure('Mortar to mix', 'mortar.used', tally.mortar.used, 'volume'),
    figure(`Order: mortar, ${pack.name}s`, 'mortar.ordered', packsOf(mortarOfWall(p).used, pack), 'count'),
    figure('Face, openings out', 'area', tally.area, 'area'),
  ];
}

const row = (what: string, more: Partial<MaterialRow>): MaterialRow => ({
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
      row(KIND_NAMES[kind], {
        run: p.wall.runs[run.index]?.name ?? '',
        unit: p.wall.unit.id,
        net: face.runs[i]?.pieces[kind] ?? 0,
        measure: 'pieces laid',
      }),
    ),
  );
  const bought = p.tallies.flatMap((t) =>
    t.buy.map((line) =>
      row(
        `To order${t.name === '' ? '' : `, ${t.name.toLowerCase()}`}: ${KIND_NAMES[line.kind].toLowerCase()}`,
        { unit: line.unit, net: line.net, order: line.ordered, measure: 'units' },
      ),
    ),
  );
  return [
    ...laid,
    ...bought,
    ...behind.map((t) => row(`${t.name}: mortar to mix`, { net: filed(t.tally.mortar.used), measure: 'm3' })),
    row('Mortar in the joints', { net: filed(geometric), measure: 'm3' }),
    row(behind.length > 0 ? 'Mortar to mix (packs for both leaves)' : 'Mortar to mix', {
      unit: pack.name,
      net: filed(used),
      order: packsOf(mortarOfWall(p).used, pack),
      measure: 'm3, packs',
    }),
  ];
}
