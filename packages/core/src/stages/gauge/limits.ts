import { toMillimetres } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import { EYE_LEVEL, EYE_REACH } from '../../tables/profiles.js';

/** A sawn course thinner than this would not hold together under the saw: common practice. */
export const THINNEST_SAWN = 50;
/** Less than this off a course is not worth sawing: two saw cuts, common practice. */
export const LEAST_SAWN_OFF = 6;

/** Beds where nobody will see them, mm. The target is always among them. */
export function hiddenLimits(wall: SetWall): { least: number; most: number } {
  const { hiddenBed } = wall.profile;
  return {
    least: Math.min(toMillimetres(hiddenBed.least), wall.bed),
    most: Math.max(toMillimetres(hiddenBed.most), wall.bed),
  };
}

/** Whether a course's bed lies where it is not seen. */
export const isHidden = (wall: Pick<SetWall, 'hiddenTo'>, c: { bottom: number; bed: number }): boolean =>
  c.bottom + c.bed <= wall.hiddenTo;

/**
 * The largest change from one bed to the next at this height that goes unnoticed, mm: none is too large where
 * the work is hidden, and near eye level less will do than elsewhere.
 */
export function changeAt(wall: SetWall, height: number): number {
  if (height <= wall.hiddenTo) return Infinity;
  const { change } = wall.profile;
  const atEye = Math.abs(height - toMillimetres(EYE_LEVEL)) <= toMillimetres(EYE_REACH);
  return toMillimetres(atEye ? change.atEye : change.most);
}
