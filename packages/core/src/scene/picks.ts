import type { Said } from '../messages/message.js';
import type { WallPlan } from '../plan/plan.js';
import { STONES_SAY } from '../walling/stone/messages.js';
import { stonesOfLevel } from '../walling/stone/stones.js';
import { stoneWork } from '../walling/stone/work.js';
import { picksOf } from '../walling/units/counting/picks.js';
import type { Row } from '../walling/units/laying/row.js';

/** About how many face stones each level of a stone wall takes, and how many go through: of some runs, or of all. */
export function levelPicks({ wall, gauge, leaves }: WallPlan, runs: readonly number[]): Said[] {
  const [leaf] = leaves;
  const done = runs.flatMap((run) => stoneWork(wall, gauge).runs[run] ?? []);
  return gauge.courses.map((c) => {
    const stones = runs.reduce(
      (sum, run) => sum + (leaf ? (stonesOfLevel({ leaf, course: c.number }, run) ?? 0) : 0),
      0,
    );
    const through = done
      .flatMap((r) => [...r.throughs, ...r.bonders])
      .filter((t) => t.at > c.bottom && t.at <= c.top)
      .reduce((sum, t) => sum + t.count, 0);
    return through > 0
      ? STONES_SAY['level-picks']({ stones, through })
      : STONES_SAY['level-picks-plain']({ stones });
  });
}

/** What the mason picks up for each course of a run. Courses laid alike share one row, and are said once. */
export function coursePicks(p: WallPlan, run: number): Said[] {
  if (p.wall.stone && p.wall.stone.kind !== 'ashlar') return levelPicks(p, [run]);
  const rows = p.runs.find((r) => r.index === run)?.rows ?? [];
  const said = new Map<Row, Said>(rows.map((row) => [row, '']));
  for (const row of said.keys()) said.set(row, picksOf([row], p.wall.unit));
  return p.gauge.courses.map((_, i) => said.get(rows[i] as Row) ?? '');
}
