import type { CsvRow } from '../stages/paper.js';
import type { Plan } from '../plan/plan.js';
import { materialsOf } from '../plan/says.js';

/** The tally as rows under a head, written to CSV by a library at the edge. */
export const tallyRows = (plan: Plan): CsvRow[] => [
  ['wall', 'run', 'what', 'unit', 'net', 'order', 'measure'],
  ...plan.walls.flatMap((p) =>
    materialsOf(p).map((m): CsvRow => [p.wall.name, m.run, m.what, m.unit, m.net, m.order, m.measure]),
  ),
];
