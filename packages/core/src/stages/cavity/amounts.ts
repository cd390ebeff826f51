import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import { behindCavity } from '../../walling/units/leaves/leaf.js';
import { cavityPlaces, type CavityPlaces, type CavityWall } from './places.js';

export interface CavityAmounts {
  trays: number;
  /** All trays, past each jamb by a bearing, m. */
  trayLength: number;
  stopEnds: number;
  weeps: number;
  /** Damp-proof course along both leaves, stopped at doors, laps in it, m. */
  dpc: number;
  /** And up jambs, where the leaves close on one another, and under sills, laps in it, m. */
  dpcUp: number;
  /** Face of board, m². */
  board: number;
  /** What is left clear in the cavity, mm. */
  clear: Mm;
  /** Sleeves for air bricks and vents, and the pieces of the inner leaf cut round them. */
  sleeves: number;
  sleeveCuts: number;
}

/** dpc laps 100 mm (BS 8215, from memory), on rolls of 8 m: common practice. */
const DPC_LAP = 100;
const DPC_ROLL = 8000;

/** Length of dpc for a run of wall, its laps in it, mm. */
export const withLaps = (length: Mm): Mm =>
  length + Math.max(0, Math.ceil((length - DPC_ROLL) / (DPC_ROLL - DPC_LAP) - 1e-9)) * DPC_LAP;

/** A dpc turns up or under so far at each end of a jamb's or a sill's, mm: lapped as any other (BS 8215, from memory). */
const TURN = DPC_LAP;

/** Both leaves at the level of the dpc: what a door leaves open needs none. */
function dpcAlong(wall: SetWall, inner: SetWall, level: Mm | null): Mm {
  const at = level ?? 0;
  const along = (of: SetWall): Mm =>
    of.runs.reduce((sum, r, run) => {
      const doors = of.openings.filter((o) => o.run === run && o.sill < at - 1 && o.head > at + 1);
      const stops = [0, ...doors.flatMap((o) => [o.from, o.to]).sort((a, b) => a - b), r.length];
      let length = 0;
      for (let i = 0; i + 1 < stops.length; i += 2)
        length += withLaps(Math.max(0, (stops[i + 1] ?? 0) - (stops[i] ?? 0)));
      return sum + length;
    }, 0);
  return along(wall) + along(inner);
}

/** A vertical dpc up each jamb, lapped behind what is over and under it, and one under each sill, turned up at its ends. */
const dpcRound = ({ openings }: SetWall, top: Mm): Mm =>
  openings.reduce(
    (sum, o) =>
      sum +
      2 * withLaps(Math.max(0, Math.min(o.head, top) - o.sill) + TURN) +
      (o.sill > 0 ? withLaps(o.to - o.from + 2 * TURN) : 0),
    0,
  );

/** What a cavity takes, counted from where each thing stands. */
export function cavityAmounts(
  work: CavityWall,
  places: CavityPlaces | null = cavityPlaces(work),
): CavityAmounts | null {
  const { wall, gauge } = work;
  const inner = behindCavity(work);
  const { cavity } = wall;
  if (!cavity || !inner || !places) return null;
  const top = gauge.courses[gauge.count - 1]?.top ?? 0;
  const area = wall.runs.reduce((s, r) => s + r.length * top, 0);
  const open = wall.openings.reduce((s, o) => s + (o.to - o.from) * (Math.min(o.head, top) - o.sill), 0);
  const { trays, weeps, sleeves } = places;
  return {
    trays: trays.length,
    trayLength: trays.reduce((s, t) => s + t.to - t.from, 0) / 1000,
    stopEnds: 2 * trays.length,
    weeps: weeps.length,
    dpc: dpcAlong(wall, inner.wall, places.dpc) / 1000,
    dpcUp: dpcRound(wall, top) / 1000,
    board: cavity.board > 0 ? (area - open) / 1e6 : 0,
    clear: cavity.width - cavity.board,
    sleeves: sleeves.length,
    sleeveCuts: sleeves.reduce((s, x) => s + x.cut, 0),
  };
}
