import type { Course } from '../gauge/courses.js';
import { tiesUp } from '../movement/amounts.js';
import type { SetWall } from '../setout/wall.js';
import type { InnerLeaf } from './inner.js';

/** Beds of two leaves this near one another take a tie that lies level, mm: common practice. */
export const LEVEL_WITHIN = 5;
/** At jambs, free ends and joints ties stand within 225 mm of the edge, no more than 300 up it (AD A 2C8, from memory). */
export const EDGE_TIE_PITCH = 300;

/** Heights at which the beds of both leaves lie level, mm. */
export function levelBeds(outer: readonly Course[], inner: readonly Course[]): number[] {
  return outer.filter((c) => inner.some((i) => Math.abs(i.top - c.top) <= LEVEL_WITHIN)).map((c) => c.top);
}

export interface TieLevels {
  levels: number[];
  /** The widest gap between two of them, or from the base, mm. */
  widest: number;
}

/** Rows of ties, each in a bed that is level in both leaves, as high as `up` lets them be. */
export function tieLevels(outer: readonly Course[], inner: readonly Course[], up: number): TieLevels {
  const beds = levelBeds(outer, inner);
  const top = outer.at(-1)?.top ?? 0;
  const levels: number[] = [];
  let [last, widest] = [0, 0];
  while (last < top - up - 1) {
    const above = beds.filter((b) => b > last + 1 && b < top - 1);
    const next = above.filter((b) => b <= last + up + 1).at(-1) ?? above[0];
    if (next === undefined) break;
    levels.push(next);
    widest = Math.max(widest, next - last);
    last = next;
  }
  return { levels, widest: Math.max(widest, top - last > up + 1 ? top - last : 0) };
}

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
  clear: number;
}

/** A tray goes past each jamb as far as its lintel bears, mm: 150 (PD 6697, from memory). */
const PAST_JAMB = 150;
/** Weeps over an opening no further apart than this, and at least two (M096: 450 mm common practice; 2 from PD 6697, from memory). */
const WEEP_EVERY = 450;
const WEEPS_LEAST = 2;
/** dpc laps 100 mm (BS 8215, from memory), on rolls of 8 m: common practice. */
const DPC_LAP = 100;
const DPC_ROLL = 8000;

export const weepsOver = (width: number): number =>
  Math.max(WEEPS_LEAST, Math.ceil(width / WEEP_EVERY - 1e-9));

/** Length of dpc for a run of wall, its laps in it, mm. */
export const withLaps = (length: number): number =>
  length + Math.max(0, Math.ceil((length - DPC_ROLL) / (DPC_ROLL - DPC_LAP) - 1e-9)) * DPC_LAP;

/** Ties in one row along a length of wall. */
const tiesAlong = (length: number, across: number): number => Math.max(1, Math.ceil(length / across - 1e-9));

/** What a cavity takes: ties by row and at edges, trays, weeps, dpc and board, counted from both leaves. */
export function cavityAmounts(
  wall: SetWall,
  courses: readonly Course[],
  count: number,
  inner: InnerLeaf,
): CavityAmounts | null {
  const { cavity } = wall;
  if (!cavity) return null;
  const outer = courses.slice(0, count);
  const top = outer.at(-1)?.top ?? 0;
  const levels = tieLevels(outer, inner.gauge.courses.slice(0, inner.gauge.count), cavity.up);
  let [field, edge] = [0, 0];
  wall.runs.forEach((run, r) => {
    const openings = wall.openings.filter((o) => o.run === r);
    for (const level of levels.levels) {
      // Stretches of this bed between openings.
      const gaps = openings.filter((o) => level > o.sill && level < o.head).sort((a, b) => a.from - b.from);
      let from = 0;
      for (const g of gaps) {
        if (g.from > from) field += tiesAlong(g.from - from, cavity.across);
        from = g.to;
      }
      if (run.length > from) field += tiesAlong(run.length - from, cavity.across);
    }
    for (const o of openings) edge += 2 * tiesUp(Math.min(o.head, top) - o.sill, EDGE_TIE_PITCH);
    const corner = (start: boolean): boolean => wall.line.corners.some((c) => (start ? c.to : c.from) === r);
    edge += (Number(!corner(true)) + Number(!corner(false))) * tiesUp(top, EDGE_TIE_PITCH);
    const joints = wall.joints.filter((j) => j.run === r && j.refused === null);
    edge += 2 * joints.length * tiesUp(top, EDGE_TIE_PITCH);
  });
  const bridged = wall.openings.filter((o) => o.head < top - 1);
  const area = wall.runs.reduce((s, r) => s + r.length * top, 0);
  const open = wall.openings.reduce((s, o) => s + (o.to - o.from) * (Math.min(o.head, top) - o.sill), 0);
  return {
    ties: field + edge,
    edgeTies: edge,
    levels,
    trays: bridged.length,
    trayLength: bridged.reduce((s, o) => s + o.to - o.from + 2 * PAST_JAMB, 0) / 1000,
    stopEnds: 2 * bridged.length,
    weeps: bridged.reduce((s, o) => s + weepsOver(o.to - o.from), 0),
    dpc:
      (wall.runs.reduce((s, r) => s + withLaps(r.length), 0) +
        inner.wall.runs.reduce((s, r) => s + withLaps(r.length), 0)) /
      1000,
    board: cavity.board > 0 ? (area - open) / 1e6 : 0,
    clear: cavity.width - cavity.board,
  };
}
