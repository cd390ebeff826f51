import type { Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { SetWall } from '../set-out/wall.js';
import type { Shaft } from './shafts.js';

/** The corner at the end of a run: the run that begins there counts its cells, and they are seen on this face all the same. */
export interface SeenCorner {
  /** The run whose cells they are. */
  run: number;
  /** The middle of the corner on this face, mm. */
  at: Mm;
  /** Whether a cell of that run stands in it. */
  holds: (shaft: Shaft) => boolean;
}

export function cornerSeen(
  { wall, runs }: { wall: SetWall; runs: readonly BondedRun[] },
  run: number,
): SeenCorner | null {
  const bonded = runs.find((r) => r.index === run);
  const other = runs.find((r) => r.index === (bonded?.ends.end.other ?? null));
  if (!bonded || !other) return null;
  const width = wall.unitWidth;
  return {
    run: other.index,
    at: bonded.to - width / 2,
    holds: (shaft) => shaft.to < other.from + width,
  };
}
