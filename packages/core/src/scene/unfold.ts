import type { Mm } from '../measure/length.js';
import type { Show } from '../measure/format.js';
import type { WallPlan } from '../plan/plan.js';
import { letterFindings, elevationScene } from './elevation.js';
import type { Box, Scene } from './scene.js';

/** A run of an unfolded wall: where its drawing begins along the paper, mm. */
export interface UnfoldedRun {
  index: number;
  name: string;
  x: Mm;
  length: Mm;
  scene: Scene;
  /** What it turns into the next: a corner in degrees, left positive; 0 where the line goes on straight; null at a free end. */
  turn: number | null;
}

/** Every run of a wall side by side, as one walks round it. */
export interface Unfolded {
  runs: UnfoldedRun[];
  box: Box;
}

/** Between two runs there is so much paper, in thicknesses of the wall. */
const APART = 2.5;

export function unfolded(p: WallPlan, show: Show): Unfolded {
  const { wall } = p;
  const letters = letterFindings(p.findings);
  let x = 0;
  let high = 0;
  const runs = wall.runs.map((run, index): UnfoldedRun => {
    const scene = elevationScene(
      p,
      index,
      letters.filter((l) => l.finding.run === index),
      show,
    );
    const placed: UnfoldedRun = {
      index,
      name: run.name,
      x,
      length: run.length,
      scene,
      turn:
        wall.line.corners.find((c) => c.from === index)?.turn ?? (index + 1 < wall.runs.length ? 0 : null),
    };
    x += run.length + APART * wall.thickness;
    high = Math.max(high, scene.box.h);
    return placed;
  });
  return { runs, box: { x: 0, y: 0, w: Math.max(0, x - APART * wall.thickness), h: high } };
}
