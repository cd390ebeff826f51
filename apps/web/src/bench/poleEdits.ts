import { millimetres, writeLength, type PatchStep, type BenchView, type Show } from '@even-tally/core';

export type Flag = BenchView['flags'][number];

/**
 * The edit that moves a fixed height to `to` mm above the base: every sill, head and height that stands there.
 * It settles on a course mark within `reach` mm, otherwise on an inch or a centimetre.
 */
export function heightEdit(view: BenchView, flag: Flag, to: number, reach: number, show: Show): PatchStep[] {
  const grid = show === 'mm' ? 10 : 25.4;
  const pitch = view.wall.pitch;
  // The top moves the marks themselves, so it settles on whole courses at the target bed.
  const marks = flag.paths.some((p) => p.endsWith('/height'))
    ? [Math.max(1, Math.round(to / pitch)) * pitch]
    : view.marks.map((m) => m.top);
  const mark = marks.reduce((best, m) => (Math.abs(m - to) < Math.abs(best - to) ? m : best), Infinity);
  const at = Math.abs(mark - to) <= reach ? mark : Math.round(to / grid) * grid;
  const value = writeLength(millimetres(Math.round(Math.max(0, at) * 1000) / 1000), show);
  return flag.paths.map((path) => ({ op: 'replace', path, value }));
}
