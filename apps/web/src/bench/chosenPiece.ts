import { isUnit, KINDS, type Kind, type BenchView } from '@even-tally/core';

export interface ChosenPiece {
  kind: Kind;
  sawn: boolean;
  from: number;
  to: number;
  bottom: number;
  top: number;
}

/** The run's own units in a course, left to right. */
function course(view: BenchView, number: number): ChosenPiece[] {
  const c = view.elevation.pieces?.[number - 1];
  const list: ChosenPiece[] = [];
  for (let i = 0; c && i < c.count; i++) {
    const kind = c.kind[i] ?? 0;
    if (!isUnit(c.kind[i])) continue;
    list.push({
      kind: KINDS[kind] ?? 'stretcher',
      sawn: c.sawn[i] === 1,
      from: c.from[i] ?? 0,
      to: c.to[i] ?? 0,
      bottom: c.bottom[i] ?? 0,
      top: c.top[i] ?? 0,
    });
  }
  return list.sort((a, b) => a.from - b.from);
}

/** The unit of a course that lies over a place along the run, mm; null where none does. */
export const pieceIn = (view: BenchView, number: number, at: number): ChosenPiece | null =>
  course(view, number).find((p) => p.from <= at && p.to >= at) ?? null;

/** The middle of the unit before or after the one at `at`; the first of the course when none was chosen. */
export function stepPiece(view: BenchView, number: number, at: number | null, by: 1 | -1): number | null {
  const all = course(view, number);
  const here = at === null ? -1 : all.findIndex((p) => p.from <= at && p.to >= at);
  const next = all[here < 0 ? 0 : Math.min(all.length - 1, Math.max(0, here + by))];
  return next ? (next.from + next.to) / 2 : null;
}
