import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { closerLength } from '../bonds/headerBond.js';
import type { Kind } from './kinds.js';

/** Whole, half and three-quarter lengths of the wall's unit. */
export interface UnitLengths {
  whole: number;
  half: number;
  threeQuarter: number;
}

export const unitLengthsOf = (wall: SetWall): UnitLengths => ({
  whole: wall.unitLength,
  half: wall.half,
  threeQuarter: 0.75 * (wall.unitLength + wall.head) - wall.head,
});

/** Whether two lengths are one, to within `by` mm. */
export const near = (a: number, b: number, by = SAME_PLACE): boolean => Math.abs(a - b) <= by;

/** Header bonds name their own pieces; in a half-brick wall the headers are snapped, and so halves. */
export function kindInHeaderBond(wall: SetWall, length: number): { kind: Kind; cut: boolean } | null {
  if (wall.bond.family !== 'header') return null;
  if (near(length, closerLength(wall), 0.01)) return { kind: 'closer', cut: true };
  if (wall.wythes === 2 && near(length, wall.unitWidth, 0.01)) return { kind: 'header', cut: false };
  return null;
}

/** What a piece is by its length, and whether it is sawn. */
export function kindOf(wall: SetWall, length: number, sizes: UnitLengths): { kind: Kind; cut: boolean } {
  const own = kindInHeaderBond(wall, length);
  if (own) return own;
  if (near(length, sizes.whole, 0.01)) return { kind: 'stretcher', cut: false };
  if (near(length, sizes.half, 0.01)) return { kind: 'half', cut: false };
  if (near(length, sizes.threeQuarter, 0.01)) return { kind: 'three-quarter', cut: true };
  return { kind: 'cut', cut: true };
}
