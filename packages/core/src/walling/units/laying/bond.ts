import { gaugeSlack, type Course } from '../../../gauge/courses.js';
import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetVents, SetWall } from '../../../setout/wall.js';
import { backedStretch, backRow, innerWythe, type BackLeaf, type Behind } from '../leaves/back.js';
import { runsTakenOver, type BondBefore } from './takenOver.js';
import { mapRows, movedLine, movedRow, rowOnFace } from './moved.js';
import { chainsOf, mergedWall, type Chain } from './chains.js';
import {
  asBeam,
  dressRow,
  featuresOf,
  isBeamCourse,
  pierBacks,
  runFeatures,
  socket,
} from '../let-in/features.js';
import type { LostChange } from '../let-in/changes.js';
import { FREE, runEnds, shownWidth, type RunEnd, type RunEnds } from '../lines/ends.js';
import { courseOutline, cutRow, standingHeight, standsIn, type CourseOutline } from './outline.js';
import { lineOf, type Parity, type PerpLine, type RunLines, type Span } from '../lines/lines.js';
import { perpLines, ringLines } from '../lines/perpLine.js';
import { jointGap, standingJoints } from '../lines/sections.js';
import { soldiersOver } from '../let-in/soldiers.js';
import { coverOf, openingsInLine } from './cover.js';
import { layRow, type CourseLines } from './layRow.js';
import type { Row } from './row.js';

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
  /** The inner leaf, where the wall has two; the backs of its piers, where it has such. */
  back: BackLeaf | null;
  /** The mason's changes that found no unit, and vents that found no place. */
  lost: Lost[];
}

export type Lost = LostChange | { vents: SetVents; at: number };

const signature = (openings: { index: number; sill: number }[]): string =>
  openings.map((o) => `${o.index}@${o.sill}`).join(',');

/** An opening, and the bricks on end over it, which break the courses as the opening does. */
const withSoldiers = (wall: SetWall, o: SetOpening): SetOpening[] =>
  o.soldiers ? [o, { ...o, sill: o.head, head: soldiersOver(wall, o).top }] : [o];

/** Every course of one run. Courses with the same parity and the same openings are laid once and shared. */
function bondRun(
  wall: SetWall,
  index: number,
  ends: RunEnds,
  ring: boolean,
  courses: readonly Course[],
  level: number,
): BondedRun {
  const length = wall.runs[index]?.length ?? 0;
  const run = { from: -ends.start.past, to: length + ends.end.past };
  const lines = ring ? ringLines(wall, index) : perpLines(wall, index, ends, courses.length);
  const openings = wall.openings.filter((o) => o.run === index).flatMap((o) => withSoldiers(wall, o));
  const slack = gaugeSlack(wall);
  const inLine = openingsInLine(openings);
  const features = runFeatures(wall, index, lines);
  const gaps = standingJoints(wall, index).map(jointGap);
  // A corner's own unit is whole, and course 1 begins as it was asked to.
  const keepsFirst = [ends.start.odd !== 'return', ends.start.even === 'own'] as const;
  const keepsLast = [ends.end.odd === 'own', ends.end.even === 'own'] as const;
  const lost: Lost[] = [];
  const made = new Map<string, Row>();
  const beams = new Map<Row, Row>();
  const uses = new Map<Row, number>();
  const rows = courses.map((course) => {
    const parity: Parity = course.number % 2 === 1 ? 'odd' : 'even';
    const cover = coverOf(openings, course, slack, inLine);
    cover.over = cover.over.filter((o) => !o.soldiers);
    const strips = cover.partly.map(
      (p) => `${p.opening.index}:${p.strips.map((s) => `${s.from}-${s.to}`).join('+')}`,
    );
    const outline = courseOutline(wall, index, course, level, slack);
    const [aloneStart, aloneEnd] = aloneIn(wall, ends, course, level, slack);
    // A slope cuts every course in another place; a plumb step serves all the courses it stops alike.
    const shaped =
      outline === null
        ? ''
        : `${outline.missing.map((m) => `${m.from}-${m.to}`).join(',')}|${outline.cut.length > 0 || outline.otherwise === 0 ? course.number : ''}`;
    const key = `${(course.number - 1) % lines.length}|${signature(cover.through)}|${strips.join(',')}|${signature(cover.over)}|${shaped}|${aloneStart ? 's' : ''}${aloneEnd ? 'e' : ''}`;
    const own = featuresOf(wall, features, course);
    let row = made.get(key + own.key);
    if (!row) {
      const at = (end: RunEnd, alone: boolean): boolean =>
        !alone && end[parity] === 'own' && end.other !== null;
      const corner = {
        cornerAtStart: at(ends.start, aloneStart),
        cornerAtEnd: at(ends.end, aloneEnd),
        specialAtStart: at(ends.start, aloneStart) && ends.start.legs !== null,
        specialAtEnd: at(ends.end, aloneEnd) && ends.end.legs !== null,
        shownWidths: [shownWidth(wall, ends.start), shownWidth(wall, ends.end)] as const,
      };
      const line = endedAlone(lineOf(lines, course.number), aloneStart, aloneEnd);
      const span = ring ? { from: line.u[0] ?? 0, to: (line.u.at(-1) ?? 0) - line.joint } : run;
      const missing = [...(outline?.missing ?? []), ...own.branches.map((b) => socket(wall, b)), ...gaps];
      const courseLines: CourseLines = {
        own: line,
        both:
          wall.bond.family === 'header'
            ? [line, line]
            : [
                endedAlone(lineOf(lines, 1), aloneStart, aloneEnd),
                endedAlone(lineOf(lines, 2), aloneStart, aloneEnd),
              ],
        parity: parity === 'odd' ? 0 : 1,
        keepsFirst,
        keepsLast,
      };
      row = layRow(wall, span, courseLines, corner, missing.length > 0 ? { ...cover, missing } : cover);
      if (ring) closeRing(row, line);
      if (outline) row = outlined(row, wall, index, course, outline, slack, run);
      if (aloneStart) Object.assign(row, { aloneStart, bareStart: true });
      if (aloneEnd) Object.assign(row, { aloneEnd, bareEnd: true });
      const done = dressRow(wall, index, row, course, own);
      row = done.row;
      lost.push(...done.lost);
      made.set(key + own.key, row);
    }
    if (isBeamCourse(wall, course.number, level)) {
      const beam = beams.get(row) ?? asBeam(row);
      beams.set(row, beam);
      row = beam;
    }
    uses.set(row, (uses.get(row) ?? 0) + 1);
    return row;
  });
  const to = ring ? Math.max(...lines.map((l) => l.u.at(-1) ?? 0)) : run.to;
  const back = pierBacks(wall, features, rows);
  return { index, ends, lines, from: run.from, to, rows, uses, back, lost };
}

/** At which of its ends a run goes on higher than the run round the corner, so that nothing of the other's shows. */
function aloneIn(
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
const endedAlone = (line: PerpLine, start: boolean, end: boolean): PerpLine =>
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
function outlined(
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

/** The joint where a ring comes round to its first unit. */
function closeRing(row: Row, line: PerpLine): void {
  const end = line.u.at(-1) ?? 0;
  const last = row.bedded.at(-1);
  if (!last || Math.abs(last.to - (end - line.joint)) > SAME_PLACE) return;
  last.to = end;
  row.perps.push({ at: end - line.joint / 2, width: line.joint });
}

/** What a chain's row is on one of its runs: pieces by where they begin, joints by their middle. */
function partOf(row: Row, from: number, to: number): Row {
  const here = (x: number): boolean => x >= from - SAME_PLACE && x < to - SAME_PLACE;
  return movedRow(
    {
      ...row,
      pieces: row.pieces.filter((p) => here(p.from)),
      perps: row.perps.filter((p) => here(p.at)),
      ...(row.shown ? { shown: row.shown.filter((s) => here(s.from)) } : {}),
      ...(row.strips ? { strips: row.strips.filter((s) => here(s.from)) } : {}),
      bedded: row.bedded.flatMap((b) => {
        const cut = { from: Math.max(b.from, from), to: Math.min(b.to, to) };
        return cut.to - cut.from > SAME_PLACE ? [cut] : [];
      }),
    },
    -from,
  );
}

const turned = (end: RunEnd, run: (chain: number) => number | undefined): RunEnd =>
  end.other === null ? end : { ...end, other: run(end.other) ?? end.other };

/** A chain laid as one run, parted again into the runs it is made of. */
function parted(wall: SetWall, chains: readonly Chain[], chain: Chain, bonded: BondedRun): BondedRun[] {
  // Round a corner stands the last run of the chain before, or the first of the one after.
  const laid = {
    ...bonded,
    ends: {
      start: turned(bonded.ends.start, (k) => chains[k]?.runs.at(-1)),
      end: turned(bonded.ends.end, (k) => chains[k]?.runs[0]),
    },
  };
  if (chain.runs.length === 1) return [{ ...laid, index: chain.runs[0] ?? 0 }];
  const last = chain.runs.length - 1;
  return chain.runs.map((index, k): BondedRun => {
    const offset = chain.offsets[k] ?? 0;
    // The ends of the chain keep what stands past them.
    const from = k === 0 ? -Infinity : offset;
    const to = k === last ? Infinity : (chain.offsets[k + 1] ?? 0);
    const { rows, uses } = mapRows(laid.rows, (row) =>
      movedRow(partOf(row, Math.max(from, -1e9), Math.min(to, 1e9)), Math.max(from, -1e9) - offset),
    );
    return {
      index,
      ends: { start: k === 0 ? laid.ends.start : FREE, end: k === last ? laid.ends.end : FREE },
      lines: laid.lines.map((l) => ({
        ...movedLine(l, -offset),
        ...(l.own ? { own: movedLine(l.own, -offset) } : {}),
        shownAtStart: k === 0 && l.shownAtStart,
        shownAtEnd: k === last && l.shownAtEnd,
      })),
      from: k === 0 ? laid.from : 0,
      to: k === last ? laid.to - offset : (wall.runs[index]?.length ?? 0),
      rows,
      uses,
      back: null,
      lost: k === 0 ? laid.lost : [],
    };
  });
}

function leaf(
  wall: SetWall,
  courses: readonly Course[],
  level: number,
  before: BondBefore | null = null,
): BondedRun[] {
  const chains = chainsOf(wall);
  const merged = mergedWall(wall, chains);
  const ends = runEnds(merged);
  const takenOver = runsTakenOver(merged, chains, ends, courses, level, before);
  return chains.flatMap((chain, k) => {
    const own = ends[k];
    if (takenOver[k]) return takenOver[k];
    return own ? parted(wall, chains, chain, bondRun(merged, k, own, chain.ring, courses, level)) : [];
  });
}

/**
 * The units of a wall, run by run, both leaves where it has two. `level`: how many courses reach the wall's height;
 * those above stand only under tops that rise past it. `before`: the same wall before an edit, whose runs are taken over
 * where nothing that a bond reads has changed; what comes out is the same without it.
 */
export function bondWall(
  wall: SetWall,
  courses: readonly Course[],
  level: number = courses.length,
  before: BondBefore | null = null,
): BondedRun[] {
  const outer = leaf(wall, courses, level, before);
  if (wall.wythes === 1) return outer;
  if (wall.bond.family === 'header') {
    return outer.map((run) => {
      const [odd, even] = (['odd', 'even'] as const).map((parity) =>
        backedStretch(wall, run.index, run.ends, parity),
      );
      const backed = (row: Row, course: number): Row =>
        backRow(wall, row, (course % 2 === 1 ? odd : even) as Span);
      return { ...run, back: mapRows(run.rows, backed) };
    });
  }
  const { wall: inside, behind } = innerWythe(wall);
  const inner = leaf(inside, courses, level);
  return outer.map((run) => {
    const own = inner.find((r) => r.index === run.index);
    const at = behind[run.index] as Behind;
    return {
      ...run,
      back: own ? { ...mapRows(own.rows, (row) => rowOnFace(row, at)), scale: at.scale } : null,
    };
  });
}
