import type { Say } from '../messages/message.js';
import type { Show } from '../measure/format.js';
import type { WallPlan } from '../plan/plan.js';
import { figuresOf } from '../plan/says.js';
import { sayQuantity } from '../stages/figure.js';
import { CAUTION, type PaperSheet, type PaperTable } from '../stages/paper.js';
import { SHEET } from '../stages/paperMessages.js';

/** More runs than this do not stand side by side on a page. */
const SIDE_BY_SIDE = 6;

/** What is counted of each run, the runs side by side: so many at a time as the page is wide. */
function byRun(p: WallPlan, show: Show, say: Say): PaperTable[] {
  const { runs } = p.wall;
  if (runs.length < 2) return [];
  return Array.from({ length: Math.ceil(runs.length / SIDE_BY_SIDE) }, (_, i) => {
    const from = i * SIDE_BY_SIDE;
    const here = runs.slice(from, from + SIDE_BY_SIDE);
    const figures = here.map((_run, k) => figuresOf(p, from + k));
    const keys = new Map(figures.flat().map((f) => [f.key, f.name]));
    return {
      name: say(SHEET['by-run']()),
      head: [say(SHEET.what()), ...here.map((r) => r.name)],
      figures: here.map((_run, k) => k + 1),
      rows: [...keys].map(([key, name]) => [
        say(name),
        ...figures.map((own) => {
          const f = own.find((one) => one.key === key);
          return f ? sayQuantity(f.value, f.quantity, show) : '';
        }),
      ]),
    };
  });
}

/** What a wall takes, in the measure it is ordered by: what is laid and filled, and what to buy of it. */
export function tallySheet(job: string, p: WallPlan, show: Show, say: Say): PaperSheet {
  return {
    title: say(SHEET['tally-of']({ wall: p.wall.name })),
    sub: job,
    says: [say(SHEET['tally-rule']())],
    drawing: null,
    tables: [
      {
        name: say(SHEET['whole-wall']()),
        head: [SHEET.what(), SHEET.amount()].map(say),
        figures: [1],
        rows: figuresOf(p, null).map((f) => [say(f.name), sayQuantity(f.value, f.quantity, show)]),
      },
      ...byRun(p, show, say),
    ],
    caution: say(CAUTION),
  };
}
