import { SAME_PLACE, type Mm } from '../../../measure/length.js';
import type { Course } from '../../../stages/gauge/courses.js';
import { topAt, type TopSegment } from '../../../stages/set-out/outline.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { THINNEST_PIECE } from '../lines/lines.js';
import type { Piece, Row } from './row.js';

/** Stands for an opening's place where a course stops against a step instead. */
export const STEP = -2;

/** A length of a course that is not built: footing, above the top, or a movement joint. Its ends are plumb. */
export interface Missing {
  from: Mm;
  to: Mm;
  index: number;
}

/** What the wall's outline does to one course of a run. */
export interface CourseOutline {
  missing: Missing[];
  /** Stretches of top that cut through this course. */
  cut: TopSegment[];
  /** Height above which nothing stands where no top is stated: the wall's own, for courses past it. */
  otherwise: number;
}

/** A feather of a unit thinner than this breaks off under the saw, mm: common practice. */
export const THINNEST_EAR = 20;

/**
 * Where a course of a run is not built and where it is cut, or null where the outline leaves it alone.
 * `level`: how many courses reach the wall's height. `slack`: what a bed can take up.
 */
export function courseOutline(
  wall: SetWall,
  run: number,
  course: Course,
  level: number,
  slack: number,
): CourseOutline | null {
  const steps = wall.steps.filter((s) => s.run === run && course.number <= s.up);
  const tops = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const past = course.number > level;
  if (steps.length === 0 && tops.length === 0 && !past) return null;
  const otherwise = past ? 0 : Infinity;
  const height = (x: number): number => topAt(tops, x) ?? otherwise;
  const full = course.top - slack;
  const low = tops.filter((t) => Math.min(t.left, t.right) < full - SAME_PLACE);
  const gone = low.filter((t) => Math.max(t.left, t.right) <= course.bottom + course.bed + SAME_PLACE);
  const missing = [...steps, ...gone.flatMap((t) => plumbEnds(t, height, full))].map(
    ({ from, to }): Missing => ({ from, to, index: STEP }),
  );
  if (missing.length === 0 && low.length === 0 && !past) return null;
  return { missing: joined(missing), cut: low, otherwise };
}

/**
 * The part of a level length above which nothing stands that ends plumb against masonry: those ends are laid to.
 * An end that runs on into a slope is left to the saw.
 */
function plumbEnds(
  t: TopSegment,
  height: (x: number) => number,
  full: number,
): { from: number; to: number }[] {
  const middle = (t.from + t.to) / 2;
  const stands = (x: number): boolean => height(x) >= full;
  const [left, right] = [stands(t.from - SAME_PLACE), stands(t.to + SAME_PLACE)];
  if (t.left !== t.right || (!left && !right)) return [];
  return [{ from: left ? t.from : middle, to: right ? t.to : middle }];
}

function joined(list: Missing[]): Missing[] {
  const out: Missing[] = [];
  for (const m of [...list].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && m.from <= last.to + SAME_PLACE) last.to = Math.max(last.to, m.to);
    else out.push({ ...m });
  }
  return out;
}

/** How high the wall stands at a place of a run, as one of its courses sees it. */
export const standingHeight = (wall: SetWall, run: number, x: Mm, outline: CourseOutline): Mm =>
  topAt(
    wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments),
    x,
  ) ?? outline.otherwise;

/** Whether a run stands at a place of its own in a course, by its tops: what its footing does is said elsewhere. */
export function standsIn(
  wall: SetWall,
  run: number,
  x: number,
  course: Course,
  level: number,
  slack: number,
): boolean {
  const tops = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const height = topAt(tops, x) ?? (course.number > level ? 0 : Infinity);
  return height >= course.top - slack - course.unitHeight / 2;
}

/** What stands of `from` to `to` once everything lower than `least` is taken away. */
function standing(
  outline: CourseOutline,
  tops: readonly TopSegment[],
  from: number,
  to: number,
  least: number,
): { from: number; to: number }[] {
  const edges = [from, to];
  for (const s of outline.cut) {
    for (const x of [s.from, s.to]) if (x > from && x < to) edges.push(x);
    const x = s.from + ((least - s.left) / (s.right - s.left)) * (s.to - s.from);
    if (x > Math.max(from, s.from) && x < Math.min(to, s.to)) edges.push(x);
  }
  edges.sort((a, b) => a - b);
  const parts: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < edges.length; i++) {
    const [a, b] = [edges[i] ?? 0, edges[i + 1] ?? 0];
    if (b - a < SAME_PLACE || (topAt(tops, (a + b) / 2) ?? outline.otherwise) < least) continue;
    const last = parts.at(-1);
    if (last && a - last.to < SAME_PLACE) last.to = b;
    else parts.push({ from: a, to: b });
  }
  return parts;
}

/** A row with what stands above the outline sawn off. Its perps stay where the bond has them. */
export function cutRow(
  row: Row,
  wall: SetWall,
  run: number,
  course: Course,
  outline: CourseOutline,
  slack: number,
): Row {
  const tops = wall.tops.filter((t) => t.run === run).flatMap((t) => t.segments);
  const height = (x: number): number => topAt(tops, x) ?? outline.otherwise;
  const ear = course.bottom + course.bed + THINNEST_EAR;
  const full = course.top - slack;
  const pieces = row.pieces.flatMap((p): Piece[] => {
    const inner = outline.cut.filter((s) => s.from < p.to && s.to > p.from);
    const untouched = inner.length === 0 && outline.otherwise > course.top;
    if (untouched) return [p];
    const lowest = Math.min(
      height(p.from + SAME_PLACE),
      height(p.to - SAME_PLACE),
      ...inner.flatMap((s) => [s.from, s.to].filter((x) => x > p.from && x < p.to).map(height)),
    );
    if (lowest >= full - SAME_PLACE) return [p];
    return standing(outline, tops, p.from, p.to, ear)
      .filter((part) => part.to - part.from >= THINNEST_PIECE)
      .map((part): Piece => {
        const at = (x: number): number => Math.min(course.top, height(x));
        const rake = { left: at(part.from + SAME_PLACE), right: at(part.to - SAME_PLACE) };
        const kind = p.kind === 'beam' ? 'beam' : 'cut';
        return { ...p, ...part, kind, cutFrom: p.cutFrom ?? 'stretcher', opening: -1, rake };
      });
  });
  const stands = (x: number): boolean => height(x) >= ear;
  const perps = row.perps.filter((j) => stands(j.at - j.width / 2) && stands(j.at + j.width / 2));
  const kept = [
    ...pieces.filter((p) => p.band === null),
    ...perps.map((j) => ({ from: j.at - j.width / 2, to: j.at + j.width / 2 })),
  ].sort((a, b) => a.from - b.from);
  const bedded: Row['bedded'] = [];
  for (const { from, to } of kept) {
    const last = bedded.at(-1);
    if (last && from - last.to <= SAME_PLACE) last.to = Math.max(last.to, to);
    else bedded.push({ from, to });
  }
  return { ...row, pieces, perps, bedded };
}
