import type { Mm } from '../../measure/length.js';
import type { SetWall } from './wall.js';

/** dpc laps 100 mm (BS 8215, from memory), on rolls of 8 m: common practice. */
export const DPC_LAP = 100;
const DPC_ROLL = 8000;

/** Length of dpc for a run of wall, its laps in it, mm. */
export const withLaps = (length: Mm): Mm =>
  length + Math.max(0, Math.ceil((length - DPC_ROLL) / (DPC_ROLL - DPC_LAP) - 1e-9)) * DPC_LAP;

/** Along one leaf at a level, mm: what a door leaves open needs none. */
export const dpcAlong = (of: SetWall, at: Mm): Mm =>
  of.runs.reduce((sum, r, run) => {
    const doors = of.openings.filter((o) => o.run === run && o.sill < at - 1 && o.head > at + 1);
    const stops = [0, ...doors.flatMap((o) => [o.from, o.to]).sort((a, b) => a - b), r.length];
    let length = 0;
    for (let i = 0; i + 1 < stops.length; i += 2)
      length += withLaps(Math.max(0, (stops[i + 1] ?? 0) - (stops[i] ?? 0)));
    return sum + length;
  }, 0);
