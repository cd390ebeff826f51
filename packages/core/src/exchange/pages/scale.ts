import type { Mm } from '../../measure/length.js';
import { FOOT, INCH } from '../../measure/length.js';
import { showMm, type Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { PAPER_PIXEL } from '../../scene/theme.js';
import { rect, words, type SceneShape } from '../../shapes/shape.js';
import { SHEET } from '../../stages/paperMessages.js';
import type { Flow } from './flow.js';

/** Scales a rule is made for, one to so many: in metres, and as parts of an inch to the foot (3 in is 1 : 4). Common practice. */
const RATIOS: Record<Show, readonly number[]> = {
  mm: [1, 2, 5, 10, 15, 20, 25, 30, 40, 50, 60, 75, 100, 125, 150, 200, 250, 300, 400, 500, 750, 1000],
  'ft-in': [1, 2, 4, 6, 8, 12, 16, 24, 32, 48, 64, 96, 128, 192, 256, 384, 512, 768, 1024],
};

/** The same as millimetres of paper to one of the wall, the largest first. */
export const scalesOf = (show: Show): number[] => RATIOS[show].map((r) => 1 / r);

/** The largest scale of a rule that is no larger than what there is room for: millimetres of paper to one of the wall. */
export function ruledScale(most: number, show: Show): number {
  return scalesOf(show).find((s) => s <= most + 1e-12) ?? most;
}

/** Lengths a bar may stand for, and how long it is on paper at most, mm. */
const BARS: Record<Show, readonly Mm[]> = {
  mm: [50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000, 50000],
  'ft-in': [
    3 * INCH,
    6 * INCH,
    FOOT,
    2 * FOOT,
    4 * FOOT,
    8 * FOOT,
    16 * FOOT,
    32 * FOOT,
    64 * FOOT,
    128 * FOOT,
  ],
};
const LONGEST = 42;
const HIGH = 1.6;
/** Words beside it, mm. */
const GAP = 2;

/** A bar by which a drawing is measured whatever a copier did to it, its right end at `right`, its foot `down` the page. */
export function scaleBar(
  flow: Flow,
  scale: number,
  { show, say, right, down }: { show: Show; say: Say; right: Mm; down: Mm },
): void {
  const stands = [...BARS[show]].reverse().find((b) => b * scale <= LONGEST) ?? Math.min(...BARS[show]);
  const long = stands * scale;
  const text = 12 * PAPER_PIXEL;
  const x = right - long;
  const half = long / 2;
  const shapes: SceneShape<string>[] = [
    rect('scale-dark', x, -down, half, HIGH),
    rect('scale-light', x + half, -down, half, HIGH),
    words('scale-name', x, -(down - HIGH - 0.6), '0', 'middle'),
    words('scale-name', right, -(down - HIGH - 0.6), showMm(stands, show), 'middle'),
  ];
  const ratio = Math.round(1 / scale);
  // What is drawn by no scale of a rule has the bar alone.
  if (Math.abs(ratio * scale - 1) < 1e-9)
    shapes.push(words('scale-name', x - GAP - text, -down, say(SHEET.scale({ ratio })), 'end'));
  flow.put(...shapes);
}
