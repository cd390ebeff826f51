import type { Said } from '../messages/message.js';
import type { WallPlan } from '../plan/plan.js';
import { picksOf } from '../walling/units/counting/picks.js';
import type { Row } from '../walling/units/laying/row.js';

/** What the mason picks up for each course of a run. Courses laid alike share one row, and are said once. */
export function coursePicks(p: WallPlan, run: number): Said[] {
  const rows = p.runs.find((r) => r.index === run)?.rows ?? [];
  const said = new Map<Row, Said>(rows.map((row) => [row, '']));
  for (const row of said.keys()) said.set(row, picksOf([row], p.wall.unit));
  return p.gauge.courses.map((_, i) => said.get(rows[i] as Row) ?? '');
}
