import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { STILE } from '../../tables/stoneWalls.js';
import { sectionAlong, widthAt } from './section.js';
import { stoneIn, type StoneRun } from './stretches.js';

/** One tread of a stile: a stone through the wall that stands out of both faces. */
export interface Tread {
  run: number;
  /** Its middle along the run, and its top over the wall’s base. */
  at: Mm;
  top: Mm;
  /** From end to end, through the wall. */
  length: Mm;
}

/** So many treads get a person over: none higher over the last than a step. */
export const treadsFor = (height: Mm): number => Math.max(1, Math.ceil(height / STILE.rise - 1e-9) - 1);

/** Every tread of a wall’s stiles, from the lowest up: evenly up to the top, each beside the last along the wall. */
export function treadsOf(wall: SetWall, runs: readonly StoneRun[]): Tread[] {
  return stoneIn(wall).stiles.flatMap((s) => {
    const run = runs.find((r) => r.run === s.run);
    if (!run) return [];
    const section = sectionAlong(run.stretches, s.at);
    const count = s.treads ?? treadsFor(section.height);
    return Array.from({ length: count }, (_, i): Tread => {
      const top = (section.height * (i + 1)) / (count + 1);
      return {
        run: s.run,
        at: s.at + (i - (count - 1) / 2) * STILE.going,
        top,
        length: widthAt(section, top) + 2 * STILE.out,
      };
    });
  });
}
