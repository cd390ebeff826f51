import type { Say } from '../messages/message.js';
import { SHEET } from '../stages/paperMessages.js';
import type { CsvRow } from '../stages/paper.js';
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
