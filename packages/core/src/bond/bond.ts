import { gaugeSlack, type Course } from '../gauge/courses.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import { runEnds, type RunEnds } from './ends.js';
import { perpLines, type Parity, type RunLines } from './perpLine.js';
import { coverOf, layRow, type Row } from './row.js';

export interface BondedRun {
  index: number;
  ends: RunEnds;
  lines: RunLines;
  from: number;
  to: number;
  /** The row of each course, course 1 first. Courses alike share one Row object. */
  rows: Row[];
  /** How many courses each distinct row serves. */
  uses: Map<Row, number>;
}

const signature = (openings: { index: number }[]): string => openings.map((o) => o.index).join(',');

/** Every course of one run. Courses with the same parity and the same openings are laid once and shared. */
function bondRun(wall: SetWall, index: number, ends: RunEnds, courses: readonly Course[]): BondedRun {
  const length = wall.runs[index]?.length ?? 0;
  const run = { from: -ends.start.past, to: length + ends.end.past };
  const lines = perpLines(wall, index, ends, wall.start === 'whole');
  const openings: SetOpening[] = wall.openings.filter((o) => o.run === index);
  const slack = gaugeSlack(wall);
  const made = new Map<string, Row>();
  const uses = new Map<Row, number>();
  const rows = courses.map((course) => {
    const parity: Parity = course.number % 2 === 1 ? 'odd' : 'even';
    const cover = coverOf(openings, course, slack);
    const strips = cover.partly.map(
      (p) => `${p.opening.index}:${p.strips.map((s) => `${s.from}-${s.to}`).join('+')}`,
    );
    const key = `${parity}|${signature(cover.through)}|${strips.join(',')}|${signature(cover.over)}`;
    let row = made.get(key);
    if (!row) {
      const corner = { cornerAtStart: ends.start[parity] === 'own', cornerAtEnd: ends.end[parity] === 'own' };
      row = layRow(wall, run, lines[parity], corner, cover);
      made.set(key, row);
    }
    uses.set(row, (uses.get(row) ?? 0) + 1);
    return row;
  });
  return { index, ends, lines, ...run, rows, uses };
}

/** The units of a wall, run by run. Curved runs are left empty and reported. */
export function bondWall(wall: SetWall, courses: readonly Course[]): BondedRun[] {
  const ends = runEnds(wall);
  return wall.runs.flatMap((run, i) => {
    const own = ends[i];
    return run.curved || !own ? [] : [bondRun(wall, i, own, courses)];
  });
}
