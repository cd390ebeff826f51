import type { Course } from '../gauge/courses.js';

/** Beds of two leaves this near one another take a tie that lies level, mm: common practice. */
export const LEVEL_WITHIN = 5;

/** Heights at which the beds of both leaves lie level, mm. */
export function levelBeds(outer: readonly Course[], inner: readonly Course[]): number[] {
  return outer.filter((c) => inner.some((i) => Math.abs(i.top - c.top) <= LEVEL_WITHIN)).map((c) => c.top);
}

export interface TieLevels {
  levels: number[];
  /** The widest gap between two of them, or from the wall's foot or to its top, mm. */
  widest: number;
}

/**
 * Rows of ties, each in a bed that is level in both leaves: the first within half of `up` of the foot, the last within half of it of the top, so
 * that no tie serves more wall than its own.
 */
export function tieLevels(outer: readonly Course[], inner: readonly Course[], up: number): TieLevels {
  const top = outer.at(-1)?.top ?? 0;
  const beds = levelBeds(outer, inner).filter((b) => b > 1 && b < top - 1);
  const levels: number[] = [];
  let last = -up / 2;
  while (top - last > up / 2 + 1) {
    const above = beds.filter((b) => b > last + 1 && b > (levels.at(-1) ?? 0) + 1);
    const next = above.filter((b) => b <= last + up + 1).at(-1) ?? above[0];
    if (next === undefined) break;
    levels.push(next);
    last = next;
  }
  const stops = [0, ...levels, top];
  return { levels, widest: Math.max(...stops.slice(1).map((s, i) => s - (stops[i] ?? 0))) };
}
