import { KINDS, type Kind } from '../walling/units/laying/kinds.js';
import type { WallPlan } from '../plan/plan.js';
import { steelFigures } from '../plan/steelWorking.js';
import { KIND_NAMES } from '../plan/working.js';
import { mortarOfWall } from '../walling/units/counting/ofWall.js';
import { buyKey, buyName, packsOf } from '../walling/units/counting/tally.js';

/** A figure of the tally that opens into its working. Values mm, m², m³ or counts. */
export interface Figure {
  key: string;
  name: string;
  value: number;
  quantity: 'count' | 'length' | 'volume' | 'area' | 'mass';
}

const figure = (
  p: WallPlan,
  scope: string,
  name: string,
  key: string,
  value: number,
  quantity: Figure['quantity'],
): Figure => ({
  key: `${p.wall.id}/${scope}/${key}`,
  name,
  value,
  quantity,
});

const counted = (p: WallPlan, scope: string, pieces: Record<Kind, number>): Figure[] =>
  KINDS.filter((k) => pieces[k] > 0).map((k) =>
    figure(p, scope, KIND_NAMES[k], `pieces.${k}`, pieces[k], 'count'),
  );

/** What the tally says of one run. */
export function runFigures(p: WallPlan, run: number): Figure[] {
  const place = p.runs.findIndex((r) => r.index === run);
  const t = p.runTallies[place];
  if (!t) return [];
  const scope = String(run);
  return [
    ...counted(p, scope, t.pieces),
    figure(p, scope, 'Mortar in the joints', 'mortar.geometric', t.mortar.geometric, 'volume'),
    figure(p, scope, 'Mortar to mix', 'mortar.used', t.mortar.used, 'volume'),
    figure(p, scope, 'Face, openings out', 'area', t.area, 'area'),
  ];
}

/** What the tally says of the whole wall, and what to order for it. */
export function wallFigures(p: WallPlan): Figure[] {
  const { tally, tallies } = p;
  const [, ...behind] = tallies;
  const { pack } = p.wall.profile;
  return [
    ...counted(p, 'wall', tally.pieces),
    ...tallies.flatMap((t) =>
      t.buy.map((l) => {
        const name = `${t.name === '' ? 'Order' : `${t.name}, order`}: ${buyName(l, KIND_NAMES)}`;
        return figure(p, 'wall', name, `${t.key}${buyKey(l)}`, l.ordered, 'count');
      }),
    ),
    ...behind.map((t) =>
      figure(p, 'wall', `${t.name}: mortar to mix`, `${t.key}mortar.used`, t.tally.mortar.used, 'volume'),
    ),
    figure(p, 'wall', 'Mortar in the joints', 'mortar.geometric', tally.mortar.geometric, 'volume'),
    figure(p, 'wall', 'Mortar to mix', 'mortar.used', tally.mortar.used, 'volume'),
    figure(
      p,
      'wall',
      `Order: mortar, ${pack.name}s`,
      'mortar.ordered',
      packsOf(mortarOfWall(p).used, pack),
      'count',
    ),
    figure(p, 'wall', 'Face, openings out', 'area', tally.area, 'area'),
    ...steelFigures(p).map(({ key, made }) =>
      figure(p, 'wall', made.title, key, made.result, made.quantity as Figure['quantity']),
    ),
  ];
}
