import type { Mm } from '../../measure/length.js';
import { behindCavity } from '../../walling/units/leaves/leaf.js';
import type { TieLevels } from './levels.js';
import { cavityPlaces, type CavityPlaces, type CavityWall } from './places.js';

export interface CavityAmounts {
  ties: number;
  /** Of them, extra ones at jambs, free ends and movement joints. */
  edgeTies: number;
  levels: TieLevels;
  trays: number;
  /** All trays, past each jamb by a bearing, m. */
  trayLength: number;
  stopEnds: number;
  weeps: number;
  /** Damp-proof course, both leaves, laps in it, m. */
  dpc: number;
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
  const { ties, levels, trays, weeps, sleeves } = places;
  return {
    ties: ties.length,
    edgeTies: ties.filter((t) => t.edge).length,
    levels,
    trays: trays.length,
    trayLength: trays.reduce((s, t) => s + t.to - t.from, 0) / 1000,
    stopEnds: 2 * trays.length,
    weeps: weeps.length,
    dpc:
      (wall.runs.reduce((s, r) => s + withLaps(r.length), 0) +
        inner.wall.runs.reduce((s, r) => s + withLaps(r.length), 0)) /
      1000,
    board: cavity.board > 0 ? (area - open) / 1e6 : 0,
    clear: cavity.width - cavity.board,
    sleeves: sleeves.length,
    sleeveCuts: sleeves.reduce((s, x) => s + x.cut, 0),
  };
}
