import type { Say } from '../messages/message.js';
import { SHEET } from '../stages/paperMessages.js';
import type { CsvRow } from '../stages/paper.js';
import { MEASURES, type Quantity } from '../stages/figure.js';
import type { Cell, ListRow, WorkList } from '../stages/list.js';
import type { Plan } from '../plan/plan.js';
import { materialsOf } from '../plan/says.js';

/** The tally as rows under a head, written to CSV by a library at the edge. */
export const tallyRows = (plan: Plan, say: Say): CsvRow[] => [
  [SHEET.wall(), SHEET.run(), SHEET.what(), SHEET.unit(), SHEET.net(), SHEET.order(), SHEET.measure()].map(
    say,
  ),
  ...plan.walls.flatMap((p) =>
    materialsOf(p).map((m): CsvRow => [
      p.wall.name,
      m.run,
      say(m.what),
      say(m.unit),
      m.net,
      m.order,
      say(m.measure),
    ]),
  ),
];

const asFiled = (n: number): number => Number(n.toFixed(6));

function cellRow(cell: Cell, say: Say): string | number {
  if (cell === null) return '';
  if (typeof cell === 'number') return asFiled(cell);
  return typeof cell === 'object' && 'is' in cell ? asFiled(cell.value) : say(cell);
}

/** A list as rows under a head: numbers in mm, m², m³ and kg, the measure in the head or, where lines differ, beside each. */
export function listRows(list: WorkList, say: Say): CsvRow[] {
  const measure = (is: Quantity): string =>
    is === 'count' || is === 'text' || is === 'factor' ? '' : MEASURES[is];
  const own = (r: ListRow): string | undefined =>
    r.cells.flatMap((c) =>
      typeof c === 'object' && c !== null && 'is' in c ? [MEASURES[c.is as keyof typeof MEASURES]] : [],
    )[0];
  const differ = list.rows.some((r) => own(r) !== undefined);
  return [
    [
      ...list.columns.map((c) => [say(c.name), measure(c.is)].filter(Boolean).join(', ')),
      ...(differ ? [say(SHEET.measure())] : []),
    ],
    ...list.rows.map((r): CsvRow => [
      ...r.cells.map((c) => cellRow(c, say)),
      ...(differ ? [own(r) ?? ''] : []),
    ]),
  ];
}
