import { kindIndex } from '../bond/kinds.js';
import type { RunEnd } from '../bond/ends.js';
import { lineOf } from '../bond/lines.js';
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
  const shown = (end: RunEnd): number => end.legs?.shown ?? end.shows ?? work.wall.unitWidth;
  const [startShown, endShown] = [shown(run.ends.start), shown(run.ends.end)];
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
  const put = (
    course: number,
    kind: number,
    sawn: boolean,
    from: number,
    to: number,
    bottom: number,
    top: number,
  ): void => {
    columns.course[n] = course;
    columns.kind[n] = kind;
    columns.sawn[n] = sawn ? 1 : 0;
    columns.from[n] = from;
    columns.to[n] = to;
    columns.bottom[n] = bottom;
    columns.top[n] = top;
    n++;
  };
  courses.forEach((course, i) => {
    const row = run.rows[i];
    if (!row) return;
    const bottom = course.bottom + course.bed;
    if (ends[i]?.start) put(course.number, SHOWN, false, run.from, run.from + startShown, bottom, course.top);
    for (const p of row.pieces) {
      const low = p.band ? Math.max(p.band.from, bottom) : bottom;
      put(
        course.number,
        kindIndex(p.kind),
        p.cutFrom !== null || course.kind === 'sawn',
        p.from,
        p.to,
        low,
        p.band?.to ?? course.top,
      );
    }
    for (const s of row.shown ?? []) put(course.number, SHOWN, false, s.from, s.to, bottom, course.top);
    if (ends[i]?.end) put(course.number, SHOWN, false, run.to - endShown, run.to, bottom, course.top);
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
