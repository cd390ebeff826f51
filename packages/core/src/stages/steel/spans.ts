import { SAME_PLACE, type Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { builtJoints } from '../../walling/units/lines/sections.js';
import type { SetWall } from '../set-out/wall.js';

/** What stops a horizontal bar at one end of a stretch. */
export type SpanEnd = 'corner' | 'free' | 'joint' | 'opening';

/** A stretch of one course that a bar, a wire or a beam goes through without a break, mm along its run. */
export interface Stretch {
  run: number;
  from: Mm;
  to: Mm;
  start: SpanEnd;
  end: SpanEnd;
}

/** The stretches of a course of a run: its corners belong to both runs that meet there. */
export function stretchesOf(wall: SetWall, run: BondedRun, i: number): Stretch[] {
  const row = run.rows[i];
  if (!row) return [];
  const joints = builtJoints(wall, run.index);
  const parts: { from: number; to: number }[] = [];
  const add = (from: number, to: number): void => {
    const last = parts.at(-1);
    const goesOn = last !== undefined && from - last.to <= SAME_PLACE + wall.head;
    if (goesOn && !joints.some((j) => Math.abs(j.to - from) < 1)) last.to = Math.max(last.to, to);
    else parts.push({ from, to });
  };
  // Beds come in order along the run, and between the ends of other runs' units.
  if (run.ends.start.other !== null && !row.bareStart) add(run.from, run.from + wall.unitWidth);
  for (const b of row.bedded) add(b.from, b.to);
  if (run.ends.end.other !== null && !row.bareEnd) add(run.to - wall.unitWidth, run.to);
  const endAt = (x: number, start: boolean): SpanEnd => {
    if (joints.some((j) => Math.abs((start ? j.to : j.from) - x) < 1)) return 'joint';
    const own = start ? run.ends.start : run.ends.end;
    if (Math.abs(x - (start ? run.from : run.to)) < 1) return own.other === null ? 'free' : 'corner';
    return 'opening';
  };
  return parts.map((p) => ({ run: run.index, ...p, start: endAt(p.from, true), end: endAt(p.to, false) }));
}
