import type { Said } from '../messages/message.js';
import type { UnitShape } from '../tables/units.js';
import { spokenKind, type SpokenKind } from '../walling/units/laying/kinds.js';
import type { Row } from '../walling/units/laying/row.js';
import type { WallPlan } from '../plan/plan.js';
import { SAYS } from './messages.js';

function picksOf(row: Row, unit: UnitShape): Said {
  const counts = new Map<SpokenKind | 'sawn', number>();
  for (const piece of row.pieces) {
    const kind = piece.cutFrom !== null && piece.kind !== 'half' ? 'sawn' : spokenKind(piece.kind, unit);
    counts.set(kind, (counts.get(kind) ?? 0) + 1);
  }
  return SAYS.picks({ picks: [...counts].map(([kind, count]) => SAYS.pick({ kind, count })) });
}

/** What the mason picks up for each course of a run. Courses laid alike share one row, and are said once. */
export function coursePicks(p: WallPlan, run: number): Said[] {
  const rows = p.runs.find((r) => r.index === run)?.rows ?? [];
  const said = new Map<Row, Said>(rows.map((row) => [row, '']));
  for (const row of said.keys()) said.set(row, picksOf(row, p.wall.unit));
  return p.gauge.courses.map((_, i) => said.get(rows[i] as Row) ?? '');
}
