import { millimetres, writeLength, type PatchStep, type BenchView, type Show } from '@even-tally/core';

export type Part = 'body' | 'left' | 'right' | 'head' | 'sill';
export type BenchOpening = BenchView['openings'][number];

const nearest = (values: readonly number[], to: number): number | null =>
  values.reduce<number | null>(
    (best, v) => (best === null || Math.abs(v - to) < Math.abs(best - to) ? v : best),
    null,
  );

/** Settles on a mark when within `reach`, otherwise on an inch or a centimetre. */
function settle(value: number, marks: readonly number[], reach: number, show: Show): number {
  const mark = nearest(marks, value);
  if (mark !== null && Math.abs(mark - value) <= reach) return mark;
  const grid = show === 'mm' ? 10 : 25.4;
  return Math.round(value / grid) * grid;
}

/**
 * The edit that moves a part of an opening by `dx`, `dy` mm (y up). Jambs settle on the bond, sills and heads on
 * the courses, within `reach` mm. Places are turned back into what the job states (nominal lengths hold a joint).
 */
export function openingEdit(
  view: BenchView,
  o: BenchOpening,
  part: Part,
  dx: number,
  dy: number,
  reach: number,
  show: Show,
): PatchStep[] {
  const path = `/walls/${view.wall.index}/openings/${o.index}`;
  const off = view.wall.nominal ? view.wall.head : 0;
  const tops = [0, ...view.marks.map((m) => m.top)];
  const write = (mm: number): string | number => writeLength(millimetres(Math.round(mm * 1000) / 1000), show);
  const set = (key: string, mm: number): PatchStep => ({
    op: 'replace',
    path: `${path}/${key}`,
    value: write(mm),
  });
  const lefts = view.jambs.map((j) => j + off);
  const rights = view.jambs.map((j) => j + view.wall.head);
  const at = o.from + off;
  if (part === 'body') {
    const edits = [set('at', Math.max(0, settle(at + dx, lefts, reach, show)))];
    return edits;
  }
  if (part === 'left') {
    const to = settle(at + dx, lefts, reach, show);
    return [set('at', Math.max(0, to)), set('width', o.to - Math.max(0, to))];
  }
  if (part === 'right') return [set('width', settle(o.to + dx, rights, reach, show) - at)];
  if (part === 'head') return [set('head', settle(o.head + dy, tops, reach, show))];
  return [set('sill', Math.max(0, settle(o.sill + dy, tops, reach, show)))];
}
