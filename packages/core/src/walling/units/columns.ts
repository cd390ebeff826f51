import { kindIndex } from './laying/kinds.js';
import type { BondedRun } from './laying/bond.js';
import { shownWidth, type RunEnd } from './lines/ends.js';
import { lineOf } from './lines/lines.js';
import type { Leaf } from './leaves/leaf.js';

/** What the face is drawn from. */
type FaceWork = Pick<Leaf, 'wall' | 'gauge' | 'runs'>;

/** Kind of the end of another run's corner unit, seen on this face. It is counted there, not here. */
export const SHOWN = 200;

/**
 * Pieces of one course of one run as columns: what a screen draws from, and what crosses from the worker without being
 * copied. Millimetres along the run and above the wall's base; bottoms are the underside of the unit.
 */
export interface CourseColumns {
  /** Its number, from 1 at the base. */
  course: number;
  count: number;
  from: Float64Array;
  to: Float64Array;
  bottom: Float64Array;
  top: Float64Array;
  kind: Uint8Array;
  sawn: Uint8Array;
}

/** Columns of `count` pieces on one buffer, so that a course crosses as one. */
const columnsOn = (
  course: number,
  count: number,
  buffer: ArrayBuffer = new ArrayBuffer(count * (4 * 8 + 2)),
): CourseColumns => ({
  course,
  count,
  from: new Float64Array(buffer, 0, count),
  to: new Float64Array(buffer, 8 * count, count),
  bottom: new Float64Array(buffer, 16 * count, count),
  top: new Float64Array(buffer, 24 * count, count),
  kind: new Uint8Array(buffer, 32 * count, count),
  sawn: new Uint8Array(buffer, 33 * count, count),
});

/** A course to give away: whoever sends it keeps the one it was copied from. */
export const copyOfCourse = (c: CourseColumns): CourseColumns =>
  columnsOn(c.course, c.count, c.from.buffer.slice(0) as ArrayBuffer);

export const columnBuffer = (c: CourseColumns): ArrayBuffer => c.from.buffer as ArrayBuffer;

/** Whether two courses are drawn alike. */
export function drawnAlike(a: CourseColumns, b: CourseColumns): boolean {
  if (a.course !== b.course || a.count !== b.count) return false;
  const same = (x: Float64Array | Uint8Array, y: Float64Array | Uint8Array): boolean => {
    for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return false;
    return true;
  };
  return (
    same(a.from, b.from) &&
    same(a.to, b.to) &&
    same(a.bottom, b.bottom) &&
    same(a.top, b.top) &&
    same(a.kind, b.kind) &&
    same(a.sawn, b.sawn)
  );
}

interface Along {
  from: number;
  to: number;
}

/** The ends of units of other runs and walls that show in the face of a course; `i` counts courses from nought. */
export function endsShown(
  work: FaceWork,
  run: BondedRun,
  i: number,
): { start: Along | null; between: readonly Along[]; end: Along | null } {
  const row = run.rows[i];
  const line = lineOf(run.lines, i + 1);
  const across = (end: RunEnd): number => shownWidth(work.wall, end);
  const { start, end } = run.ends;
  return {
    start: line.shownAtStart && !row?.bareStart ? { from: run.from, to: run.from + across(start) } : null,
    between: row?.shown ?? [],
    end: line.shownAtEnd && !row?.bareEnd ? { from: run.to - across(end), to: run.to } : null,
  };
}

/** The pieces of one run, and the ends that other runs show on it: course by course, from the base. */
export function pieceColumns(work: FaceWork, index: number): CourseColumns[] {
  const run = work.runs.find((r) => r.index === index);
  if (!run) return [];
  return work.gauge.courses.map((course, i) => {
    const row = run.rows[i];
    if (!row) return columnsOn(course.number, 0);
    const { start, between, end } = endsShown(work, run, i);
    const c = columnsOn(
      course.number,
      row.pieces.length + between.length + Number(start !== null) + Number(end !== null),
    );
    let n = 0;
    const put = (from: number, to: number, kind: number, sawn: boolean): void => {
      c.from[n] = from;
      c.to[n] = to;
      c.bottom[n] = course.bottom + course.bed;
      c.top[n] = course.top;
      c.kind[n] = kind;
      c.sawn[n++] = sawn ? 1 : 0;
    };
    if (start) put(start.from, start.to, SHOWN, false);
    for (const p of row.pieces) {
      put(p.from, p.to, kindIndex(p.kind), p.cutFrom !== null || course.kind === 'sawn');
      if (!p.band) continue;
      c.bottom[n - 1] = Math.max(p.band.from, course.bottom + course.bed);
      c.top[n - 1] = p.band.to;
    }
    for (const s of between) put(s.from, s.to, SHOWN, false);
    if (end) put(end.from, end.to, SHOWN, false);
    return c;
  });
}

/** The pieces of one course, parted where an opening breaks it: gaps wider than any joint. */
export function courseStretches(c: CourseColumns, widest: number): { from: number; to: number }[][] {
  const pieces = Array.from(c.from, (from, i) => ({ from, to: c.to[i] ?? from }));
  pieces.sort((a, b) => a.from - b.from);
  const stretches: { from: number; to: number }[][] = [];
  for (const p of pieces) {
    const last = stretches.at(-1);
    const before = last?.at(-1);
    if (last && before && p.from - before.to <= widest) last.push(p);
    else stretches.push([p]);
  }
  return stretches;
}
