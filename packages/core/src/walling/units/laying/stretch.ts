import { SAME_PLACE, type Mm } from '../../../measure/length.js';
import type { SetOpening } from '../../../stages/set-out/wall.js';
import { JOINT } from '../lines/sections.js';

/** A length of a course between two places that break it, mm along the run. */
export interface Stretch {
  from: Mm;
  to: Mm;
  /** Opening at its left and right end, STEP at a step, JOINT at a movement joint, RUN_END at the end of the run. */
  left: number;
  right: number;
}

export const RUN_END = -1;

export type Gap = Pick<SetOpening, 'from' | 'to' | 'index'>;

/** What is left of a run between its gaps. */
export function stretches(run: { from: number; to: number }, gaps: readonly Gap[]): Stretch[] {
  const list: Stretch[] = [];
  let at = { from: run.from, left: RUN_END };
  for (const gap of [...gaps].sort((a, b) => a.from - b.from)) {
    if (gap.from - at.from > SAME_PLACE)
      list.push({ from: at.from, to: gap.from, left: at.left, right: gap.index });
    at = { from: Math.max(at.from, gap.to), left: gap.index };
  }
  if (run.to - at.from > SAME_PLACE) list.push({ from: at.from, to: run.to, left: at.left, right: RUN_END });
  return list;
}

/** At a movement joint a course ends as at a free end: its section's line was laid to it. */
export const atFreeEnds = (s: Stretch): Stretch => ({
  ...s,
  left: s.left === JOINT ? RUN_END : s.left,
  right: s.right === JOINT ? RUN_END : s.right,
});

export interface Laid {
  from: Mm;
  to: Mm;
  /** Opening that made it a cut, or −1. */
  opening: number;
}
