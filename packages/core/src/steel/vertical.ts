import { firstThat } from '../measure/inOrder.js';
import { SAME_PLACE } from '../measure/length.js';
import type { BondedRun } from '../walling/units/laying/bond.js';
import { sectionsOf } from '../walling/units/lines/sections.js';
import type { Course } from '../gauge/courses.js';
import type { SetCellChange, SetWall } from '../setout/wall.js';
import { middleOf, type Column } from './columns.js';
import { pourLimit } from '../setout/reinforcement.js';
import { spaceFor } from '../tables/grout.js';
import { fewestBetween } from './fewest.js';
import { columnsBetween, endColumn, piersOf, startsOf, type Pier } from './piers.js';

/** Why a bar stands where it does. */
export type BarReason = 'end' | 'corner' | 'jamb' | 'joint' | 'spacing' | 'asked';

/** A bar down one continuous cell. mm. */
export interface VerticalBar {
  run: number;
  at: number;
  column: Column;
  why: BarReason;
}

/** A cell where a bar belongs and cannot go: broken by what the bond does there. */
export interface BrokenPlace {
  run: number;
  at: number;
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

export interface Spacing {
  asked: number;
  used: number;
  /** Continuous cells stand this far apart, mm. */
  pitch: number;
  fits: boolean;
}

/** A change by hand means the cell within this of where it was, mm. */
const SAME_CELL = 30;
/** A spacing this near a whole number of cells is one. */
const NEAR_WHOLE = 0.02;

/** How far apart the continuous cells of a wall stand: its module over what stands in it. */
export function cellPitch(wall: SetWall, columns: readonly (readonly Column[])[]): number | null {
  const longest = columns.reduce<readonly Column[]>((best, c) => (c.length > best.length ? c : best), []);
  const base = longest.filter((c) => c.low === 0);
  const [first, last] = [base[0], base.at(-1)];
  const module = wall.unitLength + wall.head;
  if (!first || !last) return null;
  if (base.length < 2) return module / Math.max(1, wall.unit.shells?.cells ?? 1);
  const mean = (middleOf(last) - middleOf(first)) / (base.length - 1);
  return module / Math.max(1, Math.round(module / mean));
}

/** The spacing asked for against the unit's own cells: the next lower that fits, where it does not. */
export function spacingOf(every: number, pitch: number): Spacing {
  const cells = every / pitch;
  const whole = Math.round(cells);
  const fits = whole >= 1 && Math.abs(cells - whole) <= NEAR_WHOLE;
  const used = fits ? whole * pitch : Math.max(1, Math.floor(cells)) * pitch;
  return { asked: every, used, pitch, fits };
}

/** The columns of a run that are its own: a corner's cell belongs to the run that begins there. */
export const ownColumns = (wall: SetWall, run: BondedRun, columns: readonly Column[]): Column[] =>
  run.ends.end.other === null ? [...columns] : columns.filter((c) => middleOf(c) < run.to - wall.unitWidth);

/** Columns one over another at one place, the nearest first for each height. They come in order along the run. */
export function stackAt(columns: readonly Column[], x: number, reach: number): Column[] {
  const off = (c: Column): number => Math.abs(middleOf(c) - x);
  let i = firstThat(columns, (c) => c.to >= x - reach);
  const near: Column[] = [];
  for (; i < columns.length && (columns[i] as Column).from < x + reach; i++) {
    const c = columns[i] as Column;
    if (off(c) < reach) near.push(c);
  }
  if (near.length < 2) return near;
  near.sort((a, b) => off(a) - off(b));
  const stack: Column[] = [];
  for (const c of near) if (stack.every((s) => c.low > s.high || c.high < s.low)) stack.push(c);
  return stack;
}

/** A place a bar must stand, whatever the spacing. */
interface Wanted {
  column: Column;
  why: BarReason;
}

/** A length without a bar, between two of them or at an end, that no free cell makes less. */
export interface WideGap {
  run: number;
  from: number;
  to: number;
}

/** Whether masonry stands in a course at a place. */
const standsAt = (run: BondedRun, i: number, x: number): boolean => {
  const within = (b: { from: number; to: number }): boolean => x > b.from && x < b.to;
  return (run.rows[i]?.bedded ?? []).some(within) || (run.rows[i]?.shown ?? []).some(within);
};

/** The vertical bars of one run. */
export function verticalsOf(
  wall: SetWall,
  run: BondedRun,
  courses: readonly Course[],
  all: readonly Column[],
  spacing: Spacing | null,
): Verticals {
  const columns = ownColumns(wall, run, all);
  const changes = (wall.steel?.cells ?? []).filter((c) => c.run === run.index && c.bar !== null);
  const none: Verticals = { run: run.index, bars: [], broken: [], gaps: [], leftOut: [], lost: [], spacing };
  if (!wall.steel?.vertical) return { ...none, lost: changes };
  if (spacing === null) {
    // Hollow units laid so that no cell stands over another: what a solid unit lacks is said of the unit.
    const nowhere: BrokenPlace = {
      run: run.index,
      at: (run.from + run.to) / 2,
      course: null,
      why: 'spacing',
    };
    return { ...none, lost: changes, broken: wall.unit.shells ? [nowhere] : [] };
  }
  const sections = sectionsOf(wall, run.index, { from: run.from, to: run.to }, run.ends);
  const reach = spacing.pitch * 0.6;
  const most = Math.min(spacing.used, spacing.asked) * (1 + NEAR_WHOLE);
  const masonryAt = (i: number, x: number): boolean => i >= 0 && i < run.rows.length && standsAt(run, i, x);
  const goesUp = new Map<Column, boolean>();
  /** Whether a bar in a cell goes all the way up through what stands there. */
  const whole = (c: Column): boolean => {
    let is = goesUp.get(c);
    if (is === undefined) {
      const x = middleOf(c);
      is = !masonryAt(c.high + 1, x) && !masonryAt(c.low - 1, x);
      goesUp.set(c, is);
    }
    return is;
  };
  const pour = pourLimit(wall);
  /** Whether a cell is too tight for grout poured down it as high as it goes, or as is poured at once. */
  const tight = (c: Column): boolean => {
    const space = spaceFor(wall.grout?.aggregate ?? 'fine', Math.min(c.top - c.bottom, pour));
    return space !== null && c.to - c.from < space.cell[0] - 0.5;
  };
  const bars = new Map<Column, VerticalBar>();
  const put = (column: Column, why: BarReason): void => {
    if (!bars.has(column)) bars.set(column, { run: run.index, at: middleOf(column), column, why });
  };
  const broken: BrokenPlace[] = [];
  const gaps: WideGap[] = [];
  const putAll = (x: number, why: BarReason): void => {
    for (const column of stackAt(columns, x, reach)) put(column, why);
  };
  const piers = piersOf(wall, run.index, sections);
  const openings = wall.openings.filter((o) => o.run === run.index);
  const starts = startsOf(columns);
  const firstOf = new Map<number, number>();
  const gridOf =
    (pier: { section: number }) =>
    (x: number): number => {
      const first = firstOf.get(pier.section) ?? x;
      const off = (((x - first) % spacing.used) + spacing.used) % spacing.used;
      return Math.min(off, spacing.used - off);
    };
  const gapAt = (list: readonly [number, number][]): void => {
    // What the drawing asks is the measure of what is said: the spacing that fits may be less.
    for (const [from, to] of list)
      if (to - from > spacing.asked * (1 + NEAR_WHOLE)) gaps.push({ run: run.index, from, to });
  };
  const bounds: { left: number; right: number }[] = [];
  piers.forEach((pier) => {
    const own = columnsBetween(columns, starts, pier.from, pier.to);
    const corner = pier.end === 'corner';
    const wanted: (Wanted | null)[] = (['start', 'end'] as const).map((side) => {
      const x = side === 'start' ? pier.from : pier.to;
      const why = pier[side];
      // The corner's own cell is the next run's.
      if (side === 'end' && corner) return null;
      const column = endColumn(own, whole, x, wall.unitLength);
      if (column) return { column, why };
      if (x > run.from + wall.unitWidth / 2 && x < run.to - wall.unitWidth / 2)
        broken.push({ run: run.index, at: x, course: null, why });
      return null;
    });
    for (const w of wanted) if (w) putAll(middleOf(w.column), w.why);
    const left = wanted[0] ? middleOf(wanted[0].column) : pier.from;
    const right = wanted[1] ? middleOf(wanted[1].column) : corner ? pier.to - wall.unitWidth / 2 : pier.to;
    if (!firstOf.has(pier.section)) firstOf.set(pier.section, left);
    bounds.push({ left, right });
    // An end bar may stand a unit in, where no nearer cell goes up: further than bars may be apart is said.
    gapAt([[pier.from, left], ...(corner ? [] : [[right, pier.to] as [number, number]])]);
    if (right - left <= most) return;
    const found = fewestBetween(left, right, own, whole, { most, grid: gridOf(pier), tight });
    for (const c of found.chosen) putAll(middleOf(c), 'spacing');
    gapAt(found.gaps);
  });
  const endsAt = new Map(piers.map((p, k) => [p.to, k]));
  const startsAt = new Map(piers.map((p, k) => [p.from, k]));
  // Over and under openings bars go on between the jambs', in short cells.
  for (const o of openings) {
    const k = endsAt.get(o.from) ?? -1;
    const left = bounds[k]?.right ?? o.from;
    const right = bounds[startsAt.get(o.to) ?? -1]?.left ?? o.to;
    const inside = columnsBetween(columns, starts, o.from, o.to);
    const over = inside.filter((c) => c.bottom >= o.head - SAME_PLACE);
    const under = inside.filter((c) => c.top <= o.sill + SAME_PLACE);
    for (const short of [over, under]) {
      if (short.length === 0 || right - left <= most) continue;
      const found = fewestBetween(left, right, short, whole, {
        most,
        grid: gridOf(piers[Math.max(k, 0)] as Pier),
        tight,
      });
      for (const c of found.chosen) put(c, 'spacing');
      gapAt(found.gaps);
    }
  }
  const lost: SetCellChange[] = [];
  const leftOut: Verticals['leftOut'] = [];
  for (const change of changes) {
    const there = columns.filter((c) => Math.abs(middleOf(c) - change.at) <= SAME_CELL);
    if (there.length === 0) lost.push(change);
    for (const column of there) {
      const bar = bars.get(column);
      if (change.bar === true) put(column, 'asked');
      else if (bar) {
        bars.delete(column);
        if (bar.why !== 'spacing') leftOut.push({ run: run.index, at: bar.at, why: bar.why, change });
      }
    }
  }
  // A bar whose cell stops under masonry, or begins over it, cannot go through.
  for (const { at, column, why } of bars.values()) {
    const across = [column.high + 1, column.low - 1].find((i) => masonryAt(i, at));
    if (across !== undefined)
      broken.push({ run: run.index, at, course: courses[across]?.number ?? null, why });
  }
  const sorted = [...bars.values()].sort((a, b) => a.at - b.at || a.column.bottom - b.column.bottom);
  return { run: run.index, bars: sorted, broken, gaps, leftOut, lost, spacing };
}
