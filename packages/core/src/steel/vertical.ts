import { SAME_PLACE } from '../measure/length.js';
import type { BondedRun } from '../bond/bond.js';
import { sectionsOf, type Section } from '../bond/sections.js';
import type { Course } from '../gauge/courses.js';
import type { SetCellChange, SetOpening, SetWall } from '../setout/wall.js';
import { middleOf, type Column } from './columns.js';

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

/** The columns of a section. */
const within = (columns: readonly Column[], { span }: Section): Column[] =>
  columns.filter((c) => c.from > span.from - SAME_PLACE && c.to < span.to + SAME_PLACE);

/** Where bars belong at the two ends of each section: ends, corners, both sides of movement joints. */
function endPlaces(sections: readonly Section[], inside: readonly Column[][]): Wanted[] {
  const wanted: Wanted[] = [];
  sections.forEach((section, k) => {
    const [first] = inside[k] ?? [];
    let last = first;
    for (const c of inside[k] ?? []) if (last && c.to > last.to) last = c;
    const start: BarReason = k > 0 ? 'joint' : section.ends.start.other === null ? 'end' : 'corner';
    const end: BarReason =
      k < sections.length - 1 ? 'joint' : section.ends.end.other === null ? 'end' : 'corner';
    if (first) wanted.push({ x: middleOf(first), why: start });
    // The corner's own cell is the next run's.
    if (last && end !== 'corner') wanted.push({ x: middleOf(last), why: end });
  });
  return wanted;
}

/** The nearest column on each side of an opening, within a unit of it and through some of its height. */
function besideOpening(
  columns: readonly Column[],
  o: SetOpening,
  reach: number,
): { left: Column | null; right: Column | null } {
  let left: Column | null = null;
  let right: Column | null = null;
  for (const c of columns) {
    if (c.from >= o.to + reach) break;
    if (c.to <= o.from - reach || c.top <= o.sill + SAME_PLACE || c.bottom >= o.head - SAME_PLACE) continue;
    if (c.to <= o.from && (left === null || c.to > left.to)) left = c;
    if (c.from >= o.to && (right === null || c.from < right.from)) right = c;
  }
  return { left, right };
}

/** Where bars belong beside openings, and the jambs that have no cell. */
function jambPlaces(
  wall: SetWall,
  run: BondedRun,
  columns: readonly Column[],
): { wanted: Wanted[]; missing: BrokenPlace[] } {
  const wanted: Wanted[] = [];
  const missing: BrokenPlace[] = [];
  const why = 'jamb';
  for (const o of wall.openings) {
    if (o.run !== run.index) continue;
    const { left, right } = besideOpening(columns, o, wall.unitLength);
    const jamb = (x: number, column: Column | null): void => {
      if (column) wanted.push({ x: middleOf(column), why });
      else if (x > run.from + wall.unitWidth / 2 && x < run.to - wall.unitWidth / 2)
        missing.push({ run: run.index, at: x, course: null, why });
    };
    jamb(o.from, left);
    jamb(o.to, right);
  }
  return { wanted, missing };
}

/** Places along each section at the spacing, from its first cell on. */
function spacedPlaces(sections: readonly Section[], inside: readonly Column[][], every: number): Wanted[] {
  const wanted: Wanted[] = [];
  sections.forEach(({ span }, k) => {
    const first = inside[k]?.[0];
    if (!first) return;
    const count = Math.floor((span.to - middleOf(first)) / every + 1e-9);
    for (let n = 1; n <= count; n++) wanted.push({ x: middleOf(first) + n * every, why: 'spacing' });
  });
  return wanted;
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
  const inside = sections.map((section) => within(columns, section));
  const jambs = jambPlaces(wall, run, columns);
  const reach = spacing.pitch * 0.6;
  const bars = new Map<Column, VerticalBar>();
  const put = (column: Column, why: BarReason): void => {
    if (!bars.has(column)) bars.set(column, { run: run.index, at: middleOf(column), column, why });
  };
  const broken: BrokenPlace[] = [...jambs.missing];
  const wanted = [
    ...endPlaces(sections, inside),
    ...jambs.wanted,
    ...spacedPlaces(sections, inside, spacing.used),
  ];
  for (const { x, why } of wanted) {
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
