import type { JobDocument } from '../../job/types.js';
import type { GaugeSolution } from '../../stages/gauge/solve.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import type { BondedRun } from '../units/laying/bond.js';
import type { Row } from '../units/laying/row.js';
import { ON_THE_FACE } from '../units/leaves/behind.js';
import { cavityLeaf } from '../units/leaves/cavityLeaf.js';
import type { Leaf } from '../units/leaves/leaf.js';
import { leafBefore } from '../units/leaves/leavesOf.js';
import { FREE } from '../units/lines/ends.js';
import type { PerpLine } from '../units/lines/lines.js';
import type { Laid } from '../walling.js';

/** No stone of it is known by its place. */
const NOTHING: Row = { pieces: [], perps: [], bedded: [] };
const NO_LINE: PerpLine = { u: [], joint: 0, shownAtStart: false, shownAtEnd: false };

/** A run of a stone wall: its rows hold what is known of its stones, which of most walls is nothing. */
export function stoneRun(wall: SetWall, gauge: GaugeSolution, index: number, rows?: Row[]): BondedRun {
  const own = rows ?? gauge.courses.map(() => NOTHING);
  const uses = new Map<Row, number>();
  for (const row of own) uses.set(row, (uses.get(row) ?? 0) + 1);
  return {
    index,
    ends: { start: FREE, end: FREE },
    lines: [NO_LINE],
    from: 0,
    to: wall.runs[index]?.length ?? 0,
    rows: own,
    uses,
    piers: null,
    lost: [],
  };
}

/** A stone wall as leaves: its stone, and what it faces behind a gap. */
export function stoneLaid(
  job: JobDocument,
  wall: SetWall,
  gauge: GaugeSolution,
  rows: (run: number) => Row[] | undefined,
  before: Laid | null,
): Laid {
  const runs = wall.runs.map((_, i) => stoneRun(wall, gauge, i, rows(i)));
  const outside: Leaf = {
    index: 0,
    offset: 0,
    thickness: wall.unitWidth,
    heldBy: null,
    carries: wall.carries === 'outer',
    wall,
    gauge,
    runs,
    behind: runs.map(() => ON_THE_FACE),
  };
  const behind = wall.cavity ? [cavityLeaf(job, wall, leafBefore(before?.leaves[1]))] : [];
  return { wall, gauge, runs, ways: [], leaves: [outside, ...behind] };
}
