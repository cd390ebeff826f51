import type { Row } from '../walling/units/laying/row.js';
import type { WallPlan } from '../plan/plan.js';

const PLURAL: Record<string, string> = { half: 'halves', 'three-quarter': 'three-quarters', sawn: 'sawn' };
const sayCount = (name: string, n: number): string => `${n} ${n === 1 ? name : (PLURAL[name] ?? `${name}s`)}`;

function picksOf(row: Row): string {
  const counts = new Map<string, number>();
  for (const piece of row.pieces) {
    const name = piece.cutFrom !== null && piece.kind !== 'half' ? 'sawn' : piece.kind;
    counts.set(name, (counts.get(name) ?? 0) + 1);
  }
  return [...counts].map(([name, n]) => sayCount(name, n)).join(', ');
}

/** What the mason picks up for each course of a run. Courses laid alike share one row, and are said once. */
export function coursePicks(p: WallPlan, run: number): string[] {
  const rows = p.runs.find((r) => r.index === run)?.rows ?? [];
  const said = new Map(rows.map((row) => [row, '']));
  for (const row of said.keys()) said.set(row, picksOf(row));
  return p.gauge.courses.map((_, i) => said.get(rows[i] as Row) ?? '');
}
