import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';
import { DPC_LAP, dpcAlong, withLaps } from '../set-out/dampCourse.js';
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

/** A dpc turns up or under so far at each end of a jamb's or a sill's, mm: lapped as any other (BS 8215, from memory). */
const TURN = DPC_LAP;

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
    // Both leaves at its level.
    dpc: (dpcAlong(wall, places.dpc ?? 0) + dpcAlong(inner.wall, places.dpc ?? 0)) / 1000,
    dpcUp: dpcRound(wall, top) / 1000,
    board: cavity.board > 0 ? (area - open) / 1e6 : 0,
    clear: cavity.width - cavity.board,
    sleeves: sleeves.length,
    sleeveCuts: sleeves.reduce((s, x) => s + x.cut, 0),
  };
}
