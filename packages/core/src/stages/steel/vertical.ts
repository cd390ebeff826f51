import { SAME_PLACE, type Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { sectionsOf } from '../../walling/units/lines/sections.js';
import type { Course } from '../gauge/courses.js';
import type { SetCellChange, SetOpening, SetWall } from '../set-out/wall.js';
import { cellsMeant } from './columns.js';
import { barCells, ownShafts, stackAt, type BarCells } from './barCells.js';
import { middleOf, type Shaft } from './shafts.js';
import { fewestBetween } from './fewest.js';
import { shaftsBetween, endColumn, piersOf, startsOf, type Pier } from './piers.js';
import { NEAR_WHOLE, type Spacing } from './spacing.js';

/** Why a bar stands where it does. */
export type BarReason = 'end' | 'corner' | 'jamb' | 'joint' | 'spacing' | 'asked';

/** A bar down one continuous cell. mm. */
export interface VerticalBar {
  run: number;
  at: Mm;
  shaft: Shaft;
  why: BarReason;
}

/** A cell where a bar belongs and cannot go: broken by what the bond does there. */
export interface BrokenPlace {
  run: number;
  at: Mm;
  /** The course the bar cannot go through, or null where there is no cell at all. */
  course: number | null;
  why: BarReason;
}

export interface Verticals {
  run: number;
  bars: VerticalBar[];
  broken: BrokenPlace[];
  /** Where bars stand further apart than asked, because no cell goes up between them. */
  gaps: WideGap[];
  /** Places a bar belongs by rule and was taken out of by hand. */
  leftOut: { run: number; at: number; why: BarReason; change: SetCellChange }[];
  /** Changes by hand that find no cell any more. */
  lost: SetCellChange[];
  /** The spacing bars stand at, and what was asked, mm. */
  spacing: Spacing | null;
}

/** A place a bar must stand, whatever the spacing. */
interface Wanted {
  shaft: Shaft;
  why: BarReason;
}

/** A length without a bar, between two of them or at an end, that no free cell makes less. */
export interface WideGap {
  run: number;
  from: Mm;
  to: Mm;
}

/** The bars of a run as they are put, one by one, and what could not be. */
class Uprights {
  readonly bars = new Map<Shaft, VerticalBar>();
  readonly broken: BrokenPlace[] = [];
  readonly gaps: WideGap[] = [];

  constructor(
    private readonly run: number,
    private readonly shafts: readonly Shaft[],
    private readonly spacing: Spacing,
  ) {}

  put(shaft: Shaft, why: BarReason): void {
    if (!this.bars.has(shaft)) this.bars.set(shaft, { run: this.run, at: middleOf(shaft), shaft, why });
  }

  /** In every cell one over another at a place. */
  putAll(x: number, why: BarReason): void {
    for (const shaft of stackAt(this.shafts, x, this.spacing.pitch * 0.6)) this.put(shaft, why);
  }

  cannot(at: number, course: number | null, why: BarReason): void {
    this.broken.push({ run: this.run, at, course, why });
  }

  /** What the drawing asks is the measure of what is said: the spacing that fits may be less. */
  gapAt(list: readonly [number, number][]): void {
    for (const [from, to] of list)
      if (to - from > this.spacing.asked * (1 + NEAR_WHOLE)) this.gaps.push({ run: this.run, from, to });
  }
}

/** How bars between two others are chosen: no further apart, where on the grid from the first of their section. */
interface Choosing {
  most: number;
  gridOf: (section: number) => (x: number) => number;
  cells: BarCells;
}

/** Between which places the bars of a pier stand: those at its ends, where they could be put. */
interface Bounds {
  left: number;
  right: number;
}

/** Bars at both ends of every pier, and as few as may be between them. */
function inPiers(
  wall: SetWall,
  run: BondedRun,
  shafts: readonly Shaft[],
  piers: readonly Pier[],
  firstOf: Map<number, number>,
  { most, gridOf, cells }: Choosing,
  up: Uprights,
): Bounds[] {
  const starts = startsOf(shafts);
  return piers.map((pier): Bounds => {
    const own = shaftsBetween(shafts, starts, pier.from, pier.to);
    const corner = pier.end === 'corner';
    const wanted: (Wanted | null)[] = (['start', 'end'] as const).map((side) => {
      const x = side === 'start' ? pier.from : pier.to;
      const why = pier[side];
      // The corner's own cell is the next run's.
      if (side === 'end' && corner) return null;
      const shaft = endColumn(own, cells.whole, x, wall.unitLength);
      if (shaft) return { shaft, why };
      if (x > run.from + wall.unitWidth / 2 && x < run.to - wall.unitWidth / 2) up.cannot(x, null, why);
      return null;
    });
    for (const w of wanted) if (w) up.putAll(middleOf(w.shaft), w.why);
    const left = wanted[0] ? middleOf(wanted[0].shaft) : pier.from;
    const right = wanted[1] ? middleOf(wanted[1].shaft) : corner ? pier.to - wall.unitWidth / 2 : pier.to;
    if (!firstOf.has(pier.section)) firstOf.set(pier.section, left);
    // An end bar may stand a unit in, where no nearer cell goes up: further than bars may be apart is said.
    up.gapAt([[pier.from, left], ...(corner ? [] : [[right, pier.to] as [number, number]])]);
    if (right - left > most) {
      const { whole, tight } = cells;
      const found = fewestBetween(left, right, own, whole, { most, grid: gridOf(pier.section), tight });
      for (const c of found.chosen) up.putAll(middleOf(c), 'spacing');
      up.gapAt(found.gaps);
    }
    return { left, right };
  });
}

/** Over and under openings bars go on between the jambs', in short cells. */
function aboutOpenings(
  openings: readonly SetOpening[],
  shafts: readonly Shaft[],
  piers: readonly Pier[],
  bounds: readonly Bounds[],
  { most, gridOf, cells }: Choosing,
  up: Uprights,
): void {
  const starts = startsOf(shafts);
  const endsAt = new Map(piers.map((p, k) => [p.to, k]));
  const startsAt = new Map(piers.map((p, k) => [p.from, k]));
  for (const o of openings) {
    const k = endsAt.get(o.from) ?? -1;
    const left = bounds[k]?.right ?? o.from;
    const right = bounds[startsAt.get(o.to) ?? -1]?.left ?? o.to;
    const inside = shaftsBetween(shafts, starts, o.from, o.to);
    const over = inside.filter((c) => c.bottom >= o.head - SAME_PLACE);
    const under = inside.filter((c) => c.top <= o.sill + SAME_PLACE);
    for (const short of [over, under]) {
      if (short.length === 0 || right - left <= most) continue;
      const { whole, tight } = cells;
      const grid = gridOf((piers[Math.max(k, 0)] as Pier).section);
      const found = fewestBetween(left, right, short, whole, { most, grid, tight });
      for (const c of found.chosen) up.put(c, 'spacing');
      up.gapAt(found.gaps);
    }
  }
}

/** What the mason changed by hand, cell by cell: bars put where none belong, and taken out of where they do. */
function byHand(
  wall: SetWall,
  run: number,
  changes: readonly SetCellChange[],
  shafts: readonly Shaft[],
  up: Uprights,
): Pick<Verticals, 'lost' | 'leftOut'> {
  const lost: SetCellChange[] = [];
  const leftOut: Verticals['leftOut'] = [];
  for (const change of changes) {
    const there = cellsMeant(wall, shafts, change);
    if (there.length === 0) lost.push(change);
    for (const shaft of there) {
      const bar = up.bars.get(shaft);
      if (change.bar === true) up.put(shaft, 'asked');
      else if (bar) {
        up.bars.delete(shaft);
        if (bar.why !== 'spacing') leftOut.push({ run, at: bar.at, why: bar.why, change });
      }
    }
  }
  return { lost, leftOut };
}

/** The vertical bars of one run. */
export function verticalsOf(
  wall: SetWall,
  run: BondedRun,
  courses: readonly Course[],
  all: readonly Shaft[],
  spacing: Spacing | null,
): Verticals {
  const { index } = run;
  const shafts = ownShafts(wall, run, all);
  const changes = (wall.steel?.cells ?? []).filter((c) => c.run === index && c.bar !== null);
  const none: Verticals = { run: index, bars: [], broken: [], gaps: [], leftOut: [], lost: [], spacing };
  if (!wall.steel?.vertical) return { ...none, lost: changes };
  if (spacing === null) {
    // Hollow units laid so that no cell stands over another: what a solid unit lacks is said of the unit.
    const nowhere: BrokenPlace = { run: index, at: (run.from + run.to) / 2, course: null, why: 'spacing' };
    return { ...none, lost: changes, broken: wall.unit.shells ? [nowhere] : [] };
  }
  const sections = sectionsOf(wall, index, { from: run.from, to: run.to }, run.ends);
  const piers = piersOf(wall, index, sections);
  const cells = barCells(wall, run);
  const firstOf = new Map<number, number>();
  const choosing: Choosing = {
    most: Math.min(spacing.used, spacing.asked) * (1 + NEAR_WHOLE),
    gridOf: (section) => (x) => {
      const first = firstOf.get(section) ?? x;
      const off = (((x - first) % spacing.used) + spacing.used) % spacing.used;
      return Math.min(off, spacing.used - off);
    },
    cells,
  };
  const up = new Uprights(index, shafts, spacing);
  const bounds = inPiers(wall, run, shafts, piers, firstOf, choosing, up);
  const openings = wall.openings.filter((o) => o.run === index);
  aboutOpenings(openings, shafts, piers, bounds, choosing, up);
  const { lost, leftOut } = byHand(wall, index, changes, shafts, up);
  // A bar whose cell stops under masonry, or begins over it, cannot go through.
  for (const { at, shaft, why } of up.bars.values()) {
    const across = [shaft.high + 1, shaft.low - 1].find((i) => cells.masonryAt(i, at));
    if (across !== undefined) up.cannot(at, courses[across]?.number ?? null, why);
  }
  const bars = [...up.bars.values()].sort((a, b) => a.at - b.at || a.shaft.bottom - b.shaft.bottom);
  return { run: index, bars, broken: up.broken, gaps: up.gaps, leftOut, lost, spacing };
}
