import type { SetWall } from '../../set-out/wall.js';
import type { GaugeSolution } from '../solve.js';

/** The whole numbers of courses either side of the height. One when it divides. */
export function countsNear(wall: SetWall): number[] {
  const pitch = wall.unitHeight + wall.bed;
  const below = Math.max(1, Math.floor(wall.height / pitch + 1e-9));
  return [...new Set([below, Math.max(1, Math.ceil(wall.height / pitch - 1e-9))])];
}

/** Whether the courses are those already. */
export const inForce = (now: GaugeSolution, count: number, lowest: number): boolean =>
  now.met === null &&
  now.count === count &&
  now.lowest === lowest &&
  now.sawn === null &&
  now.halfHigh === null &&
  now.short === 0;
