import type { Mm } from '../../measure/length.js';
import type { Show } from '../../measure/format.js';
import { SQUARE_FOOT, tieRule, type TieRule } from '../../tables/ties.js';
import { jointFoot } from '../../walling/units/laying/belowDpc.js';
import { behindCavity, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import type { SetOpening, SetWall } from '../set-out/wall.js';
import { levelBeds, tieLevels, type TieLevels } from './levels.js';

/** A tie at an edge stands so far from it, mm: inside what every rule asks. */
export const EDGE_TIE_IN = 150;

export interface Tie {
  run: number;
  at: Mm;
  level: Mm;
  edge: boolean;
}

/** How the ties of a wall come out against their rule. */
export interface TiesPlaced {
  ties: Tie[];
  levels: TieLevels;
  rule: TieRule;
  /** In the field, without those at edges, over the face less its openings, to a square metre. */
  perM2: number;
  /** That face, m². */
  area: number;
  /** The furthest apart they stand along a row, and up from row to row or to the wall's foot and top, mm. */
  along: Mm;
  up: Mm;
  /** Both density and spacing hold. */
  holds: boolean;
}

/** How many ties there are and are asked as the trade says it: so many to a square metre, or the square feet one serves. */
export const tieDensity = (perM2: number, area: number, show: Show): { has: number; wants: number } =>
  show === 'mm'
    ? { has: Number(perM2.toFixed(1)), wants: Number((1 / area).toFixed(1)) }
    : { has: Number((1 / perM2 / SQUARE_FOOT).toFixed(2)), wants: Number((area / SQUARE_FOOT).toFixed(2)) };

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
export function edgeBeds(beds: readonly number[], from: number, to: number, pitch: number): number[] {
  const inside = beds.filter((b) => b > from + 1 && b < to - 1);
  const chosen: number[] = [];
  let last = from - pitch / 2;
  while (to - last > pitch / 2 + 1) {
    const above = inside.filter((b) => b > last + 1 && !chosen.includes(b));
    const next = above.filter((b) => b <= last + pitch + 1).at(-1) ?? above[0];
    if (next === undefined) break;
    chosen.push(next);
    last = next;
  }
  return chosen;
}

/** The edges of a run that want ties of their own: where, and how high. */
function edgesOf(
  wall: SetWall,
  run: number,
  top: number,
  foot: number,
): { at: number; low: number; high: number }[] {
  const length = wall.runs[run]?.length ?? 0;
  const corner = (start: boolean): boolean => wall.line.corners.some((c) => (start ? c.to : c.from) === run);
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
    ...wall.openings
      .filter((o) => o.run === run)
      .flatMap((o) => both(o.from, o.to, o.sill, Math.min(o.head, top))),
    ...wall.joints
      .filter((j) => j.run === run && j.refused === null)
      .flatMap((j) => both(j.from, j.to, foot, top)),
    ...(corner(true) ? [] : [{ at: EDGE_TIE_IN, low: 0, high: top }]),
    ...(corner(false) ? [] : [{ at: length - EDGE_TIE_IN, low: 0, high: top }]),
  ];
}

/** What ties hold together: two leaves across a cavity, or two wythes laid side by side. */
function tiedTo({ wall, leaves }: Leaved): { inner: Leaf; across: 'cavity' | 'wythes' } | null {
  const behind = behindCavity({ leaves });
  if (behind && wall.cavity) return { inner: behind, across: 'cavity' };
  const wythe = leaves.find((l) => l.heldBy === 'tie');
  return wythe ? { inner: wythe, across: 'wythes' } : null;
}

/** Every row of field ties, so far apart along it; and the widest gap in one. */
function fieldTies(wall: SetWall, levels: readonly number[], across: Mm): { ties: Tie[]; along: Mm } {
  const ties: Tie[] = [];
  let along = 0;
  wall.runs.forEach(({ length }, run) => {
    const openings = wall.openings.filter((o) => o.run === run);
    levels.forEach((level, row) => {
      for (const part of betweenOpenings(openings, length, level)) {
        const places = tiesAlong(part, part.to === length, across, row % 2 === 0);
        places.forEach((at, i) => {
          if (i > 0) along = Math.max(along, at - (places[i - 1] ?? at));
          ties.push({ run, at, level, edge: false });
        });
      }
    });
  });
  return { ties, along };
}

/** Where every tie of a wall stands, in beds that lie level on both sides; null for a wall that has none. */
export function wallTies(work: Leaved & Pick<Leaf, 'gauge'>): TiesPlaced | null {
  const { wall, gauge } = work;
  const tied = tiedTo(work);
  if (!tied) return null;
  const { inner, across } = tied;
  const rule = tieRule(wall.profile.id, across, wall.ties.kind);
  const behind = inner.gauge.courses.slice(0, inner.gauge.count);
  // Stone has a bed wherever a tie comes: the units behind it say where.
  const outer = wall.stone ? behind : gauge.courses.slice(0, gauge.count);
  const top = outer.at(-1)?.top ?? 0;
  const pitch = { along: wall.ties.across ?? rule.usual.along, up: wall.ties.up ?? rule.usual.up };
  const levels = tieLevels(outer, behind, pitch.up);
  const face = wall.runs.reduce((s, r) => s + r.length * top, 0);
  const open = wall.openings.reduce(
    (s, o) => s + (o.to - o.from) * Math.max(0, Math.min(o.head, top) - o.sill),
    0,
  );
  const area = Math.max(1, face - open) / 1e6;
  const density = (ties: readonly Tie[]): number => ties.length / area;
  let field = fieldTies(wall, levels.levels, pitch.along);
  // Rows in the beds there are may be fewer than the area asks: then they stand nearer along them. A spacing somebody states stands.
  if (wall.ties.across === null)
    for (
      let tries = 0;
      tries < 8 && levels.levels.length > 0 && density(field.ties) < 1 / rule.area;
      tries++
    ) {
      pitch.along *= Math.min(0.99, density(field.ties) * rule.area);
      field = fieldTies(wall, levels.levels, pitch.along);
    }
  const beds = levelBeds(outer, behind);
  const edges = wall.runs.flatMap((_, run) =>
    edgesOf(wall, run, top, jointFoot(wall, outer)).flatMap((e) =>
      edgeBeds(beds, e.low, e.high, rule.edge.up).map((level) => ({ run, at: e.at, level, edge: true })),
    ),
  );
  const perM2 = density(field.ties);
  const stated = wall.ties.across ?? 0;
  return {
    ties: [...field.ties, ...edges],
    levels,
    rule,
    perM2,
    area,
    along: field.along,
    up: levels.widest,
    holds:
      perM2 >= (1 / rule.area) * (1 - 0.002) &&
      Math.max(field.along, stated) <= rule.along + 1 &&
      levels.widest <= rule.up + 1,
  };
}
