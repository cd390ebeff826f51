import type { Mm } from '../../measure/length.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../set-out/wall.js';
import { jointFoot } from '../../walling/units/laying/belowDpc.js';
import { topAt } from '../set-out/outline.js';

/** What movement joints take. Lengths m, area m². */
export interface JointAmounts {
  count: number;
  /** Both faces. */
  sealant: number;
  filler: number;
  /** Ties that slip, across each joint. */
  ties: number;
}

/** Slip ties stand no further apart up a joint than this, mm: 300 (AD A 2C8 and PD 6697, from memory); 16 in, common practice. */
export const slipTiePitch = (wall: SetWall): Mm => (wall.profile.id === 'uk' ? 300 : 406.4);

/** How many ties stand up a height at a pitch. */
export const tiesUp = (height: Mm, pitch: Mm): number => Math.ceil(height / pitch - 1e-9);

/** What a joint parts across the wall, mm: both leaves where there is a cavity. */
const masonryThrough = ({ cavity, thickness }: SetWall): Mm =>
  cavity ? cavity.overall - cavity.width : thickness;

/** Sealant, filler and slip ties of every joint that stands, openings it runs through left out. */
export function jointAmounts(wall: SetWall, courses: readonly Course[], count: number): JointAmounts {
  const built = courses[count - 1]?.top ?? 0;
  const foot = jointFoot(wall, courses);
  const sum: JointAmounts = { count: 0, sealant: 0, filler: 0, ties: 0 };
  for (const j of wall.joints) {
    if (j.refused !== null) continue;
    const middle = (j.from + j.to) / 2;
    const tops = wall.tops.filter((t) => t.run === j.run).flatMap((t) => t.segments);
    const open = wall.openings
      .filter((o) => o.run === j.run && middle > o.from && middle < o.to)
      .reduce((s, o) => s + Math.max(0, o.head - Math.max(o.sill, foot)), 0);
    const high = Math.max(0, (topAt(tops, middle) ?? built) - foot - open);
    sum.count++;
    sum.sealant += (2 * high) / 1000;
    sum.filler += (high * masonryThrough(wall)) / 1e6;
    sum.ties += tiesUp(high, slipTiePitch(wall));
  }
  return sum;
}
