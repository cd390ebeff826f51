import { line, mark, type SceneShape } from '../../shapes/shape.js';
import type { ReinforcedWall } from './steel.js';
import { END_COVER } from './steel.js';
import { cornerSeen } from './corner.js';
import { middleOf, type Shaft } from './shafts.js';
import { reinforcedBeds } from './horizontal.js';
import { stretchesOf } from './spans.js';
import { judgeStarters } from './starters.js';

/** Bars of a beam drawn one over another: so many at most. */
const MOST_ROWS = 3;

/** Steel inside one run: uprights, bars of beams, wire in the beds, and starters as they were found. */
export function steelShapes({ wall, steel, gauge, runs }: ReinforcedWall, run: number): SceneShape[] {
  const k = runs.findIndex((r) => r.index === run);
  const bonded = runs[k];
  const { courses } = gauge;
  // Broken where they stand toward the room, past the middle of their leaf.
  const role = steel.place && steel.place.off < 0 ? 'bar-inside' : 'bar';
  const upright = (x: number, c: Shaft): SceneShape =>
    line(role, x, c.bottom === 0 ? -END_COVER : c.bottom, x, c.top - END_COVER);
  const corner = cornerSeen({ wall, runs }, run);
  const round = steel.verticals.find((v) => v.run === corner?.run)?.bars ?? [];
  return [
    ...(steel.verticals[k]?.bars ?? []).map(({ shaft }) => upright(middleOf(shaft), shaft)),
    ...round.filter((b) => corner?.holds(b.shaft)).map((b) => upright(corner?.at ?? 0, b.shaft)),
    ...steel.beams
      .filter((b) => b.run === run)
      .flatMap((b) => {
        const { bottom = 0, top = 0 } = courses[b.course] ?? {};
        const rows = Math.min(b.count, MOST_ROWS);
        return b.stretches.flatMap((s) =>
          Array.from({ length: rows }, (_, i) => {
            const y = bottom + ((i + 1) / (rows + 1)) * (top - bottom);
            return line('beam-bar', s.from + END_COVER, y, s.to - END_COVER, y);
          }),
        );
      }),
    ...reinforcedBeds(wall, courses).flatMap((i) =>
      (bonded ? stretchesOf(wall, bonded, i) : []).map((s) =>
        line('bed-steel', s.from, courses[i]?.top ?? 0, s.to, courses[i]?.top ?? 0),
      ),
    ),
    ...judgeStarters(wall, steel)
      .filter((s) => s.run === run)
      .map((s) => mark(`starter-${s.verdict}`, s.at, 0, undefined, s.id)),
  ];
}
