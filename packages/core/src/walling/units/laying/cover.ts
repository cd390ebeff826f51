import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening } from '../../../stages/set-out/wall.js';
import type { Missing } from './outline.js';

/** What the openings do to one course. */
export interface Cover {
  /** The course's own bed, mm. */
  bed: number;
  /** Places in the wall's opening list that break the course through its whole height. */
  through: SetOpening[];
  /** Openings that take only part of its height, and the strips of masonry left above and below. */
  partly: { opening: SetOpening; strips: { from: number; to: number }[] }[];
  /** Openings whose head this course is the first to bridge. */
  over: SetOpening[];
  /** Lengths with plumb ends that are not built. */
  missing?: readonly Missing[];
}

/** The openings that stand over or under one another, for each that has such. */
export function openingsInLine(openings: readonly SetOpening[]): Map<SetOpening, SetOpening[]> {
  const sorted = [...openings].sort((a, b) => a.from - b.from);
  const map = new Map<SetOpening, SetOpening[]>();
  sorted.forEach((o, i) => {
    for (let k = i + 1; k < sorted.length && (sorted[k] as SetOpening).from < o.to; k++) {
      const other = sorted[k] as SetOpening;
      map.set(o, [...(map.get(o) ?? []), other]);
      map.set(other, [...(map.get(other) ?? []), o]);
    }
  });
  return map;
}

/** What the openings of a run do to a course between `bottom` and `top`. `slack`: what a bed can take up. */
export function coverOf(
  openings: SetOpening[],
  course: { bottom: number; top: number; bed: number },
  slack: number,
  inLine: ReadonlyMap<SetOpening, readonly SetOpening[]>,
  thinnest = 20,
): Cover {
  const cover: Cover = { bed: course.bed, through: [], partly: [], over: [] };
  for (const o of openings) {
    const lo = Math.max(o.sill, course.bottom);
    const hi = Math.min(o.head, course.top);
    if (
      course.bottom >= o.head - slack - SAME_PLACE &&
      course.bottom - o.head < course.top - course.bottom - slack - SAME_PLACE
    )
      cover.over.push(o);
    if (hi - lo <= slack + SAME_PLACE) continue;
    // Masonry between this opening and one right over or under it in the same course is laid once, as the upper strip.
    const beside = inLine.get(o) ?? [];
    const over = Math.min(course.top, ...beside.filter((b) => b.sill >= o.head).map((b) => b.sill));
    const under = beside.some((b) => b.head <= o.sill && b.head > course.bottom) ? lo : course.bottom;
    const strips = [
      { from: under, to: lo },
      { from: hi, to: over },
    ].filter((s) => s.to - s.from > slack + SAME_PLACE && s.to - s.from - course.bed >= thinnest);
    if (strips.length === 0) cover.through.push(o);
    else cover.partly.push({ opening: o, strips });
  }
  return cover;
}
