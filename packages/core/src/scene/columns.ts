import { kindIndex } from '../bond/kinds.js';
import type { RunEnd } from '../bond/ends.js';
import { lineOf } from '../bond/lines.js';
import type { Course } from '../gauge/courses.js';
import type { WallWork } from '../plan/work.js';

/** Kind of the end of another run's corner unit, seen on this face. It is counted there, not here. */
export const SHOWN = 200;

/**
 * Pieces of one run as columns, course by course: what a screen draws from, and what crosses from the worker
 * without copying. Millimetres along the run and above the wall's base; bottoms are the underside of the unit.
 */
export interface PieceColumns {
  count: number;
  course: Uint32Array;
  kind: Uint8Array;
  sawn: Uint8Array;
  from: Float64Array;
  to: Float64Array;
  bottom: Float64Array;
  top: Float64Array;
}

const empty = (count: number): PieceColumns => ({
  count,
  course: new Uint32Array(count),
  kind: new Uint8Array(count),
  sawn: new Uint8Array(count),
  from: new Float64Array(count),
  to: new Float64Array(count),
  bottom: new Float64Array(count),
  top: new Float64Array(count),
});

/** The pieces of one run, and the ends that other runs show on it. */
export function pieceColumns(work: WallWork, index: number): PieceColumns {
  const run = work.runs.find((r) => r.index === index);
  if (!run) return empty(0);
  const { courses } = work.gauge;
  const across = (end: RunEnd): number => end.legs?.shown ?? end.shows ?? work.wall.unitWidth;
  const [startShown, endShown] = [across(run.ends.start), across(run.ends.end)];
  const ends = courses.map((c, i) => {
    const line = lineOf(run.lines, c.number);
    const row = run.rows[i];
    return { start: line.shownAtStart && !row?.bareStart, end: line.shownAtEnd && !row?.bareEnd };
  });
  let total = 0;
  run.rows.forEach(
    (row, i) =>
      (total +=
        row.pieces.length +
        (row.shown?.length ?? 0) +
        Number(ends[i]?.start ?? 0) +
        Number(ends[i]?.end ?? 0)),
  );
  const columns = empty(total);
  let n = 0;
  const put = (course: Course, kind: number, sawn: boolean): void => {
    columns.course[n] = course.number;
    columns.kind[n] = kind;
    columns.sawn[n] = sawn ? 1 : 0;
    columns.bottom[n] = course.bottom + course.bed;
    columns.top[n++] = course.top;
  };
  const show = (course: Course, from: number, to: number): void => {
    columns.from[n] = from;
    columns.to[n] = to;
    put(course, SHOWN, false);
  };
  courses.forEach((course, i) => {
    const row = run.rows[i];
    if (!row) return;
    if (ends[i]?.start) show(course, run.from, run.from + startShown);
    for (const p of row.pieces) {
      columns.from[n] = p.from;
      columns.to[n] = p.to;
      put(course, kindIndex(p.kind), p.cutFrom !== null || course.kind === 'sawn');
      if (!p.band) continue;
      columns.bottom[n - 1] = Math.max(p.band.from, course.bottom + course.bed);
      columns.top[n - 1] = p.band.to;
    }
    for (const s of row.shown ?? []) show(course, s.from, s.to);
    if (ends[i]?.end) show(course, run.to - endShown, run.to);
  });
  return columns;
}

export const columnBuffers = (c: PieceColumns): ArrayBufferLike[] =>
  [c.course, c.kind, c.sawn, c.from, c.to, c.bottom, c.top].map((a) => a.buffer);

/** The pieces of one course, parted where an opening breaks it: gaps wider than any joint. */
export function courseStretches(
  c: PieceColumns,
  course: number,
  widest: number,
): { from: number; to: number }[][] {
  const pieces: { from: number; to: number }[] = [];
  for (let i = 0; i < c.count; i++)
    if (c.course[i] === course) pieces.push({ from: c.from[i] ?? 0, to: c.to[i] ?? 0 });
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
