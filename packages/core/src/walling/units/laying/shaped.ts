import type { Course } from '../../../stages/gauge/courses.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { RunEnds } from '../lines/ends.js';
import type { PerpLine } from '../lines/lines.js';
import { cutRow, standingHeight, standsIn, type CourseOutline } from './outline.js';
import type { Row } from './row.js';

/** At which of its ends a run goes on higher than the run round the corner, so that nothing of the other's shows. */
export function aloneIn(
  wall: SetWall,
  ends: RunEnds,
  course: Course,
  level: number,
  slack: number,
): [boolean, boolean] {
  if (wall.tops.length === 0) return [false, false];
  const { start, end } = ends;
  const gone = (other: number | null, x: (length: number) => number): boolean =>
    other !== null && !standsIn(wall, other, x(wall.runs[other]?.length ?? 0), course, level, slack);
  return [gone(start.other, (length) => length - 1), gone(end.other, () => 1)];
}

/** A line whose end is its own, where the other run's unit would have shown: the perps stay where they are. */
export const endedAlone = (line: PerpLine, start: boolean, end: boolean): PerpLine =>
  start || end
    ? {
        ...line,
        shownAtStart: line.shownAtStart && !start,
        shownAtEnd: line.shownAtEnd && !end,
        ...(line.sections
          ? {
              sections: line.sections.map((s, i, all) => ({
                ...s,
                line: endedAlone(s.line, start && i === 0, end && i === all.length - 1),
              })),
            }
          : {}),
      }
    : line;

/** A row as the outline leaves it: sawn to the top, and bare where the run round the corner has nothing to show. */
export function outlined(
  row: Row,
  wall: SetWall,
  run: number,
  course: Course,
  outline: CourseOutline,
  slack: number,
  span: { from: number; to: number },
): Row {
  const cut =
    outline.cut.length > 0 || outline.otherwise === 0
      ? cutRow(row, wall, run, course, outline, slack)
      : { ...row };
  const bare = (x: number): boolean =>
    outline.missing.some((m) => x > m.from && x < m.to) ||
    (outline.otherwise === 0 && outline.cut.length === 0) ||
    standingHeight(wall, run, x, outline) < course.top - slack - course.unitHeight / 2;
  if (bare(span.from + 1)) cut.bareStart = true;
  if (bare(span.to - 1)) cut.bareEnd = true;
  return cut;
}
