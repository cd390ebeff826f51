import type { Kilograms, Mm } from '../../measure/length.js';
import type { SetWall } from '../../stages/set-out/wall.js';
import { BRIDGE } from '../../tables/stoneWalls.js';
import { sectionAlong, widthAt } from './section.js';
import { stoneIn, type StoneRun } from './stretches.js';

/** Stones laid across an opening side by side, through the wall. */
export interface Bridge {
  opening: string;
  name: string;
  run: number;
  from: Mm;
  to: Mm;
  /** Their underside. */
  at: Mm;
  count: number;
  length: Mm;
  /** One of them, as thick as they are taken to be. */
  mass: Kilograms;
}

/** What lies over every smoot and culvert: so many as make the wall’s width at its head. */
export function bridgesOf(wall: SetWall, runs: readonly StoneRun[]): Bridge[] {
  const { density } = stoneIn(wall).stone;
  return wall.openings.flatMap((o): Bridge[] => {
    const run = runs.find((r) => r.run === o.run);
    if (!o.bridged || !run) return [];
    const section = sectionAlong(run.stretches, (o.from + o.to) / 2);
    // Nothing lies over what is open to the top.
    if (o.head > section.height - 1) return [];
    const wide = widthAt(section, o.head);
    const length = o.to - o.from + 2 * o.bridged.bearing;
    return [
      {
        opening: o.id,
        name: o.name,
        run: o.run,
        from: o.from - o.bridged.bearing,
        to: o.to + o.bridged.bearing,
        at: o.head,
        count: Math.max(1, Math.ceil(wide / o.bridged.each - 1e-9)),
        length,
        mass: ((length * o.bridged.each * BRIDGE.thick) / 1e9) * density,
      },
    ];
  });
}
