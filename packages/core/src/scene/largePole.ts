import { showMm, type Show } from '../measure/format.js';
import { SAME_PLACE, type Mm } from '../measure/length.js';
import { line, mark, rect, words, type SceneShape } from '../shapes/shape.js';
import { poleShapes, type PoleMark, type PoleOf } from './pole.js';

/** How a pole is brought forward: millimetres to a pixel of the medium, and how much of it stands across, px. */
export interface LargeDrawn {
  show: Show;
  px: Mm;
  staff: number;
  /** From the staff's right edge to the beds written out, to the scale they stand on, and that scale's width; none where it is 0. */
  named: number;
  scale: number;
  wide: number;
  live: number | null;
}

/** Beds nearer than this on the medium are written where they change, not each, px. */
const LINE = 15;
/** Past the limits there is so much scale left, as a share of what lies between them. */
const BEYOND = 0.35;
/** Over the top course stand the heads of the scale, px. */
const HEAD = 16;

/** Where a bed stands on its scale, 0 to 1: what is past its ends stands at them. */
function along(bed: Mm, { bedLimits: [least, most], bed: target }: PoleOf): number {
  const room = Math.max(most - least, target / 4) * BEYOND;
  return Math.min(1, Math.max(0, (bed - least + room) / (most - least + 2 * room)));
}

/** Beds that are written: each where there is room for it, else the first of every stretch alike, and the lowest. */
function written(marks: readonly PoleMark[], courses: PoleOf['courses'], clear: Mm): Set<number> {
  const out = new Set<number>();
  let last = -Infinity;
  marks.forEach((m, i) => {
    const c = courses[i];
    const before = marks[i - 1];
    if (!c) return;
    const changes = !before || Math.abs(before.bed - m.bed) > SAME_PLACE * 10;
    const roomy = c.top - c.bottom >= clear;
    if ((roomy || changes) && c.bottom - last >= clear) {
      out.add(m.course);
      last = c.bottom;
    }
  });
  return out;
}

const DOT = { target: 'bed-at', tight: 'bed-at-off', open: 'bed-at-off', out: 'bed-at-out' } as const;

/**
 * The pole large, its staff's left edge at 0: numbers and heights as on the small one, and beside it every bed with its
 * thickness, on a scale from the least to the most it may be.
 */
export function largePoleShapes(pole: PoleOf, drawn: LargeDrawn): SceneShape[] {
  const { marks, courses, bedLimits, bed: target } = pole;
  const { show, px, staff, named, scale, wide, live } = drawn;
  const shapes = poleShapes(pole, { show, wide: staff * px, px, live });
  const at = (bed: Mm): Mm => (staff + scale + wide * along(bed, pole)) * px;
  const top = Math.max(pole.height, marks.at(-1)?.top ?? 0);
  if (wide > 0)
    for (const [role, bed] of [
      ['bed-limit', bedLimits[0]],
      ['bed-target', target],
      ['bed-limit', bedLimits[1]],
    ] as const) {
      shapes.push(line(role, at(bed), 0, at(bed), top + (HEAD / 2) * px));
      shapes.push(words('bed-scale', at(bed), top + HEAD * px, showMm(bed, show), 'middle'));
    }
  const says = written(marks, courses, LINE * px);
  for (const m of marks) {
    const c = courses[m.course - 1];
    if (!c) continue;
    const middle = c.bottom + m.bed / 2;
    if (says.has(m.course))
      shapes.push(words('bed-name', (staff + named) * px, middle, showMm(m.bed, show), 'start'));
    if (wide === 0) continue;
    const [from, to] = [Math.min(at(target), at(m.bed)), Math.max(at(target), at(m.bed))];
    if (m.state !== 'target') shapes.push(rect(`bed-${m.state}`, from, middle - 1.5 * px, to - from, 3 * px));
    shapes.push(mark(DOT[m.state], at(m.bed), middle));
  }
  return shapes;
}
