import type { Behind } from '../walling/units/leaves/back.js';
import { runOnFace } from '../walling/units/laying/moved.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import type { GaugeSolution } from '../gauge/solve.js';
import type { SetWall } from '../setout/wall.js';
import type { InnerLeaf } from './inner.js';

/** The leaf that carries bars and grout, in places of the outer leaf's face. */
export interface Carrier {
  wall: SetWall;
  gauge: GaugeSolution;
  runs: BondedRun[];
  /** From the wall's outside face to this leaf's, mm: nought but behind a cavity. */
  behind: number;
}

/**
 * Which leaf carries bars and grout: the wall's own, or the one behind its cavity where that has the cells. What hangs
 * on the wall (openings, joints, footing) is as the outer leaf has it, so that one tape serves both.
 */
export function carrierOf(
  wall: SetWall,
  gauge: GaugeSolution,
  runs: BondedRun[],
  inner: InnerLeaf | null,
): Carrier {
  if (!inner?.carries || !wall.cavity) return { wall, gauge, runs, behind: 0 };
  const { openings, joints, steps, tops, footing } = wall;
  return {
    wall: {
      ...inner.wall,
      runs: wall.runs,
      openings: openings.map((o) => ({ ...o, soldiers: false })),
      joints,
      steps,
      tops,
      footing,
    },
    gauge: inner.gauge,
    runs: inner.runs.map((run) => runOnFace(run, inner.behind[run.index] as Behind)),
    behind: wall.unitWidth + wall.cavity.width,
  };
}

/** A wall's work as steel and grout see it: the leaf that carries them in place of the outer one. */
export const carried = <
  T extends { wall: SetWall; gauge: GaugeSolution; runs: BondedRun[]; carrier: Carrier },
>(
  work: T,
): T => ({ ...work, wall: work.carrier.wall, gauge: work.carrier.gauge, runs: work.carrier.runs });
