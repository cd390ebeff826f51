import { millimetres, SAME_PLACE } from '../../../measure/length.js';
import { writeLength } from '../../../measure/format.js';
import type { Said } from '../../../messages/message.js';
import type { PatchStep } from '../../../job/edits/patch.js';
import type { Gauge, Stated } from '../../../job/types.js';
import type { SetWall } from '../../set-out/wall.js';
import type { Course } from '../courses.js';
import { hiddenLimits, isHidden } from '../limits.js';

/** One way to bring the courses to the height, before it is ranked. */
export interface GaugeWay {
  kind: string;
  name: Said;
  says: Said;
  edit: PatchStep[];
  cost: number;
  applied: boolean;
  /** The courses it lays, and how far it raises the footing, mm. */
  courses: Course[];
  up?: number;
  /** It moves the openings itself, so where they stand now says nothing against it. */
  movesOpenings?: boolean;
  /** What the plan does when the file says nothing: it leads whatever the rounding of costs. */
  leads?: boolean;
}

/** Sets or clears `build.gauge` as one edit; empty when the document already says it. */
export function gaugeEdit(wall: SetWall, to: Gauge | null): PatchStep[] {
  const path = `/walls/${wall.index}/build/gauge`;
  const has = Object.keys(wall.gauge).length > 0;
  if (to === null) return has ? [{ op: 'remove', path }] : [];
  return [{ op: has ? 'replace' : 'add', path, value: to }];
}

export const write = (wall: SetWall, value: number): Stated => writeLength(millimetres(value), wall.show);

/** What beds off their target cost: those that ground, a skirting or a finish hides cost nothing inside the limits for them. */
export function bedsCost(wall: SetWall, courses: readonly Course[]): number {
  const { least, most } = hiddenLimits(wall);
  const hides = (c: Course): boolean =>
    isHidden(wall, c) && c.bed >= least - SAME_PLACE && c.bed <= most + SAME_PLACE;
  return courses.reduce((sum, c) => sum + (hides(c) ? 0 : (c.bed - wall.bed) ** 2), 0);
}
