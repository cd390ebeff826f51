import { gaugeSlack, type Course } from '../../../stages/gauge/courses.js';
import { SAME_PLACE, type Mm } from '../../../measure/length.js';
import type { SetOpening, SetVents, SetWall } from '../../../stages/set-out/wall.js';
import { runsTakenOver, type BondBefore } from './takenOver.js';
import { chainsOf, mergedWall } from './chains.js';
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
import { runEnds, shownWidth, type RunEnd, type RunEnds } from '../lines/ends.js';
import { courseOutline } from './outline.js';
import { lineOf, type Parity, type PerpLine, type RunLines } from '../lines/lines.js';
import { perpLines, ringLines } from '../lines/perpLine.js';
import { jointGap, builtJoints } from '../lines/sections.js';
import { jointFoot } from './belowDpc.js';
import { soldiersOver } from '../let-in/soldiers.js';
import { coverOf, openingsInLine } from './cover.js';
import { layRow, type CourseLines } from './layRow.js';
import { parted } from './partedChain.js';
import { aloneIn, endedAlone, outlined } from './shaped.js';
import type { Row, Rows, Special } from './row.js';

export interface BondedRun extends Rows {
  index: number;
  ends: RunEnds;
  lines: RunLines;
  from: Mm;
  to: Mm;
  /** The units of its bonded piers that stand behind it, or before it; null where it has none. */
  piers: Rows | null;
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
  const linesOf = (of: SetWall): RunLines =>
    ring ? ringLines(of, index) : perpLines(of, index, ends, courses.length);
  const lines = linesOf(wall);
  const openings = wall.openings.filter((o) => o.run === index).flatMap((o) => withSoldiers(wall, o));
  const slack = gaugeSlack(wall);
  const inLine = openingsInLine(openings);
  const features = runFeatures(wall, index, lines);
  const joints = builtJoints(wall, index);
  const gaps = joints.map(jointGap);
  // Under the dpc nothing is parted: its courses are laid as if no joint stood over them.
  const foot = joints.length > 0 ? jointFoot(wall, courses) : 0;
  const through = foot > 0 ? linesOf({ ...wall, joints: [] }) : lines;
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
    const under = course.top <= foot + SAME_PLACE;
    // A slope cuts every course in another place; a plumb step serves all the courses it stops alike.
    const shaped =
      outline === null
        ? ''
        : `${outline.missing.map((m) => `${m.from}-${m.to}`).join(',')}|${outline.cut.length > 0 || outline.otherwise === 0 ? course.number : ''}`;
    const key = `${(course.number - 1) % lines.length}|${signature(cover.through)}|${strips.join(',')}|${signature(cover.over)}|${shaped}|${aloneStart ? 's' : ''}${aloneEnd ? 'e' : ''}${under ? 'u' : ''}`;
    const own = featuresOf(wall, features, course);
    let row = made.get(key + own.key);
    if (!row) {
      const at = (end: RunEnd, alone: boolean): boolean =>
        !alone && end[parity] === 'own' && end.other !== null;
      const special = (end: RunEnd, alone: boolean): Special | null =>
        at(end, alone) && end.legs ? (end.legs.inside ? 'inside' : 'outside') : null;
      const corner = {
        cornerAtStart: at(ends.start, aloneStart),
        cornerAtEnd: at(ends.end, aloneEnd),
        specialAtStart: special(ends.start, aloneStart),
        specialAtEnd: special(ends.end, aloneEnd),
        shownWidths: [shownWidth(wall, ends.start), shownWidth(wall, ends.end)] as const,
      };
      const laidTo = under ? through : lines;
      const line = endedAlone(lineOf(laidTo, course.number), aloneStart, aloneEnd);
      const span = ring ? { from: line.u[0] ?? 0, to: (line.u.at(-1) ?? 0) - line.joint } : run;
      const missing = [
        ...(outline?.missing ?? []),
        ...own.branches.map((b) => socket(wall, b)),
        ...(under ? [] : gaps),
      ];
      const courseLines: CourseLines = {
        own: line,
        both:
          wall.bond.family === 'header'
            ? [line, line]
            : [
                endedAlone(lineOf(laidTo, 1), aloneStart, aloneEnd),
                endedAlone(lineOf(laidTo, 2), aloneStart, aloneEnd),
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
  const piers = pierBacks(wall, features, rows);
  return { index, ends, lines, from: run.from, to, rows, uses, piers, lost };
}

/** The joint where a ring comes round to its first unit. */
function closeRing(row: Row, line: PerpLine): void {
  const end = line.u.at(-1) ?? 0;
  const last = row.bedded.at(-1);
  if (!last || Math.abs(last.to - (end - line.joint)) > SAME_PLACE) return;
  last.to = end;
  row.perps.push({ at: end - line.joint / 2, width: line.joint });
}

/**
 * The units of one leaf of a wall, run by run. `level`: how many courses reach the wall's height; those above stand only
 * under tops that rise past it. `before`: the same wall before an edit, whose runs are taken over where nothing that a
 * bond reads has changed; what comes out is the same without it.
 */
export function bondWall(
  wall: SetWall,
  courses: readonly Course[],
  level: number = courses.length,
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
