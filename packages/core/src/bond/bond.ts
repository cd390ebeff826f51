import { gaugeSlack, type Course } from '../gauge/courses.js';
import type { SetOpening, SetWall } from '../setout/wall.js';
import { backRow, innerStretch, innerWythe, movedRow, type BackLeaf } from './back.js';
import { runEnds, type RunEnds } from './ends.js';
import { lineOf, perpLines, type Parity, type RunLines } from './perpLine.js';
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
  /** The inner leaf, where the wall has two. */
  back: BackLeaf | null;
}

const signature = (openings: { index: number }[]): string => openings.map((o) => o.index).join(',');

/** Every course of one run. Courses with the same parity and the same openings are laid once and shared. */
function bondRun(wall: SetWall, index: number, ends: RunEnds, courses: readonly Course[]): BondedRun {
  const length = wall.runs[index]?.length ?? 0;
  const run = { from: -ends.start.past, to: length + ends.end.past };
  const lines = perpLines(wall, index, ends);
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
    const key = `${(course.number - 1) % lines.length}|${signature(cover.through)}|${strips.join(',')}|${signature(cover.over)}`;
    let row = made.get(key);
    if (!row) {
      const corner = { cornerAtStart: ends.start[parity] === 'own', cornerAtEnd: ends.end[parity] === 'own' };
      row = layRow(wall, run, lineOf(lines, course.number), corner, cover);
      made.set(key, row);
    }
    uses.set(row, (uses.get(row) ?? 0) + 1);
    return row;
  });
  return { index, ends, lines, ...run, rows, uses, back: null };
}

function counted(rows: Row[]): BackLeaf {
  const uses = new Map<Row, number>();
  for (const row of rows) uses.set(row, (uses.get(row) ?? 0) + 1);
  return { rows, uses };
}

/** Rows changed one by one, those alike still shared. */
function mapRows(rows: Row[], change: (row: Row) => Row): BackLeaf {
  const made = new Map<Row, Row>();
  return counted(
    rows.map((row) => {
      const done = made.get(row) ?? change(row);
      made.set(row, done);
      return done;
    }),
  );
}

function leaf(wall: SetWall, courses: readonly Course[]): BondedRun[] {
  const ends = runEnds(wall);
  return wall.runs.flatMap((run, i) => {
    const own = ends[i];
    return run.curved || !own ? [] : [bondRun(wall, i, own, courses)];
  });
}

/** The units of a wall, run by run, both leaves where it has two. Curved runs are left empty and reported. */
export function bondWall(wall: SetWall, courses: readonly Course[]): BondedRun[] {
  const outer = leaf(wall, courses);
  if (wall.wythes === 1) return outer;
  if (wall.bond.family === 'header') {
    return outer.map((run) => {
      const { from, to } = innerStretch(wall, run.index);
      return { ...run, back: mapRows(run.rows, (row) => backRow(wall, row, from, to)) };
    });
  }
  const { wall: inside, inset } = innerWythe(wall);
  const inner = leaf(inside, courses);
  return outer.map((run) => {
    const own = inner.find((r) => r.index === run.index);
    const by = inset[run.index] ?? 0;
    return { ...run, back: own ? mapRows(own.rows, (row) => movedRow(row, by)) : null };
  });
}
