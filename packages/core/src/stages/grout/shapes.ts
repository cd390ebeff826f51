import { rect, type SceneShape } from '../../shapes/shape.js';
import type { RunFill } from './fill.js';
import type { ReinforcedWall } from '../steel/steel.js';

type Grouted = ReinforcedWall & { fills: readonly RunFill[] };

/** What is filled with grout in one run: cells, courses filled solid, beams. */
export function groutShapes({ wall, steel, gauge, fills, runs }: Grouted, run: number): SceneShape[] {
  const k = runs.findIndex((r) => r.index === run);
  const { courses } = gauge;
  const long = wall.runs[run]?.length ?? 0;
  const band = (from: number, to: number, bottom: number, top: number): SceneShape =>
    rect('grout', from, bottom, to - from, top - bottom);
  const inCourse = (from: number, to: number, i: number): SceneShape =>
    band(from, to, courses[i]?.bottom ?? 0, courses[i]?.top ?? 0);
  const grouted = wall.grout !== null && wall.grout.fill !== 'none';
  return [
    ...(fills[k]?.cells ?? [])
      .filter((c) => c.filled)
      .map(({ shaft: c }) => band(c.from, c.to, c.bottom, c.top)),
    ...[...(fills[k]?.solid ?? [])].map((i) => inCourse(0, long, i)),
    ...steel.beams
      .filter((b) => grouted && b.run === run)
      .flatMap((b) => b.stretches.map((s) => inCourse(s.from, s.to, b.course))),
  ];
}
