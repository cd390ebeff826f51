import type { Mm } from '../../../measure/length.js';
import type { Course } from '../../../stages/gauge/courses.js';
import type { SetWall } from '../../../stages/set-out/wall.js';

/** The bed a wall's damp-proof course lies in: the first that stands high enough above the ground; null where none does. */
export const dpcBed = ({ dpcOver }: SetWall, courses: readonly Course[]): Mm | null =>
  dpcOver === null ? null : (courses.find((c) => c.top >= dpcOver - 1)?.top ?? null);

/**
 * Where movement joints begin, mm above the base. Under the dpc masonry neither dries nor warms as it does over it, and
 * is laid through: PD 6697 and BS 5628-3, from memory. A wall whose dpc nobody places is parted from its footing up.
 */
export const jointFoot = (wall: SetWall, courses: readonly Course[]): Mm => dpcBed(wall, courses) ?? 0;
