import type { Mm } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';

/**
 * How deep into the wall what is laid as one goes, mm: bricks laid across it bond both its wythes, tied wythes are each laid
 * for themselves.
 */
export const laidDepth = (wall: Pick<SetWall, 'bond' | 'thickness' | 'unitWidth'>): Mm =>
  wall.bond.family === 'header' ? wall.thickness : wall.unitWidth;
