import type { Course } from '../gauge/courses.js';

/** Beds of two leaves this near one another take a tie that lies level, mm: common practice. */
export const LEVEL_WITHIN = 5;

/** Heights at which the beds of both leaves lie level, mm. */
export function levelBeds(outer: readonly Course[], inner: readonly Course[]): number[] {
  return outer.filter((c) => inner.some((i) => Math.abs(i.top - c.top) <= LEVEL_WITHIN)).map((c) => c.top);
}

export interface TieLevels {
  levels: number[];
  /** The widest gap between two of them, or from the base, mm. */
  widest: number;
}

/** Rows of ties, each in a bed that is level in both leaves, as high as `up` lets them be. */
export function tieLevels(outer: readonly Course[], inner: readonly Course[], up: number): TieLevels {
  const beds = levelBeds(outer, inner);
  const top = outer.at(-1)?.top ?? 0;
  const levels: number[] = [];
  let [last, widest] = [0, 0];
  while (last < top - up - 1) {
    const above = beds.filter((b) => b > last + 1 && b < top - 1);
    const next = above.filter((b) => b <= last + up + 1).at(-1) ?? above[0];
    if (next === undefined) break;
    levels.push(next);
    widest = Math.max(widest, next - last);
    last = next;
  }
  return { levels, widest: Math.max(widest, top - last > up + 1 ? top - last : 0) };
}
