import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import type { Pattern } from '../bonds/bondRule.js';
import { bondRule } from '../bonds/registry.js';
import { shownWidth, type EndSpec } from './ends.js';
import { evenLines, filledSpan, leadsOf } from './fillSpan.js';
import { movedLine } from '../laying/moved.js';
import { headerSpan } from './headerSpan.js';
import { bondKey, linesCost, type Counts } from './lineCost.js';
import {
  headLimits,
  pieceOf,
  type ClassedEnds,
  type Ends,
  type PerpLine,
  type RunLines,
  type Span,
} from './lines.js';

interface Whole {
  pieces: number[];
  joint: number;
  leads: { start: number[]; end: number[] };
}

/**
 * Whether `count` pieces can follow both patterns at once: the start's lead, the end's lead backwards, and one
 * cycle between them that reads the same from both.
 */
function joined(start: Pattern, end: Pattern, count: number): number[] | null {
  if (count < start.lead.length + end.lead.length) return null;
  const last = count - end.lead.length;
  const same = Math.min(last - start.lead.length, start.cycle.length * end.cycle.length + 1);
  for (let i = start.lead.length; i < start.lead.length + same; i++)
    if (Math.abs(pieceOf(start, i) - pieceOf(end, count - 1 - i)) > SAME_PLACE) return null;
  return Array.from({ length: count }, (_, i) =>
    i < last ? pieceOf(start, i) : pieceOf(end, count - 1 - i),
  );
}

/** The pieces of a course that follows both its ends' patterns at a joint allowed, or null. */
function wholePieces(
  wall: SetWall,
  run: Span,
  target: number,
  start: Pattern,
  ends: Pattern[],
): Whole | null {
  const limits = headLimits(wall);
  const length = run.to - run.from;
  let best: Whole | null = null;
  for (const end of ends) {
    const fixed = [...start.lead, ...end.lead].reduce((sum, p) => sum + p + target, 0);
    const cycle = start.cycle.reduce((sum, p) => sum + p + target, 0);
    const about = Math.floor((length + target - fixed) / cycle) * start.cycle.length;
    const base = start.lead.length + end.lead.length;
    const leads = { start: start.lead, end: end.lead };
    for (
      let n = Math.max(1, base + about - start.cycle.length);
      n <= base + about + 2 * start.cycle.length;
      n++
    ) {
      const pieces = joined(start, end, n);
      if (!pieces) continue;
      const sum = pieces.reduce((a, b) => a + b, 0);
      if (n === 1) {
        if (Math.abs(sum - length) < SAME_PLACE) best ??= { pieces, joint: wall.head, leads };
        continue;
      }
      const joint = (length - sum) / (n - 1);
      if (joint < limits.least - SAME_PLACE || joint > limits.most + SAME_PLACE) continue;
      if (best === null || Math.abs(joint - target) < Math.abs(best.joint - target) - 1e-9)
        best = { pieces, joint, leads };
    }
  }
  return best;
}

function fromPieces(run: Span, ends: Ends, { pieces, joint, leads }: Whole): PerpLine {
  const u = [run.from];
  let sum = run.from;
  for (const piece of pieces) u.push((sum += piece + joint));
  u[u.length - 1] = run.to + joint;
  return {
    u,
    joint,
    shownAtStart: ends.start.kind === 'return',
    shownAtEnd: ends.end.kind === 'return',
    leads: leadsOf(ends, leads),
  };
}

/** Courses that follow their bond from end to end, every joint of a course eased alike; null where none are allowed. */
function easedLines(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  perp: number,
): RunLines | null {
  const whole = classes.map(({ ends: e, course }) =>
    wholePieces(
      wall,
      span,
      perp,
      bondRule(wall).begins(wall, e.start, course, false)[0] as Pattern,
      bondRule(wall).begins(wall, e.end, course, true),
    ),
  );
  const joints = whole.map((w) => w?.joint ?? NaN);
  const pieces = Math.max(...whole.map((w) => w?.pieces.length ?? 0));
  // Eased alike, or the perps of alternate courses would drift out of plumb along the run.
  return (Math.max(...joints) - Math.min(...joints)) * pieces <= wall.head + SAME_PLACE
    ? whole.map((w, i) => fromPieces(span, (classes[i] as ClassedEnds).ends, w as Whole))
    : null;
}

/** Whether what a line shows of other runs is as wide as they are: a run shorter than its ends has no room for it. */
function keepsShown(wall: SetWall, { u, joint, shownAtStart, shownAtEnd }: PerpLine, ends: Ends): boolean {
  const wide = (end: EndSpec, a = 0, b = 0): boolean => Math.abs(b - a - joint - shownWidth(wall, end)) < 1;
  return (
    (!shownAtStart || wide(ends.start, u[0], u[1])) && (!shownAtEnd || wide(ends.end, u.at(-2), u.at(-1)))
  );
}

/** Whether a joint on the face of a curve is one on its other side too: it closes there by what the aim is wider than the wall's own, twice. */
function opensSoundly(wall: SetWall, perp: number, joint: number): boolean {
  const limits = headLimits(wall);
  return [joint, joint - 2 * (perp - wall.head)].every(
    (j) => j >= limits.least - SAME_PLACE && j <= limits.most + SAME_PLACE,
  );
}

function linesAtNought(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  perp: number,
  breakAt: number,
  counts: Counts,
  mayEase: boolean,
): RunLines {
  const eased = mayEase && wall.bond.family !== 'header' ? easedLines(wall, span, classes, perp) : null;
  const curved = Math.abs(perp - wall.head) > SAME_PLACE;
  if (curved && wall.bond.family === 'running') {
    const sound = (joint: number): boolean => opensSoundly(wall, perp, joint);
    // Round a curve too tight for any joint there is none to choose.
    if (eased && (eased.every((l) => sound(l.joint)) || !sound(perp))) return eased;
    if (sound(perp)) return filledSpan({ ...wall, head: perp }, span, classes, breakAt, counts);
  }
  if (wall.bond.family === 'header') {
    const laid = headerSpan(wall, span, classes, breakAt);
    return laid?.every((l, i) => keepsShown(wall, l, (classes[i] as ClassedEnds).ends))
      ? laid
      : evenLines(wall, span, classes);
  }
  const easedCost = eased ? linesCost(wall, eased, span, counts) : Infinity;
  if (eased && easedCost < SAME_PLACE) return eased;
  const filled = filledSpan(wall, span, classes, breakAt, counts);
  return eased && easedCost <= linesCost(wall, filled, span, counts) + SAME_PLACE ? eased : filled;
}

const endKey = ({ kind, legs, shows, reveal }: EndSpec): string =>
  `${kind}${legs ? `${legs.own},${legs.shown}` : ''}${shows ?? ''}${reveal ? `[${reveal.lead.join()}/${reveal.cycle.join()}]` : ''};`;

/** Lines already laid, by all they follow from: the same lengths come again at every edit, and in every way weighed. */
const known = new Map<string, { lines: RunLines; cost: number }>();
const MOST_KNOWN = 5000;

/** To a millionth of a millimetre: two ways to one length differ in the last places of the sum. */
const tidy = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/** A length of wall laid: what it costs, and its lines, made where along the run they are wanted. */
export interface LaidSpan {
  cost: number;
  lines: (from: number) => RunLines;
}

/**
 * The perps of a length of wall, one line for each of `classes`, and what they cost. Joints are eased towards `perp` where
 * that lets every course follow its bond from end to end and costs no more than cutting; otherwise units are cut, about
 * `breakAt` where that is all the same. `mayEase` false: every joint keeps its target.
 */
export function spanLines(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  perp: number,
  breakAt: number,
  counts: Counts,
  mayEase = true,
): LaidSpan {
  const length = tidy(span.to - span.from);
  const at = Math.round(breakAt - span.from);
  // Odd and even courses change places where that is all the same, so that each pair is laid once.
  const alike = counts.courses[0] === counts.courses[1] && classes.every((c) => c.ends.start.kind !== 'free');
  const names = classes.map(
    ({ ends, course }, i) =>
      `${counts.courses[i] ?? 0}${endKey(ends.start)}${endKey(ends.end)}${course.long ? 'l' : ''}${course.headers ? 'h' : ''}`,
  );
  const turned =
    alike && wall.bond.family === 'running' && classes.length === 2 && (names[0] ?? '') > (names[1] ?? '');
  if (turned) names.reverse();
  const key = `${bondKey(wall)}|${length}|${perp}|${at}|${counts.meets}|${mayEase ? '' : 'target'}|${names.join('|')}`;
  let found = known.get(key);
  if (!found) {
    const own = { from: 0, to: length };
    const pair = turned ? [...classes].reverse() : classes;
    const lines = linesAtNought(wall, own, pair, perp, at, counts, mayEase);
    found = { lines, cost: linesCost(wall, lines, own, counts) };
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(key, found);
  }
  const { lines, cost } = found;
  return {
    cost,
    lines: (from) => {
      const moved = lines.map((l) => movedLine(l, from));
      return turned ? moved.reverse() : moved;
    },
  };
}
