import type { Mm } from '../../measure/length.js';
import { fromFace } from '../../walling/units/leaves/behind.js';
import { behindCavity, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import { gaugeSlack, type Course } from '../gauge/courses.js';
import type { SetOpening } from '../set-out/wall.js';
import { dpcBed } from '../../walling/units/laying/belowDpc.js';
import { wallTies, type Tie } from './ties.js';

/** A tray goes past each jamb as far as its lintel bears, mm: 150 (PD 6697, from memory). */
export const PAST_JAMB = 150;
/** Weeps over an opening no further apart than this, and at least two (M096: 450 mm common practice; 2 from PD 6697, from memory). */
export const WEEP_EVERY = 450;
const WEEPS_LEAST = 2;

/** A wall with its leaves. */
export interface CavityWall extends Leaved, Pick<Leaf, 'gauge' | 'runs'> {}

/** Lengths mm along a run's outside face and above the wall's base. */
export interface CavityPlaces {
  ties: Tie[];
  trays: { run: number; from: number; to: number; level: number }[];
  weeps: { run: number; at: number; level: number }[];
  /** The bed the damp-proof course lies in; null where the wall does not come up so high. */
  dpc: number | null;
  /** Air bricks and vents of the outer leaf, taken through the cavity and the inner leaf in a sleeve. */
  sleeves: { run: number; from: number; to: number; bottom: number; top: number; cut: number }[];
}

export const weepsOver = (width: Mm): number => Math.max(WEEPS_LEAST, Math.ceil(width / WEEP_EVERY - 1e-9));

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
  const { wall, gauge, runs } = work;
  const inner = behindCavity(work);
  const { cavity } = wall;
  if (!cavity || !inner) return null;
  const outer = gauge.courses.slice(0, gauge.count);
  const top = outer.at(-1)?.top ?? 0;
  const tied = wallTies(work);
  const places: CavityPlaces = {
    ties: tied?.ties ?? [],
    trays: [],
    weeps: [],
    dpc: null,
    sleeves: sleevesOf(work),
  };
  wall.runs.forEach((_, run) => {
    const openings = wall.openings.filter((o) => o.run === run);
    for (const o of openings.filter((one) => one.head < top - 1)) {
      places.trays.push({ run, from: o.from - PAST_JAMB, to: o.to + PAST_JAMB, level: o.head });
      const over = gauge.courses.findIndex((c) => c.bottom >= o.head - gaugeSlack(wall));
      const perps = runs.find((r) => r.index === run)?.rows[over]?.perps.map((p) => p.at) ?? [];
      for (const at of weepPlaces(o, perps)) places.weeps.push({ run, at, level: o.head });
    }
  });
  places.dpc = dpcBed(wall, outer);
  return places;
}
