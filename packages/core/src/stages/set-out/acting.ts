import type { Mm } from '../../measure/length.js';
import type { SetWall } from './wall.js';

/**
 * How much of a wall acts as one against wind and soil, mm. Two leaves that are only tied are two thin walls; those that are bonded through
 * are one. Of two leaves parted by a cavity the thinner decides.
 */
export function thicknessActing(
  wall: Pick<SetWall, 'cavity' | 'wythes' | 'bond' | 'unitWidth' | 'thickness'>,
): Mm {
  if (wall.cavity) return Math.min(wall.unitWidth, wall.cavity.overall - wall.cavity.width - wall.unitWidth);
  return wall.wythes === 2 && wall.bond.family !== 'header' ? wall.unitWidth : wall.thickness;
}
