import { SAME_PLACE } from '../measure/length.js';
import type { BondedRun } from '../bond/bond.js';
import { standingJoints } from '../bond/sections.js';
import type { SetWall } from '../setout/wall.js';

/** What stops a horizontal bar at one end of a stretch. */
export type SpanEnd = 'corner' | 'free' | 'joint' | 'opening';

/** A stretch of one course that a bar, a wire or a beam goes through without a break, mm along its run. */
export interface Stretch {
  run: number;
  from: number;
  to: number;
  start: SpanEnd;
  end: SpanEnd;
}

/** The stretches of a course of a run: its corners belong to both runs that meet there. */
export function stretchesOf(wall: SetWall, run: BondedRun, i: number): Stretch[] {
  const row = run.rows[i];
  if (!row) return [];
  const joints = standingJoints(wall, run.index);
  const parts: { from: number; to: number }[] = [];
  const ends = [
    ...(run.ends.start.other !== null && !row.bareStart
      ? [{ from: run.from, to: run.from + wall.unitWidth }]
      : []),
    ...row.bedded,
    ...(run.ends.end.other !== null && !row.bareEnd ? [{ from: run.to - wall.unitWidth, to: run.to }] : []),
  ].sort((a, b) => a.from - b.from);
  for (const b of ends) {
    const last = parts.at(-1);
    if (
      last &&
      b.from - last.to <= SAME_PLACE + wall.head &&
      !joints.some((j) => Math.abs(j.to - b.from) < 1)
    )
      last.to = Math.max(last.to, b.to);
    else parts.push({ ...b });
  }
  const endAt = (x: number, start: boolean): SpanEnd => {
    if (joints.some((j) => Math.abs((start ? j.to : j.from) - x) < 1)) return 'joint';
    const own = start ? run.ends.start : run.ends.end;
    if (Math.abs(x - (start ? run.from : run.to)) < 1) return own.other === null ? 'free' : 'corner';
    return 'opening';
  };
  return parts.map((p) => ({ run: run.index, ...p, start: endAt(p.from, true), end: endAt(p.to, false) }));
}
