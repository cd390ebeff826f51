import { behindFace, findUnit } from '../../job/units.js';
import type { JobDocument, Wall } from '../../job/types.js';
import { bondById } from '../../tables/bonds.js';
import type { UnitShape } from '../../tables/units.js';

/** Whether a wall has an inner leaf laid for itself: behind a cavity, or tied to the outer one. */
export const hasInnerLeaf = (wall: Wall): boolean =>
  behindFace(wall.build) !== undefined ||
  (wall.build.kind === 'units' && wall.build.wythes === 2 && bondById(wall.build.bond).family !== 'header');

/** Which leaf bars and grout are in: as the file says, else the inner one where that alone has cells. */
export function carriesOf(job: JobDocument, wall: Wall, unit: UnitShape): 'outer' | 'inner' {
  if (!hasInnerLeaf(wall)) return 'outer';
  const { carries } = wall.build;
  const cavity = behindFace(wall.build);
  if (carries) return carries;
  const inner = cavity ? findUnit(job, cavity.inner) : unit;
  return unit.shells === null && (inner?.shells ?? null) !== null ? 'inner' : 'outer';
}
