import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { lengthOf, sectionAlong, type Section } from './section.js';
import { stoneIn, type StoneRun } from './stretches.js';

/** A pillar that goes up before what is filled between it and the next: its middle along the run, and the wall cut through there. */
export interface Pillar {
  run: number;
  at: Mm;
  section: Section;
}

/** Pillars of a wall that is built so: one at each end of a run, and evenly between, none farther from the next than a line stays straight. */
export function pillarsOf(wall: SetWall, runs: readonly StoneRun[]): Pillar[] {
  const { by, pillars } = stoneIn(wall);
  if (by !== 'pillars') return [];
  return runs.flatMap((run) => {
    const long = lengthOf(run.stretches);
    const bays = Math.max(1, Math.ceil(long / pillars - 1e-9));
    return Array.from({ length: bays + 1 }, (_, i): Pillar => {
      const at = (long * i) / bays;
      return { run: run.run, at, section: sectionAlong(run.stretches, at) };
    });
  });
}
