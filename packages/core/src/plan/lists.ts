import type { Folded } from '../record/fold.js';
import { recordRows } from '../record/rows.js';
import type { AnyStage } from '../stages/stage.js';
import { spotOf } from '../stages/bond/lists.js';
import { LIST } from '../stages/listMessages.js';
import type { Spot, WorkList } from '../stages/list.js';
import { everyPiece } from '../walling/units/leaves/laidWith.js';
import { holdStates, type HoldState } from './holds.js';
import type { WallPlan } from './plan.js';
import { STAGES } from './registry.js';
import { figuresOf, holdsOf } from './says.js';
import type { Worked } from './work.js';

/** Units by the line of the tally they are counted in: a line is pressed and they are lit, a unit and its line is. */
function spotsByLine(work: WallPlan): Map<string, Spot[]> {
  const spots = new Map<string, Spot[]>();
  everyPiece(work, (piece, at) => {
    const behind = at.leaf.heldBy === 'cavity';
    const own = spotOf(at, piece);
    for (const key of behind ? [`inner.buy.${piece.kind}`] : [`pieces.${piece.kind}`, `buy.${piece.kind}`]) {
      const list = spots.get(key);
      if (list) list.push(own);
      else spots.set(key, [own]);
    }
  });
  return spots;
}

/** Everything the wall takes, as it is counted: each line opens into its working, by its key. */
function tallyList(work: WallPlan): WorkList {
  const spots = spotsByLine(work);
  return {
    kind: 'tally',
    name: LIST.tally(),
    empty: LIST['tally-empty'](),
    columns: [
      { key: 'what', name: LIST.what(), is: 'text' },
      { key: 'amount', name: LIST.amount(), is: 'count' },
    ],
    rows: figuresOf(work, null).map(({ key, name, value, quantity }) => ({
      id: `${work.wall.id}/wall/${key}`,
      cells: [name, { value, is: quantity }],
      spots: spots.get(key) ?? [],
    })),
  };
}

const stateOf = ({ signed, done, waits }: HoldState): 'open' | 'waits' | 'signed' | 'done' =>
  done ? 'done' : signed ? 'signed' : waits.length > 0 ? 'waits' : 'open';

/** Points that may not be passed until somebody signs, and how far each is. */
function holdList(work: WallPlan, record: Folded): WorkList {
  return {
    kind: 'holds',
    name: LIST.holds(),
    empty: LIST['holds-empty'](),
    columns: [
      { key: 'hold', name: LIST.hold(), is: 'text' },
      { key: 'before', name: LIST.before(), is: 'text' },
      { key: 'checks', name: LIST.checks(), is: 'count' },
      { key: 'state', name: LIST.state(), is: 'text' },
    ],
    rows: holdStates(holdsOf(work), record, work.wall.id).map((s) => ({
      id: s.hold.id,
      cells: [s.hold.title, s.hold.stepSays, s.hold.checks.length, LIST['state-is']({ state: stateOf(s) })],
      spots: [],
    })),
  };
}

/** What happened at this wall, as it is on record: what a later row corrected is left to the record itself. */
function recordList(work: WallPlan, record: Folded): WorkList {
  return {
    kind: 'record',
    name: LIST.record(),
    empty: LIST['record-empty'](),
    columns: [
      { key: 'when', name: LIST.when(), is: 'text' },
      { key: 'what', name: LIST.what(), is: 'text' },
      { key: 'where', name: LIST.where(), is: 'text' },
      { key: 'said', name: LIST.said(), is: 'text' },
      { key: 'by', name: LIST.by(), is: 'text' },
    ],
    rows: recordRows(record.rows())
      .filter((r) => (r.wall === null || r.wall === work.wall.id) && !r.corrected)
      .map((r) => ({
        id: r.id,
        cells: [
          r.happened.slice(0, 16).replace('T', ' '),
          r.kind,
          r.where,
          LIST.parts({ parts: r.what }),
          r.by,
        ],
        spots: [],
      })),
  };
}

/** The lists of a wall, in the order of the work: those of its stages, what is signed, what it takes. */
export function listsOf(work: WallPlan, record: Folded, stages: readonly AnyStage[] = STAGES): WorkList[] {
  const own = stages
    .filter((s) => (work as Worked).worked.includes(s.id))
    .flatMap((s) => s.lists?.(work) ?? []);
  return [...own, holdList(work, record), tallyList(work), recordList(work, record)];
}
