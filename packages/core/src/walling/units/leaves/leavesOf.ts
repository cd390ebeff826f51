import type { GaugeSolution } from '../../../stages/gauge/solve.js';
import type { JobDocument } from '../../../job/types.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { bondWall, type BondedRun } from '../laying/bond.js';
import { mapRows } from '../laying/moved.js';
import type { Row, Rows } from '../laying/row.js';
import type { BondBefore } from '../laying/takenOver.js';
import type { Parity, Span } from '../lines/lines.js';
import { headedBack, pierAcross, pierBonds } from '../let-in/piers.js';
import { innerWythe, ON_THE_FACE } from './behind.js';
import { backedStretch, backRow } from './bonded.js';
import { cavityLeaf } from './cavityLeaf.js';
import type { Leaf } from './leaf.js';

/** A wall as its outside face is laid. */
export interface FaceLaid {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: BondedRun[];
}

/** A leaf as it was laid before an edit: runs the edit left alone are taken over. */
export const leafBefore = (leaf: Leaf | undefined): BondBefore | null =>
  leaf ? { wall: leaf.wall, courses: leaf.gauge.courses, level: leaf.gauge.count, runs: leaf.runs } : null;

const onTheFace = (runs: readonly unknown[]): Leaf['behind'] => runs.map(() => ON_THE_FACE);

/** What stands behind a face whose units go through: a stretcher behind each that does not. */
function bondedLeaf({ wall, gauge, runs }: FaceLaid): Leaf {
  const behind = (run: BondedRun): Rows => {
    const [odd, even] = (['odd', 'even'] as const).map((parity: Parity) =>
      backedStretch(wall, run.index, run.ends, parity),
    );
    const piers = wall.piers
      .filter((p) => p.run === run.index && pierBonds(wall, p))
      .map((pier) => ({ pier, across: pierAcross(wall, pier, run.lines) }));
    return mapRows(run.rows, (row: Row, course) => {
      const parity = course % 2 === 1 ? 'odd' : 'even';
      const back = backRow(wall, row, (course % 2 === 1 ? odd : even) as Span);
      const across = piers.filter((p) => p.across === parity).map((p) => p.pier);
      return across.length > 0 ? headedBack(wall, back, across) : back;
    });
  };
  return {
    index: 1,
    offset: wall.thickness - wall.unitWidth,
    thickness: wall.unitWidth,
    heldBy: 'bond',
    carries: false,
    wall,
    gauge,
    runs: runs.map((run) => ({ ...run, ...behind(run), lost: [] })),
    behind: onTheFace(wall.runs),
  };
}

const NOTHING: Row = { pieces: [], perps: [], bedded: [] };

/** The units of a wall's bonded piers that stand behind it, or before it, and nothing between them. */
function pierLeaf({ wall, gauge, runs }: FaceLaid, index: number): Leaf {
  const offset = wall.thickness + wall.head;
  const inside = wall.piers.some((p) => p.side === 'inside');
  return {
    index,
    offset: inside ? offset : -offset,
    thickness: wall.unitWidth,
    heldBy: 'bond',
    carries: false,
    wall,
    gauge,
    runs: runs.map((run) => ({ ...run, ...(run.piers ?? mapRows(run.rows, () => NOTHING)), lost: [] })),
    behind: onTheFace(wall.runs),
  };
}

/** A second wythe, tied to the first: a wall of its own on a line set in. */
function tiedLeaf({ wall, gauge }: FaceLaid, before: BondBefore | null): Leaf {
  const carries = wall.carries === 'inner';
  const { wall: own, behind } = innerWythe(carries ? wall : { ...wall, steel: null });
  return {
    index: 1,
    offset: wall.unitWidth + wall.head,
    thickness: wall.unitWidth,
    heldBy: 'tie',
    carries,
    wall: own,
    gauge,
    runs: bondWall(own, gauge.courses, gauge.count, before),
    behind,
  };
}

/**
 * A wall as its face is laid: a beam's courses are of trough units in the leaf that carries it, and what is bonded in from
 * inside stops at a cavity.
 */
export const faceWall = (wall: SetWall): SetWall =>
  wall.carries === 'outer' && !wall.cavity
    ? wall
    : {
        ...wall,
        ...(wall.carries === 'inner' ? { steel: null } : {}),
        ...(wall.cavity ? { branches: [] } : {}),
      };

/**
 * The leaves of a wall whose outside face is laid, outside first. `before`: the same wall's leaves before an edit; what
 * comes out is the same without them.
 */
export function leavesOf(job: JobDocument, face: FaceLaid, before: readonly Leaf[] | null = null): Leaf[] {
  const { gauge, runs } = face;
  const wall = faceWall(face.wall);
  const outside: Leaf = {
    index: 0,
    offset: 0,
    thickness: wall.unitWidth,
    heldBy: null,
    carries: wall.carries === 'outer',
    wall,
    gauge,
    runs,
    behind: onTheFace(wall.runs),
  };
  const was = leafBefore(before?.[1]);
  if (wall.cavity) return [outside, cavityLeaf(job, face.wall, was)];
  const tied = wall.wythes === 2 && wall.bond.family !== 'header';
  if (tied) return [outside, tiedLeaf(face, was)];
  const leaves = wall.wythes === 2 ? [outside, bondedLeaf(face)] : [outside];
  return runs.some((run) => run.piers) ? [...leaves, pierLeaf(face, leaves.length)] : leaves;
}
