import { SAME_PLACE } from '../measure/length.js';
import type { BondedRun } from '../bond/bond.js';
import { sectionsOf, type Section } from '../bond/sections.js';
import type { Course } from '../gauge/courses.js';
import type { SetCellChange, SetWall } from '../setout/wall.js';
import { middleOf, type Column } from './cells.js';

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
function stackAt(columns: readonly Column[], x: number, reach: number): Column[] {
  const off = (c: Column): number => Math.abs(middleOf(c) - x);
  let i = 0;
  // Halve down to the first that may be in reach.
  for (let high = columns.length; i < high;) {
    const middle = (i + high) >> 1;
    if ((columns[middle] as Column).to < x - reach) i = middle + 1;
    else high = middle;
  }
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

interface Wanted {
  x: number;
  why: BarReason;
}

/** Where bars belong whatever the spacing: ends, corners, both sides of movement joints, jambs. */
function mustPlaces(
  wall: SetWall,
  run: BondedRun,
  columns: readonly Column[],
  sections: readonly Section[],
): { wanted: Wanted[]; missing: BrokenPlace[] } {
  const wanted: Wanted[] = [];
  const missing: BrokenPlace[] = [];
  sections.forEach((section, k) => {
    const inside = columns.filter(
      (c) => c.from > section.span.from - SAME_PLACE && c.to < section.span.to + SAME_PLACE,
    );
    const [first, last] = [
      inside[0],
      inside.reduce<Column | undefined>((m, c) => (m && m.to >= c.to ? m : c), undefined),
    ];
    const start: BarReason = k > 0 ? 'joint' : section.ends.start.other === null ? 'end' : 'corner';
    const end: BarReason =
      k < sections.length - 1 ? 'joint' : section.ends.end.other === null ? 'end' : 'corner';
    if (first) wanted.push({ x: middleOf(first), why: start });
    // The corner's own cell is the next run's.
    if (last && end !== 'corner') wanted.push({ x: middleOf(last), why: end });
  });
  for (const o of wall.openings.filter((one) => one.run === run.index)) {
    const beside = (c: Column): boolean => c.top > o.sill + SAME_PLACE && c.bottom < o.head - SAME_PLACE;
    const reach = wall.unitLength;
    const left = columns.filter((c) => beside(c) && c.to <= o.from && o.from - c.to < reach);
    const right = columns.filter((c) => beside(c) && c.from >= o.to && c.from - o.to < reach);
    const l = left.reduce<Column | null>((m, c) => (m && m.to >= c.to ? m : c), null);
    const r = right.reduce<Column | null>((m, c) => (m && m.from <= c.from ? m : c), null);
    const clear = (x: number): boolean =>
      x > run.from + wall.unitWidth / 2 && x < run.to - wall.unitWidth / 2;
    if (l) wanted.push({ x: middleOf(l), why: 'jamb' });
    else if (clear(o.from)) missing.push({ run: run.index, at: o.from, course: null, why: 'jamb' });
    if (r) wanted.push({ x: middleOf(r), why: 'jamb' });
    else if (clear(o.to)) missing.push({ run: run.index, at: o.to, course: null, why: 'jamb' });
  }
  return { wanted, missing };
}

/** Places along each section at the spacing, from its first cell on. */
function spacedPlaces(columns: readonly Column[], sections: readonly Section[], every: number): Wanted[] {
  return sections.flatMap(({ span }) => {
    const inside = columns.filter((c) => c.from > span.from - SAME_PLACE && c.to < span.to + SAME_PLACE);
    const first = inside[0];
    if (!first) return [];
    const count = Math.floor((span.to - middleOf(first)) / every + 1e-9);
    return Array.from({ length: count }, (_, k) => ({
      x: middleOf(first) + (k + 1) * every,
      why: 'spacing' as const,
    }));
  });
}

/** Whether masonry stands in a course at a place. */
const standsAt = (run: BondedRun, i: number, x: number): boolean =>
  (run.rows[i]?.bedded ?? []).some((b) => x > b.from && x < b.to);

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
  const none: Verticals = { run: run.index, bars: [], broken: [], leftOut: [], lost: [], spacing };
  if (!wall.steel?.vertical || spacing === null) return { ...none, lost: changes };
  const sections = sectionsOf(wall, run.index, { from: run.from, to: run.to }, run.ends);
  const { wanted, missing } = mustPlaces(wall, run, columns, sections);
  const reach = spacing.pitch * 0.6;
  const bars = new Map<Column, VerticalBar>();
  const put = (column: Column, why: BarReason): void => {
    if (!bars.has(column)) bars.set(column, { run: run.index, at: middleOf(column), column, why });
  };
  const broken: BrokenPlace[] = [...missing];
  for (const { x, why } of [...wanted, ...spacedPlaces(columns, sections, spacing.used)]) {
    const stack = stackAt(columns, x, reach);
    for (const column of stack) put(column, why);
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
  // A bar whose cell stops under masonry cannot go up through it.
  for (const { at, column, why } of bars.values()) {
    const above = column.high + 1;
    if (above < run.rows.length && standsAt(run, above, at))
      broken.push({ run: run.index, at, course: courses[above]?.number ?? null, why });
  }
  const sorted = [...bars.values()].sort((a, b) => a.at - b.at || a.column.bottom - b.column.bottom);
  return { run: run.index, bars: sorted, broken, leftOut, lost, spacing };
}
