import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { besideCourses } from './besideCourses.js';
import { bondCost } from '../judging/cost.js';
import { layRow, type CourseLines } from '../laying/layRow.js';
import type { RunLines, Span } from './lines.js';
import type { Row } from '../laying/row.js';

const PLAIN = { cornerAtStart: false, cornerAtEnd: false };

/** What a length of wall is laid by: its span, the lines of its odd and even courses, and which of their ends are kept. */
export interface LengthOfLines {
  span: Span;
  lines: RunLines;
  keepsFirst: CourseLines['keepsFirst'];
  keepsLast: CourseLines['keepsLast'];
}

/** The row of a course that stops at these openings. */
function rowBeside(
  wall: SetWall,
  { span, lines, keepsFirst, keepsLast }: LengthOfLines,
  through: SetOpening[],
  parity: 0 | 1,
): Row {
  const [odd, even] = lines;
  if (!odd || !even) throw new Error('a length of bond is laid by two lines');
  const own = parity === 0 ? odd : even;
  const course: CourseLines = { own, both: [odd, even], parity, keepsFirst, keepsLast };
  return layRow(wall, span, course, PLAIN, { bed: wall.bed, through, partly: [], over: [] });
}

/** What a length of so many courses costs by the bond's table with its openings in it, course by course as it is laid. */
export function weighedWith(
  wall: SetWall,
  length: LengthOfLines,
  openings: readonly SetOpening[],
  courses: number,
): number {
  const stops = openings.map((o) => ({ o, ...besideCourses(wall, o) }));
  const made = new Map<string, Row>();
  const uses = new Map<Row, number>();
  const rows = Array.from({ length: courses }, (_, i) => {
    const through = stops.filter((s) => i >= s.under && i < s.under + s.odd + s.even).map((s) => s.o);
    const parity = i % 2 === 0 ? 0 : 1;
    const key = `${parity}${through.map((o) => o.index).join()}`;
    const row = made.get(key) ?? rowBeside(wall, length, through, parity);
    made.set(key, row);
    uses.set(row, (uses.get(row) ?? 0) + 1);
    return row;
  });
  return bondCost(wall, [{ lines: length.lines, rows, uses }]).total;
}
