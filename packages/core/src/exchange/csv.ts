import { KINDS } from '../walling/units/laying/kinds.js';
import { mortarOfWall } from '../walling/units/counting/ofWall.js';
import { packsOf } from '../walling/units/counting/tally.js';
import { steelFigures } from '../plan/steelWorking.js';
import { KIND_NAMES, type Quantity } from '../plan/working.js';
import type { Plan } from '../plan/plan.js';

/** What a figure is measured in where it is filed. */
const MEASURES: Partial<Record<Quantity, string>> = {
  volume: 'm3',
  area: 'm2',
  length: 'mm',
  mass: 'kg',
  count: 'pieces',
};

export type CsvRow = (string | number)[];

/** The tally as rows: wall, run, what, count, unit. Written to CSV by a library at the edge. */
export function tallyRows(plan: Plan): CsvRow[] {
  const rows: CsvRow[] = [['wall', 'run', 'what', 'unit', 'net', 'order', 'measure']];
  for (const p of plan.walls) {
    p.runs.forEach((run, i) => {
      const t = p.runTallies[i];
      const name = p.wall.runs[run.index]?.name ?? '';
      if (!t) return;
      for (const kind of KINDS) {
        if (t.pieces[kind] > 0)
          rows.push([p.wall.name, name, KIND_NAMES[kind], p.wall.unit.id, t.pieces[kind], '', 'pieces laid']);
      }
    });
    const [, ...behind] = p.tallies;
    for (const t of p.tallies)
      for (const line of t.buy)
        rows.push([
          p.wall.name,
          '',
          `To order${t.name === '' ? '' : `, ${t.name.toLowerCase()}`}: ${KIND_NAMES[line.kind].toLowerCase()}`,
          line.unit,
          line.net,
          line.ordered,
          'units',
        ]);
    for (const t of behind)
      rows.push([
        p.wall.name,
        '',
        `${t.name}: mortar to mix`,
        '',
        Number(t.tally.mortar.used.toFixed(6)),
        '',
        'm3',
      ]);
    const { geometric, used } = p.tally.mortar;
    const { pack } = p.wall.profile;
    rows.push([p.wall.name, '', 'Mortar in the joints', '', Number(geometric.toFixed(6)), '', 'm3']);
    rows.push([
      p.wall.name,
      '',
      behind.length > 0 ? 'Mortar to mix (packs for both leaves)' : 'Mortar to mix',
      pack.name,
      Number(used.toFixed(6)),
      packsOf(mortarOfWall(p).used, pack),
      'm3, packs',
    ]);
    for (const { key, made } of steelFigures(p))
      rows.push([
        p.wall.name,
        '',
        made.title,
        '',
        Number(made.result.toFixed(6)),
        '',
        MEASURES[made.quantity] ?? key,
      ]);
  }
  return rows;
}
