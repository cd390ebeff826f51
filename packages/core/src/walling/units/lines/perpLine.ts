import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { bondRule } from '../bonds/registry.js';
import { endSpec, type RunEnds } from './ends.js';
import { lineOf, type ClassedEnds, type Ends, type Parity, type RunLines, type Span } from './lines.js';
import { countsOf } from './lineCost.js';
import { linesAround, weighedRun } from './aroundOpenings.js';
import { markedPanels, offLines, panelLines } from './panels.js';
import { sectionLines, sectionsOf, type Section } from './sections.js';
import { spanLines } from './span.js';

/** What each course of the period is: the corner it owns says whether it is long, a free end takes turns. */
function classesOf(wall: SetWall, ends: RunEnds): ClassedEnds[] {
  return Array.from({ length: wall.bond.period }, (_, i) => {
    const parity: Parity = i % 2 === 0 ? 'odd' : 'even';
    const both: Ends = { start: endSpec(ends.start, parity), end: endSpec(ends.end, parity) };
    const turn = (parity === 'odd') === (wall.start === 'whole');
    const corner = both.start.kind !== 'free' ? both.start.kind : both.end.kind;
    return { ends: both, course: bondRule(wall).courseClass(i, corner, turn) };
  });
}

/** A ring has no end: whole units all round, every second course half a unit on, the joint shared by all. */
export function ringLines(wall: SetWall, index: number): RunLines {
  const { length = 0, perp = wall.head } = wall.runs[index] ?? {};
  const module = wall.unitLength + perp;
  const count = Math.max(1, Math.round(length / module));
  const slot = length / count;
  const joint = slot - wall.unitLength;
  return [0, wall.bond.step].map((on) => ({
    u: Array.from({ length: count + 1 }, (_, k) => (k + on) * slot),
    joint,
    shownAtStart: false,
    shownAtEnd: false,
  }));
}

/** The perps of a run's courses, of which there are so many. */
export function perpLines(wall: SetWall, index: number, ends: RunEnds, courses: number): RunLines {
  const length = wall.runs[index]?.length ?? 0;
  const span: Span = { from: -ends.start.past, to: length + ends.end.past };
  const sections = sectionsOf(wall, index, span, ends);
  return sections.length > 1
    ? sectionLines(wall, sections, (own, section) => layLines(own, index, section, courses))
    : layLines(wall, index, { span, ends }, courses).lines;
}

/**
 * With more openings in a run than this it keeps its own lines, and its cuts stand at the jambs: windows laid again at
 * every step of a drag, and for every fix that is tried, would be too slow.
 */
const FEW = 8;

/** The perps of one section of a run. */
function layLines(
  wall: SetWall,
  index: number,
  { span, ends }: Section,
  courses: number,
): { lines: RunLines; cost: number } {
  const here = (o: SetOpening): boolean => o.run === index && o.from > span.from && o.to < span.to;
  const openings = wall.openings.filter(here);
  const classes = classesOf(wall, ends);
  const perp = wall.runs[index]?.perp ?? wall.head;
  const counts = countsOf(courses, wall.bond.period);
  const breakAt = breakPlace(wall, openings, span, ends);
  const laid = (mayEase: boolean): { lines: RunLines; cost: number } => {
    const { lines, cost } = spanLines(wall, span, classes, perp, breakAt, counts, mayEase);
    return { lines: lines(span.from), cost };
  };
  const base = laid(true);
  // A reveal wants a perp of a course that is not all of headers: beside one of those a stretcher would be sawn.
  const off = offLines(
    wall,
    openings,
    base.lines.filter((_, i) => !classes[i]?.course.headers),
  );
  // Nothing is sawn, and every jamb stands on a perp.
  if (openings.length === 0 || (off.length === 0 && base.cost < SAME_PLACE)) return base;
  const panel = wall.cuts === 'panel';
  if (panel && off.length === 0 && !sawnOddly(wall, base.lines)) return base;
  const run = { wall, span, classes, counts, openings };
  const kept = (panel && panelLines(wall, openings, off, span, classes, base.lines, courses)) || base;
  // Whole units and halves by turns are what half bond has at a reveal.
  if (panel && wall.bond.step !== 1 / 2) return kept;
  if (wall.openings.filter((o) => o.run === index).length > FEW) return kept;
  // Joints eased all along bring no perp to a jamb: kept at their target they may.
  const eased = base.lines.some((l) => Math.abs(l.joint - wall.head) > SAME_PLACE);
  const plain = eased && off.length > 0 ? laid(false) : base;
  const around = linesAround(run, plain.lines);
  if (around === plain.lines) return kept;
  const met = panel
    ? markedPanels(wall, openings, off, span, around, base.lines)
    : metFrom(base.lines, around, off);
  const unsound = panel && kept === base;
  return unsound || weighedRun(run, met) < weighedRun(run, kept.lines)
    ? { lines: met, cost: plain.cost }
    : kept;
}

/** Whether a line has a piece of its own that is neither a whole unit nor a half. */
const sawnOddly = (wall: SetWall, lines: RunLines): boolean =>
  lines.some(({ u, joint, leads }) => {
    const [first, last] = [leads?.start.length ?? 0, u.length - 1 - (leads?.end.length ?? 0)];
    return u.slice(first, last).some((x, i) => {
      const long = (u[first + i + 1] ?? 0) - x - joint;
      return Math.abs(long - wall.unitLength) > 1 && Math.abs(long - wall.half) > 1;
    });
  });

/** Lines laid to their openings' jambs, and what the run's own would have been. */
const metFrom = (own: RunLines, lines: RunLines, off: readonly SetOpening[]): RunLines =>
  lines.map((l, i) => ({ ...l, own: lineOf(own, i + 1), off: off.map((o) => o.index) }));

/** A break hides best in an opening; without one at a free end, or in mid-panel, never beside a corner. */
function breakPlace(wall: SetWall, openings: readonly SetOpening[], run: Span, ends: RunEnds): number {
  const widest = [...openings].sort((a, b) => b.to - b.from - (a.to - a.from))[0];
  const middle = widest ? (widest.from + widest.to) / 2 : (run.from + run.to) / 2;
  // A header bond has a quoin at a free end too.
  if (wall.bond.family === 'header') return middle;
  if (widest) return middle - wall.unitLength / 2;
  if (ends.end.odd === 'free') return run.to;
  return ends.start.odd === 'free' ? run.from : (run.from + run.to) / 2;
}
