import type { Mm } from '../../measure/length.js';
import type { SetWall } from '../set-out/wall.js';

/** A length of a run with nothing behind it: from one corner, buttress or cross wall to the next. */
export interface Unheld {
  run: number;
  from: Mm;
  to: Mm;
}

interface Held {
  from: Mm;
  to: Mm;
}

/** What holds a run upright along it, each as far as it reaches; the faces inside count, and not the middles. */
function holds(wall: SetWall, run: number): Held[] {
  const length = wall.runs[run]?.length ?? 0;
  const turns = (of: 'from' | 'to'): boolean =>
    wall.line.corners.some((c) => c[of] === run && Math.abs(c.turn) >= 30);
  const goesIn = wall.goesIn !== null && run === wall.runs.length - 1;
  return [
    ...(turns('to') ? [{ from: 0, to: wall.thickness }] : []),
    ...(turns('from') || goesIn ? [{ from: length - wall.thickness, to: length }] : []),
    ...wall.piers.filter((p) => p.run === run).map(({ from, to }) => ({ from, to })),
    ...wall.branches.filter((b) => b.run === run).map(({ from, to }) => ({ from, to })),
  ].sort((a, b) => a.from - b.from);
}

/** Everything between them, and what stands out past the last. */
export function unheldIn(wall: SetWall, run: number): Unheld[] {
  const length = wall.runs[run]?.length ?? 0;
  const spans: Unheld[] = [];
  let at = 0;
  for (const h of holds(wall, run)) {
    if (h.from > at + 1) spans.push({ run, from: at, to: h.from });
    at = Math.max(at, h.to);
  }
  if (length > at + 1) spans.push({ run, from: at, to: length });
  return spans;
}

/** Whether a run begins, and ends, at a corner that goes out. The outside is on the right: there a line turns left. */
export const outsideCorners = (wall: SetWall, run: number): { start: boolean; end: boolean } => ({
  start: wall.line.corners.some((c) => c.to === run && c.turn >= 30),
  end: wall.line.corners.some((c) => c.from === run && c.turn >= 30),
});
