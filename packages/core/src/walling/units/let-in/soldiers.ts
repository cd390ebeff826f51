import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import type { Piece } from '../laying/row.js';

/** Bricks on end across an opening. */
export interface Soldiers {
  count: number;
  /** Every joint between them and at both ends, alike, mm. */
  joint: number;
  /** Underside and top of the bricks, and where the courses go on over them, mm above the base. */
  bottom: number;
  top: number;
}

/** As many as bring the joints nearest their target, every joint alike. */
export function soldiersOver(wall: SetWall, o: SetOpening): Soldiers {
  const width = o.to - o.from;
  const ideal = (width - wall.head) / (wall.unitHeight + wall.head);
  const jointOf = (n: number): number => (width - n * wall.unitHeight) / (n + 1);
  const off = (n: number): number => Math.abs(jointOf(n) - wall.head);
  const [low, high] = [Math.max(1, Math.floor(ideal)), Math.max(1, Math.ceil(ideal))];
  const count = off(high) < off(low) && jointOf(high) > 0 ? high : low;
  const bottom = o.head + wall.bed;
  return { count, joint: jointOf(count), bottom, top: bottom + wall.unitLength };
}

/** Whether they stand in the row of this course: the lowest of those they take the place of. */
export function soldiersStartIn(
  wall: SetWall,
  o: SetOpening,
  course: { bottom: number; top: number },
): boolean {
  const { bottom } = soldiersOver(wall, o);
  return o.soldiers && course.bottom < bottom - SAME_PLACE && course.top >= bottom - SAME_PLACE;
}

/** Their pieces, on the face of the run. */
export function soldierPieces(wall: SetWall, o: SetOpening): Piece[] {
  const { count, joint, bottom, top } = soldiersOver(wall, o);
  return Array.from({ length: count }, (_, i): Piece => {
    const from = o.from + joint + i * (wall.unitHeight + joint);
    return {
      kind: 'beam',
      from,
      to: from + wall.unitHeight,
      cutFrom: null,
      opening: -1,
      band: { from: bottom, to: top },
      fitting: 'soldier',
    };
  });
}
