import { issue } from '../../findings/issue.js';
import type { BondWork } from '../../stages/bond/stage.js';
import { count, figuresNamed, type Workings } from '../../stages/figure.js';
import type { GaugeWork } from '../../stages/gauge/stage.js';
import { check } from '../../stages/hold.js';
import { CAUTION } from '../../stages/paper.js';
import type { SetOutWork } from '../../stages/set-out/stage.js';
import { stage } from '../../stages/stage.js';
import { rect } from '../../shapes/shape.js';

interface Boards {
  /** Boards of a scaffold, lift by lift. */
  boards: { lift: number; level: number; count: number }[];
}
type Work = SetOutWork & GaugeWork & BondWork & Boards;

const LIFT = 1350;
const BOARD = 3900;

const WORKINGS: Workings<Work> = {
  'boards.all': ({ boards }) => ({
    title: 'Scaffold boards',
    formula: 'Σ lifts: length of the runs ÷ a board, rounded up',
    inputs: [count('lifts', boards.length, 'every 1350 mm: invented for the test')],
    result: boards.reduce((sum, b) => sum + b.count, 0),
    quantity: 'count',
    source: 'invented for the test',
  }),
};

/** A stage that is not there: what one costs is this folder, and a line in the registry. */
export const scaffold = stage<'scaffold', SetOutWork & GaugeWork & BondWork, Boards>({
  id: 'scaffold',
  shown: 'mud',
  needs: ['set-out', 'gauge', 'bond'],
  work: ({ wall, gauge }) => {
    const long = wall.runs.reduce((sum, r) => sum + r.length, 0);
    const top = gauge.courses.at(-1)?.top ?? 0;
    return {
      boards: Array.from({ length: Math.floor((top - 1) / LIFT) }, (_, i) => ({
        lift: i + 1,
        level: (i + 1) * LIFT,
        count: Math.ceil(long / BOARD),
      })),
    };
  },
  issues: (_, { boards }) =>
    boards.length > 0
      ? [
          issue({
            code: 'assumed',
            stage: 'mud',
            severity: 'note',
            says: 'A scaffold stands.',
            source: 'test',
          }),
        ]
      : [],
  figures: (work, run) => (run === null ? figuresNamed(WORKINGS, Object.keys(WORKINGS), work) : []),
  working: (work, figure) => WORKINGS[figure]?.(work) ?? null,
  shapes: ({ boards, wall }, run) =>
    boards.map((b) => rect('board', 0, b.level, wall.runs[run]?.length ?? 0, 38)),
  holds: ({ boards }) =>
    boards.map((b) => ({
      id: `lift-${b.lift}`,
      title: `Before lift ${b.lift}`,
      step: `lift-${b.lift}`,
      stepSays: 'Boarded out',
      after: [],
      checks: [check('ties', 'Tied in')],
    })),
  papers: [
    {
      kind: 'boards',
      name: 'Boards',
      over: 'wall',
      sheet: (job, { boards }, _run, _show, say) => ({
        title: 'Boards',
        sub: job,
        says: [],
        drawing: null,
        tables: [{ name: 'Boards', head: ['lift'], figures: [0], rows: boards.map((b) => [String(b.lift)]) }],
        caution: say(CAUTION),
      }),
    },
  ],
});
