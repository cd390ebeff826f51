import type { Mm } from '../../measure/length.js';
import type { SetStep, SetWall } from './wall.js';

/** How far the upper footing goes on over the lower, at least, mm. Approved Document A 2E2, from memory. */
export const overlapOf = (rise: Mm, depth: Mm): Mm => Math.max(2 * rise, depth, 300);

/** A place where the footing under a run steps: its level either side, mm above the base. */
export interface StepEdge {
  step: SetStep;
  x: number;
  left: number;
  right: number;
}

/** How many courses above the base the footing stands at a place of a run; where two steps meet, the higher. */
export const upAt = (wall: Pick<SetWall, 'steps'>, run: number, x: Mm): number =>
  Math.max(0, ...wall.steps.filter((s) => s.run === run && x >= s.from && x <= s.to).map((s) => s.up));

/** Every step of the footing that stands within a run. `levelOf` gives the height of so many courses. */
export function stepEdges(
  wall: Pick<SetWall, 'steps' | 'runs'>,
  levelOf: (up: number) => number,
): StepEdge[] {
  return wall.steps.flatMap((step) => {
    const length = wall.runs[step.run]?.length ?? 0;
    return [step.from, step.to]
      .filter((x) => x > 1 && x < length - 1)
      .map((x) => ({
        step,
        x,
        left: levelOf(upAt(wall, step.run, x - 1)),
        right: levelOf(upAt(wall, step.run, x + 1)),
      }))
      .filter((e) => e.left !== e.right);
  });
}
