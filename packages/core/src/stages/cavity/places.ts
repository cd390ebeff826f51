import type { Mm } from '../../measure/length.js';
import { fromFace } from '../../walling/units/leaves/behind.js';
import { behindCavity, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import { gaugeSlack, type Course } from '../gauge/courses.js';
import type { SiteLevels } from '../set-out/site.js';
import type { SetOpening, SetWall } from '../set-out/wall.js';
import { levelBeds, tieLevels, type TieLevels } from './levels.js';

/** At jambs, free ends and joints ties stand no more than 300 mm up from one to the next (AD A 2C8, from memory). */
export const EDGE_TIE_PITCH = 300;
/** And within 225 mm of the edge (AD A 2C8, from memory): here so far from it, mm. */
export const EDGE_TIE_IN = 150;
/** A tray goes past each jamb as far as its lintel bears, mm: 150 (PD 6697, from memory). */
export const PAST_JAMB = 150;
/** Weeps over an opening no further apart than this, and at least two (M096: 450 mm common practice; 2 from PD 6697, from memory). */
export const WEEP_EVERY = 450;
const WEEPS_LEAST = 2;
/** The damp-proof course lies at least so far above the ground, mm: 150 (6 in), PD 6697, from memory. */
export const DPC_UP = 150;

/** A wall with its leaves, and the levels of the site it stands on: where the ground is. */
export interface CavityWall extends Leaved, Pick<Leaf, 'gauge' | 'runs'> {
  site: SiteLevels;
}

/** Lengths mm along a run's outside face and above the wall's base. */
export interface CavityPlaces {
  ties: { run: number; at: number; level: number; edge: boolean }[];
  levels: TieLevels;
  trays: { run: number; from: number; to: number; level: number }[];
  weeps: { run: number; at: number; level: number }[];
  /** The bed the damp-proof course lies in; null where the wall does not come up so high. */
  dpc: number | null;
  /** Air bricks and vents of the outer leaf, taken through the cavity and the inner leaf in a sleeve. */
  sleeves: { run: number; from: number; to: number; bottom: number; top: number; cut: number }[];
}

export const weepsOver = (width: Mm): number => Math.max(WEEPS_LEAST, Math.ceil(width / WEEP_EVERY - 1e-9));

/** Lengths of a bed between the openings it meets. */
function betweenOpenings(
  openings: readonly SetOpening[],
  length: number,
  level: number,
): { from: number; to: number }[] {
  const gaps = openings.filter((o) => level > o.sill - 1 && level < o.head).sort((a, b) => a.from - b.from);
  const parts: { from: number; to: number }[] = [];
  let from = 0;
  for (const g of gaps) {
    if (g.from > from) parts.push({ from, to: g.from });
    from = Math.max(from, g.to);
  }
  if (length > from) parts.push({ from, to: length });
  return parts;
}

/** Ties of one row along a length, staggered against the row under it by half their spacing. */
function tiesAlong(
  { from, to }: { from: number; to: number },
  last: boolean,
  across: number,
  odd: boolean,
): number[] {
  const count = Math.max(1, Math.ceil((to - from) / across - 1e-9));
  const each = (to - from) / count;
  // Where an edge has ties of its own the row keeps clear of them.
  const [low, high] = [from + (from > 0 ? 2 * EDGE_TIE_IN : 0), to - (last ? 0 : 2 * EDGE_TIE_IN)];
  return Array.from({ length: count }, (_, i) => {
    const at = from + (i + (odd ? 0.25 : 0.75)) * each;
    return low < high ? Math.min(Math.max(at, low), high) : (from + to) / 2;
  });
}

/** Beds for the ties up one edge: the first and the last within half the pitch of its ends, none further from the next than all of it. */
export function edgeBeds(beds: readonly number[], from: number, to: number): number[] {
  const inside = beds.filter((b) => b > from + 1 && b < to - 1);
  const chosen: number[] = [];
  let last = from - EDGE_TIE_PITCH / 2;
  while (to - last > EDGE_TIE_PITCH / 2 + 1) {
    const above = inside.filter((b) => b > last + 1 && !chosen.includes(b));
    const next = above.filter((b) => b <= last + EDGE_TIE_PITCH + 1).at(-1) ?? above[0];
    if (next === undefined) break;
    chosen.push(next);
    last = next;
  }
  return chosen;
}

/** The edges of a run that want ties of their own: where, to which side of it the wall stands, and how high. */
function edgesOf(wall: SetWall, run: number, top: number): { at: number; low: number; high: number }[] {
  const length = wall.runs[run]?.length ?? 0;
  const corner = (start: boolean): boolean => wall.line.corners.some((c) => (start ? c.to : c.from) === run);
  const openings = wall.openings.filter((o) => o.run === run);
  const joints = wall.joints.filter((j) => j.run === run && j.refused === null);
  const both = (
    from: number,
    to: number,
    low: number,
    high: number,
  ): { at: number; low: number; high: number }[] => [
    { at: from - EDGE_TIE_IN, low, high },
    { at: to + EDGE_TIE_IN, low, high },
  ];
  return [
    ...openings.flatMap((o) => both(o.from, o.to, o.sill, Math.min(o.head, top))),
    ...joints.flatMap((j) => both(j.from, j.to, 0, top)),
    ...(corner(true) ? [] : [{ at: EDGE_TIE_IN, low: 0, high: top }]),
    ...(corner(false) ? [] : [{ at: length - EDGE_TIE_IN, low: 0, high: top }]),
  ];
}

/** Weeps spread over an opening, each in the perp nearest to where it is wanted. */
function weepPlaces(o: SetOpening, perps: readonly number[]): number[] {
  const count = weepsOver(o.to - o.from);
  const free = new Set(perps.filter((x) => x > o.from && x < o.to));
  return Array.from({ length: count }, (_, i) => {
    const wanted = o.from + ((i + 0.5) * (o.to - o.from)) / count;
    const [nearest] = [...free].sort((a, b) => Math.abs(a - wanted) - Math.abs(b - wanted));
    if (nearest === undefined) return wanted;
    free.delete(nearest);
    return nearest;
  });
}

/** The bed the dpc lies in: the first that stands far enough above the highest ground stated, or the base. */
function dpcBed(courses: readonly Course[], ground: number): number | null {
  return courses.find((c) => c.top >= ground + DPC_UP - 1)?.top ?? null;
}

/** Air bricks and vents in the outer leaf, and how many pieces of the inner leaf are cut round their sleeves. */
function sleevesOf({ runs, gauge, leaves }: CavityWall): CavityPlaces['sleeves'] {
  const inner = behindCavity({ leaves });
  return runs.flatMap((run) =>
    run.rows.flatMap((row, i) =>
      row.pieces
        .filter((p) => p.fitting === 'air-brick' || p.fitting === 'vent')
        .map(({ from, to }) => {
          const course = gauge.courses[i] as Course;
          const [bottom, top] = [course.bottom + course.bed, course.top];
          const k = inner?.runs.findIndex((r) => r.index === run.index) ?? -1;
          const at = inner?.behind[run.index];
          const own = at ? { from: fromFace(at, from), to: fromFace(at, to) } : { from, to };
          const crossed = (inner?.runs[k]?.rows ?? []).filter((_, n) => {
            const c = inner?.gauge.courses[n];
            return c !== undefined && c.top > bottom + 1 && c.bottom + c.bed < top - 1;
          });
          const cut = crossed.reduce(
            (sum, r) => sum + r.pieces.filter((p) => p.to > own.from + 1 && p.from < own.to - 1).length,
            0,
          );
          return { run: run.index, from, to, bottom, top, cut };
        }),
    ),
  );
}

/** Where everything stands that goes across a cavity or into it: what is counted and drawn comes from here. */
export function cavityPlaces(work: CavityWall): CavityPlaces | null {
  const { wall, gauge, runs, site } = work;
  const inner = behindCavity(work);
  const { cavity } = wall;
  if (!cavity || !inner) return null;
  const outer = gauge.courses.slice(0, gauge.count);
  const leaf = inner.gauge.courses.slice(0, inner.gauge.count);
  const top = outer.at(-1)?.top ?? 0;
  const levels = tieLevels(outer, leaf, cavity.up);
  const beds = levelBeds(outer, leaf);
  const places: CavityPlaces = {
    ties: [],
    levels,
    trays: [],
    weeps: [],
    dpc: null,
    sleeves: sleevesOf(work),
  };
  wall.runs.forEach(({ length }, run) => {
    const openings = wall.openings.filter((o) => o.run === run);
    levels.levels.forEach((level, row) => {
      for (const part of betweenOpenings(openings, length, level))
        for (const at of tiesAlong(part, part.to === length, cavity.across, row % 2 === 0))
          places.ties.push({ run, at, level, edge: false });
    });
    for (const e of edgesOf(wall, run, top))
      for (const level of edgeBeds(beds, e.low, e.high))
        places.ties.push({ run, at: e.at, level, edge: true });
    for (const o of openings.filter((one) => one.head < top - 1)) {
      places.trays.push({ run, from: o.from - PAST_JAMB, to: o.to + PAST_JAMB, level: o.head });
      const over = gauge.courses.findIndex((c) => c.bottom >= o.head - gaugeSlack(wall));
      const perps = runs.find((r) => r.index === run)?.rows[over]?.perps.map((p) => p.at) ?? [];
      for (const at of weepPlaces(o, perps)) places.weeps.push({ run, at, level: o.head });
    }
  });
  const grounds = site.points.flatMap((p) => (p.is === 'ground' ? [p.level - wall.base] : []));
  places.dpc = dpcBed(outer, Math.max(0, ...grounds));
  return places;
}
