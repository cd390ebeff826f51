import type { GaugeSolution } from '../stages/gauge/solve.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { rect, shape, type SceneShape } from '../shapes/shape.js';

/** Ground the drawing shows under a footing, mm. */
export const FOOTING_DRAWN = 150;

/** Steps of the footing, as it stands above the base. */
export const stepShapes = (wall: SetWall, gauge: GaugeSolution, run: number): SceneShape[] =>
  wall.steps
    .filter((s) => s.run === run)
    .map((s) => rect('footing', s.from, 0, s.to - s.from, gauge.courses[s.up - 1]?.top ?? 0, s.id));

/** What a top that is not level takes away: painted over the units it cuts, so that the cut is true. */
export function skyShapes(wall: SetWall, gauge: GaugeSolution, run: number): SceneShape[] {
  // Stone is drawn up to its top as it is, and copes stand over that.
  if (wall.stone) return [];
  const high = (gauge.courses.at(-1)?.top ?? 0) + wall.unitHeight;
  return wall.tops
    .filter((t) => t.run === run)
    .map((t) =>
      shape(
        'sky',
        [
          [t.from, high] as const,
          ...t.segments.flatMap((s) => [[s.from, s.left] as const, [s.to, s.right] as const]),
          [t.to, high] as const,
        ],
        t.id,
      ),
    );
}

/** Pieces alike that are sawn to a top: on the bed, and how high at either end. */
export interface RakedCut {
  courses: [number, number];
  count: number;
  /** Length on the bed, mm. */
  bed: number;
  /** Height of the piece at its left and right end, mm. */
  left: number;
  right: number;
}

/** The list the saw is set to: pieces alike to a millimetre together, lowest course first. */
export function rakedCuts(gauge: GaugeSolution, run: BondedRun): RakedCut[] {
  const list = new Map<string, RakedCut>();
  run.rows.forEach((row, i) => {
    const course = gauge.courses[i];
    if (!course) return;
    for (const p of row.pieces) {
      if (!p.rake) continue;
      const unit = course.bottom + course.bed;
      const [bed, left, right] = [p.to - p.from, p.rake.left - unit, p.rake.right - unit];
      const key = [bed, left, right].map(Math.round).join();
      const was = list.get(key);
      if (was) {
        was.count++;
        was.courses[1] = course.number;
      } else list.set(key, { courses: [course.number, course.number], count: 1, bed, left, right });
    }
  });
  return [...list.values()];
}
