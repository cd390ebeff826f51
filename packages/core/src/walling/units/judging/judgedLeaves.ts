import { toMillimetres } from '../../../measure/length.js';
import type { SetWall } from '../../../setout/wall.js';
import { innerWythe } from '../leaves/back.js';
import type { BondedRun } from '../laying/bond.js';
import type { CurvedLeaf } from './curveIssues.js';
import type { LapRules } from './laps.js';
import { leastPieceOf } from '../lines/lines.js';
import type { Row } from '../laying/row.js';

/** A leaf whose laps and pieces are judged: the outer one, or one behind it. */
export interface Leaf {
  rows: readonly Row[];
  uses: ReadonlyMap<Row, number>;
  leastPiece: number;
  rules: LapRules;
  /** Its own length for one of the places it is given in: other than 1 behind a curve. */
  scale: number;
  /** What a sentence calls it, empty for the outer one. */
  name: string;
}

/** The leaves of a run: its face, its second wythe where that is laid by itself, and the leaf behind a cavity. */
export function leavesOf(wall: SetWall, run: BondedRun, inner: InnerToJudge | null): Leaf[] {
  const rules = lapRules(wall);
  const leastPiece = leastPieceOf(wall);
  const leaves: Leaf[] = [{ rows: run.rows, uses: run.uses, leastPiece, rules, scale: 1, name: '' }];
  if (run.back && wall.wythes === 2 && wall.bond.family !== 'header')
    leaves.push({ ...run.back, leastPiece, rules, scale: run.back.scale ?? 1, name: 'the inner wythe' });
  const own = inner?.runs.find((r) => r.index === run.index);
  if (inner && own)
    leaves.push({
      rows: own.rows,
      uses: own.uses,
      leastPiece: leastPieceOf(inner.wall),
      rules: lapRules(inner.wall),
      scale: 1,
      name: 'the inner leaf',
    });
  return leaves;
}

const lapRules = (wall: SetWall): LapRules => ({
  joint: wall.head,
  // Stack bond has no lap and is said so once; its perps are meant to stand in line.
  least: wall.bond.step === 0 ? 0 : toMillimetres(wall.profile.leastLap(wall.unit)),
});

/** The leaf behind a cavity, as far as its bond is judged. */
export interface InnerToJudge {
  wall: SetWall;
  runs: readonly BondedRun[];
}

/** The leaves of a run as a curve takes them: each on its own radius. */
export function curvedLeaves(wall: SetWall, run: BondedRun, inner: InnerToJudge | null): CurvedLeaf[] {
  const radius = wall.runs[run.index]?.radius ?? null;
  if (radius === null) return [];
  const leaves: CurvedLeaf[] = [{ wall, joint: run.lines[0]?.joint ?? wall.head, name: '', behind: 0 }];
  if (run.back && wall.wythes === 2 && wall.bond.family !== 'header') {
    const joint = (run.back.rows[0]?.perps[0]?.width ?? wall.head) * (run.back.scale ?? 1);
    const behind = wall.unitWidth + wall.head;
    leaves.push({ wall: innerWythe(wall).wall, joint, name: 'the inner wythe', behind });
  }
  const own = inner?.runs.find((r) => r.index === run.index);
  if (inner && own) {
    const behind = Math.abs(radius - (inner.wall.runs[run.index]?.radius ?? radius));
    leaves.push({
      wall: inner.wall,
      joint: own.lines[0]?.joint ?? inner.wall.head,
      name: 'the inner leaf',
      behind,
    });
  }
  return leaves;
}
