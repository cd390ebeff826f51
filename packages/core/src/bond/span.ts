import { SAME_PLACE } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import { brokenRun } from './breaks.js';
import { endPatterns, type Pattern } from './endPatterns.js';
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
    for (
      let n = Math.max(1, base + about - start.cycle.length);
      n <= base + about + 2 * start.cycle.length;
      n++
    ) {
      const pieces = joined(start, end, n);
      if (!pieces) continue;
      const sum = pieces.reduce((a, b) => a + b, 0);
      if (n === 1) {
        if (Math.abs(sum - length) < SAME_PLACE) best ??= { pieces, joint: wall.head };
        continue;
      }
      const joint = (length - sum) / (n - 1);
      if (joint < limits.least - SAME_PLACE || joint > limits.most + SAME_PLACE) continue;
      if (best === null || Math.abs(joint - target) < Math.abs(best.joint - target) - 1e-9)
        best = { pieces, joint };
    }
  }
  return best;
}

function fromPieces(run: Span, ends: Ends, { pieces, joint }: Whole): PerpLine {
  const u = [run.from];
  let sum = run.from;
  for (const piece of pieces) u.push((sum += piece + joint));
  u[u.length - 1] = run.to + joint;
  return { u, joint, shownAtStart: ends.start.kind === 'return', shownAtEnd: ends.end.kind === 'return' };
}

/**
 * The perps of a length of wall, one line for each of `classes`. Joints are eased towards `perp` when that lets every
 * course follow its bond from end to end; otherwise bond is kept from both ends and broken about `breakAt`.
 */
export function spanLines(
  wall: SetWall,
  span: Span,
  classes: readonly ClassedEnds[],
  perp: number,
  breakAt: number,
): RunLines {
  const whole = classes.map(({ ends: e, course }) =>
    wholePieces(
      wall,
      span,
      perp,
      endPatterns(wall, e.start, course, false)[0] as Pattern,
      endPatterns(wall, e.end, course, true),
    ),
  );
  const joints = whole.map((w) => w?.joint ?? NaN);
  const pieces = Math.max(...whole.map((w) => w?.pieces.length ?? 0));
  // Eased alike, or the perps of alternate courses would drift out of plumb along the run.
  if ((Math.max(...joints) - Math.min(...joints)) * pieces <= wall.head + SAME_PLACE)
    return whole.map((w, i) => fromPieces(span, (classes[i] as ClassedEnds).ends, w as Whole));
  return brokenRun(wall, span, span.to, breakAt, classes);
}
