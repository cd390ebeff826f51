import { line, type SceneShape } from '../../shapes/shape.js';
import type { ReinforcedWall } from './steel.js';
import { END_COVER } from './steel.js';
import { middleOf } from './shafts.js';
import { reinforcedBeds } from './horizontal.js';
import { stretchesOf } from './spans.js';

/** Bars of a beam drawn one over another: so many at most. */
const MOST_ROWS = 3;

/** Steel inside one run: uprights, bars of beams, wire in the beds. */
export function steelShapes({ wall, steel, gauge, runs }: ReinforcedWall, run: number): SceneShape[] {
  const k = runs.findIndex((r) => r.index === run);
  const bonded = runs[k];
  const { courses } = gauge;
  return [
    ...(steel.verticals[k]?.bars ?? []).map(({ shaft: c }) => {
      const x = middleOf(c);
      return line('bar', x, c.bottom === 0 ? -END_COVER : c.bottom, x, c.top - END_COVER);
    }),
    ...steel.beams
      .filter((b) => b.run === run)
      .flatMap((b) => {
        const { bottom = 0, top = 0 } = courses[b.course] ?? {};
        const rows = Math.min(b.count, MOST_ROWS);
        return b.stretches.flatMap((s) =>
          Array.from({ length: rows }, (_, i) => {
            const y = bottom + ((i + 1) / (rows + 1)) * (top - bottom);
            return line('bar', s.from + END_COVER, y, s.to - END_COVER, y);
          }),
        );
      }),
    ...reinforcedBeds(wall, courses).flatMap((i) =>
      (bonded ? stretchesOf(wall, bonded, i) : []).map((s) =>
        line('bed-steel', s.from, courses[i]?.top ?? 0, s.to, courses[i]?.top ?? 0),
      ),
    ),
  ];
}
