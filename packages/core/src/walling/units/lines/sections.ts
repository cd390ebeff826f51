import { SAME_PLACE } from '../../../measure/length.js';
import type { SetJoint, SetWall } from '../../../stages/set-out/wall.js';
import { FREE, type RunEnds } from './ends.js';
import type { PerpLine, RunLines, Span } from './lines.js';
import type { Missing } from '../laying/outline.js';

/** Stands for an opening's place where a course stops at a movement joint. */
export const JOINT = -3;

/** A length of a run between two movement joints, or a joint and the run's end, with what stands at its ends. */
export interface Section {
  span: Span;
  ends: RunEnds;
}

/** The movement joints of a run that are to be laid to, in order along it. */
export const builtJoints = (wall: SetWall, run: number): SetJoint[] =>
  wall.joints.filter((j) => j.run === run && j.refused === null).sort((a, b) => a.from - b.from);

/** The length of every course that a joint takes. */
export const jointGap = ({ from, to }: SetJoint): Missing => ({ from, to, index: JOINT });

/** The sections of a run: the whole of it where no joint parts it. Both sides of a joint are free ends. */
export function sectionsOf(wall: SetWall, run: number, span: Span, ends: RunEnds): Section[] {
  const sections: Section[] = [];
  let at = { from: span.from, start: ends.start };
  for (const joint of builtJoints(wall, run)) {
    if (joint.from - at.from > SAME_PLACE)
      sections.push({ span: { from: at.from, to: joint.from }, ends: { start: at.start, end: FREE } });
    at = { from: Math.max(at.from, joint.to), start: FREE };
  }
  if (span.to - at.from > SAME_PLACE)
    sections.push({ span: { from: at.from, to: span.to }, ends: { start: at.start, end: ends.end } });
  return sections;
}

/** Less than this is no difference: joints eased by hairs. */
const A_HAIR = 0.5;

/** Whether a course ends, or begins, on a whole unit. */
const endsWhole = (wall: SetWall, { u }: PerpLine): boolean =>
  (u.at(-1) ?? 0) - (u.at(-2) ?? 0) > 0.9 * wall.unitLength;
const beginsWhole = (wall: SetWall, { u }: PerpLine): boolean =>
  (u[1] ?? 0) - (u[0] ?? 0) > 0.9 * wall.unitLength;

/**
 * The lines of a run laid section by section. A section that begins at a joint may begin on a whole unit or a half,
 * whichever costs less; when it is all the same, as the course ends on the other side, so that the bond runs through.
 */
export function sectionLines(
  wall: SetWall,
  sections: readonly Section[],
  lay: (wall: SetWall, section: Section) => { lines: RunLines; cost: number },
): RunLines {
  const laid: RunLines[] = [];
  sections.forEach((section, k) => {
    const starts: readonly SetWall['start'][] = k === 0 ? [wall.start] : ['whole', 'half'];
    const before = laid.at(-1)?.[0];
    const ways = starts.map((start) => {
      const { lines, cost } = lay({ ...wall, start }, section);
      const [first] = lines;
      const through =
        before === undefined || first === undefined || endsWhole(wall, before) === beginsWhole(wall, first);
      return { lines, cost, through };
    });
    laid.push(
      ways.reduce((best, way) =>
        way.cost < best.cost - A_HAIR || (way.cost < best.cost + A_HAIR && way.through && !best.through)
          ? way
          : best,
      ).lines,
    );
  });
  const courses = Math.max(...laid.map((lines) => lines.length));
  return Array.from({ length: courses }, (_, i): PerpLine => {
    const parts = sections.map((s, k) => ({ ...s.span, line: laid[k]?.[i] as PerpLine }));
    const first = parts[0]?.line as PerpLine;
    const last = parts.at(-1)?.line as PerpLine;
    return {
      ...first,
      u: parts.flatMap((p, k) => (k < parts.length - 1 ? p.line.u.slice(0, -1) : p.line.u)),
      joint: last.joint,
      shownAtEnd: last.shownAtEnd,
      beside: [],
      sections: parts,
      off: parts.flatMap((p) => p.line.off ?? []),
    };
  });
}

/** The line a stretch of a course is laid by: its section's own, where movement joints part the run. */
export const lineFor = (line: PerpLine, stretch: Span): PerpLine =>
  line.sections?.find((s) => stretch.from >= s.from - SAME_PLACE && stretch.to <= s.to + SAME_PLACE)?.line ??
  line;
