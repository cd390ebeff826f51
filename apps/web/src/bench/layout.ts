import type { BenchView } from '@even-tally/core';

/** Where everything stands on the sheet, in CSS pixels. Pole, elevation and tape share scale and base. */
export interface Layout {
  width: number;
  height: number;
  scale: number;
  left: number;
  base: number;
  tapeTop: number;
  planTop: number;
  planHigh: number;
}

/** What stands over the paper takes one row, or two on a phone. */
const ABOVE = 66;
const ABOVE_NARROW = 124;
const NARROW = 640;
const BESIDE = 46;
const FOOTING = 46;
const TAPE = 40;

/** The layout it was before when nothing in it has moved: what hangs on it then need not be drawn again. */
export const sameLayout = (was: Layout | null, now: Layout): Layout =>
  was && (Object.keys(now) as (keyof Layout)[]).every((k) => was[k] === now[k]) ? was : now;

/** Of most walls of stone no piece is known by its place: there are no two courses to lay out. */
export const isLaidInCourses = ({ stone }: Pick<BenchView, 'stone'>): boolean =>
  stone === null || stone.kind === 'ashlar';

/** Fits a run into the space there is, as large as it goes, set low so that tape and courses lie under it. */
export function layOut(view: BenchView, width: number, height: number): Layout {
  const { x, w, h } = view.elevation.box;
  const thick = view.odd.box.h;
  const above = width < NARROW ? ABOVE_NARROW : ABOVE;
  const across = Math.max(50, width - 2 * BESIDE) / w;
  const planAt = (scale: number): number =>
    Math.min(
      34 * Math.ceil(thick / view.wall.thickness) + (view.wall.wythes - 1) * 30,
      Math.max(18, thick * scale),
    );
  const strips = isLaidInCourses(view) ? 2 : 0;
  const under = (scale: number): number => FOOTING + TAPE + strips * (planAt(scale) + 12) + 14;
  let scale = across;
  for (let i = 0; i < 3; i++) scale = Math.min(across, Math.max(20, height - above - under(scale)) / h);
  const spare = Math.max(0, height - above - under(scale) - h * scale);
  const base = above + h * scale + spare * 0.5;
  const tapeTop = base + FOOTING;
  return {
    width,
    height,
    scale,
    left: (width - w * scale) / 2 - x * scale,
    base,
    tapeTop,
    planTop: tapeTop + TAPE,
    planHigh: planAt(scale),
  };
}
