import { kindIndex } from './laying/kinds.js';
import type { BondedRun } from './laying/bond.js';
import { shownWidth, type RunEnd } from './lines/ends.js';
import { lineOf } from './lines/lines.js';
import type { Leaf } from './leaves/leaf.js';
import { columnsOn, SHOWN, type CourseColumns } from '../pieces.js';
import { rakedCorners } from './rakedCorners.js';

/** What the face is drawn from. */
type FaceWork = Pick<Leaf, 'wall' | 'gauge' | 'runs'>;

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
  const tops = work.wall.tops.filter((t) => t.run === index).flatMap((t) => t.segments);
  return work.gauge.courses.map((course, i) => {
    const row = run.rows[i];
    if (!row) return columnsOn(course.number, 0);
    const { start, between, end } = endsShown(work, run, i);
    const unit = course.bottom + course.bed;
    // Where its own top cuts a piece it is no rectangle.
    const cut =
      tops.length === 0
        ? []
        : row.pieces.map((p) => (p.rake ? rakedCorners(tops, p, unit, course.top) : null));
    const all = cut.reduce((sum, o) => sum + (o?.length ?? 0) / 2, 0);
    const c = columnsOn(
      course.number,
      row.pieces.length + between.length + Number(start !== null) + Number(end !== null),
      all,
    );
    let [n, corners] = [0, 0];
    const put = (
      from: number,
      to: number,
      kind: number,
      sawn: boolean,
      points: number[] | null = null,
    ): void => {
      c.from[n] = from;
      c.to[n] = to;
      c.bottom[n] = unit;
      c.top[n] = course.top;
      c.kind[n] = kind;
      c.sawn[n++] = sawn ? 1 : 0;
      if (all === 0) return;
      if (points) c.points.set(points, 2 * corners);
      corners += (points?.length ?? 0) / 2;
      c.offsets[n] = corners;
    };
    if (start) put(start.from, start.to, SHOWN, false);
    row.pieces.forEach((p, k) => {
      put(p.from, p.to, kindIndex(p.kind), p.cutFrom !== null || course.kind === 'sawn', cut[k]);
      if (!p.band) return;
      c.bottom[n - 1] = Math.max(p.band.from, unit);
      c.top[n - 1] = p.band.to;
    });
    for (const s of between) put(s.from, s.to, SHOWN, false);
    if (end) put(end.from, end.to, SHOWN, false);
    return c;
  });
}
