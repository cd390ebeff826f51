import type { Mm } from '../../measure/length.js';
import type { SetWall } from './wall.js';

/** dpc laps 100 mm (BS 8215, from memory), on rolls of 8 m: common practice. */
export const DPC_LAP = 100;
const DPC_ROLL = 8000;

/** Length of dpc for a run of wall, its laps in it, mm. */
export const withLaps = (length: Mm): Mm =>
  length + Math.max(0, Math.ceil((length - DPC_ROLL) / (DPC_ROLL - DPC_LAP) - 1e-9)) * DPC_LAP;

/** Where it lies along a run of one leaf, at a level: what a door leaves open needs none. */
export function dpcSpans(of: SetWall, run: number, at: Mm): { from: Mm; to: Mm }[] {
  const doors = of.openings.filter((o) => o.run === run && o.sill < at - 1 && o.head > at + 1);
  const stops = [0, ...doors.flatMap((o) => [o.from, o.to]).sort((a, b) => a - b), of.runs[run]?.length ?? 0];
  return stops.flatMap((from, i) => {
    const to = stops[i + 1];
    return i % 2 === 0 && to !== undefined && to > from ? [{ from, to }] : [];
  });
}

/** Along one leaf at a level, its laps in it, mm. */
export const dpcAlong = (of: SetWall, at: Mm): Mm =>
  of.runs.reduce(
    (sum, _, run) => sum + dpcSpans(of, run, at).reduce((n, { from, to }) => n + withLaps(to - from), 0),
    0,
  );
