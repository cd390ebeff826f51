import type { Mm } from '../../measure/length.js';
import type { Course } from '../gauge/courses.js';
import type { SetWall } from '../set-out/wall.js';
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

/** Sealant, filler and slip ties of every joint that stands, openings it runs through left out. */
export function jointAmounts(wall: SetWall, courses: readonly Course[], count: number): JointAmounts {
  const built = courses[count - 1]?.top ?? 0;
  const sum: JointAmounts = { count: 0, sealant: 0, filler: 0, ties: 0 };
  for (const j of wall.joints) {
    if (j.refused !== null) continue;
    const middle = (j.from + j.to) / 2;
    const tops = wall.tops.filter((t) => t.run === j.run).flatMap((t) => t.segments);
    const open = wall.openings
      .filter((o) => o.run === j.run && middle > o.from && middle < o.to)
      .reduce((s, o) => s + o.head - o.sill, 0);
    const high = Math.max(0, (topAt(tops, middle) ?? built) - open);
    sum.count++;
    sum.sealant += (2 * high) / 1000;
    sum.filler += (high * wall.thickness) / 1e6;
    sum.ties += tiesUp(high, slipTiePitch(wall));
  }
  return sum;
}
