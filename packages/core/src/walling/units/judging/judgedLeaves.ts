import { toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Behind } from '../leaves/behind.js';
import { behindOf, type Leaf } from '../leaves/leaf.js';
import type { Rows } from '../laying/row.js';
import { leastPieceOf } from '../lines/lines.js';
import type { CurvedLeaf } from './curveIssues.js';
import type { LapRules } from './laps.js';

/** A run of a leaf whose laps and pieces are judged, in its own places. */
export interface JudgedLeaf extends Rows {
  leastPiece: number;
  rules: LapRules;
  /** How it lies behind the outside face, where a finding says its place. */
  behind: Behind;
  /** Whether it is what is seen, or stands behind it. */
  name: 'face' | 'inner';
}

const nameOf = ({ heldBy }: Leaf): JudgedLeaf['name'] => (heldBy === null ? 'face' : 'inner');

/** Leaves laid each for itself. What is bonded to the face is laid as the face is, and judged with it. */
const ownLaid = (leaves: readonly Leaf[]): Leaf[] => leaves.filter((l) => l.heldBy !== 'bond');

/** The leaves of a run as they are judged: each by its own unit's rules. */
export const judgedLeaves = (leaves: readonly Leaf[], run: number): JudgedLeaf[] =>
  ownLaid(leaves).flatMap((leaf) => {
    const own = leaf.runs.find((r) => r.index === run);
    if (!own) return [];
    return {
      rows: own.rows,
      uses: own.uses,
      leastPiece: leastPieceOf(leaf.wall),
      rules: lapRules(leaf.wall),
      behind: behindOf(leaf, run),
      name: nameOf(leaf),
    };
  });

const lapRules = (wall: SetWall): LapRules => ({
  joint: wall.head,
  // Stack bond has no lap and is said so once; its perps are meant to stand in line.
  least: wall.bond.step === 0 ? 0 : toMillimetres(wall.profile.leastLap(wall.unit)),
});

/** The leaves of a run as a curve takes them: each on its own radius. */
export const curvedLeaves = (leaves: readonly Leaf[], run: number): CurvedLeaf[] =>
  ownLaid(leaves).flatMap((leaf) => {
    const own = leaf.runs.find((r) => r.index === run);
    if (!own || (leaf.wall.runs[run]?.radius ?? null) === null) return [];
    return {
      wall: leaf.wall,
      // Behind the face joints are eased over the whole run: the first is as the rest are.
      joint: (leaf.index > 0 ? own.rows[0]?.perps[0]?.width : own.lines[0]?.joint) ?? leaf.wall.head,
      name: nameOf(leaf),
      behind: leaf.offset,
    };
  });
