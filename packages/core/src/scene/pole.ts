import type { Said } from '../messages/message.js';
import { SAYS } from '../stages/gauge/messages.js';
import { SAME_PLACE, type Mm } from '../measure/length.js';
import { showMm, type Show } from '../measure/format.js';
import { bedLimits, gaugeSlack } from '../stages/gauge/courses.js';
import type { WallWork } from '../plan/work.js';
import { line, rect, words, type SceneShape } from '../shapes/shape.js';
import type { Scene } from './scene.js';

export interface PoleMark {
  course: number;
  /** Cumulative, by multiplication, mm. */
  top: Mm;
  bed: Mm;
  /** How the bed stands to its target and limits. */
  state: 'target' | 'tight' | 'open' | 'out';
}

export interface PoleFlag {
  name: Said;
  at: Mm;
  /** Whether it stands on a course mark, as near as it was asked to. */
  onMark: boolean;
  must: boolean;
  /** The mark nearest to it, 0 the base, and how far over it this stands, mm; below it less than nothing. */
  course: number;
  over: Mm;
  /** Places in the document that hold it, so that it can be moved: all of them together. */
  paths: string[];
}

/** The marks of the story pole. */
export function poleMarks(work: WallWork): PoleMark[] {
  const limits = bedLimits(work.wall);
  return work.gauge.courses.map((c) => {
    const [least, most] =
      c.number === 1 ? [limits.firstLeast, limits.firstMost] : [limits.least, limits.most];
    const off = c.bed - work.wall.bed;
    const out = c.bed < least - SAME_PLACE || c.bed > most + SAME_PLACE;
    const state = out ? 'out' : Math.abs(off) < 0.2 ? 'target' : off < 0 ? 'tight' : 'open';
    return { course: c.number, top: c.top, bed: c.bed, state };
  });
}

const HEAD = SAYS['head-of']({ name: '' }).code;

/** Fixed heights of a run: its top, and the sills and heads of its openings, those at one height together. */
export function poleFlags(work: WallWork, run: number): PoleFlag[] {
  const { wall } = work;
  const marks = [0, ...work.gauge.courses.map((c) => c.top)];
  const flags: (Omit<PoleFlag, 'name' | 'onMark' | 'course' | 'over'> & {
    names: Said[];
    tolerance: number;
  })[] = [];
  const add = (height: number, name: Said, path: string, must: boolean, tolerance: number): void => {
    const same = flags.find((f) => Math.abs(f.at - height) < 1);
    if (!same) return void flags.push({ at: height, names: [name], paths: [path], must, tolerance });
    same.names.push(name);
    same.paths.push(path);
    same.must ||= must;
    same.tolerance = Math.min(same.tolerance, tolerance);
  };
  const base = `/walls/${wall.index}`;
  add(wall.height, SAYS.top(), `${base}/height`, true, 0);
  for (const o of wall.openings.filter((one) => one.run === run)) {
    const path = `${base}/openings/${o.index}`;
    if (o.sill > 0) add(o.sill, SAYS['sill-of']({ name: o.name }), `${path}/sill`, o.must, o.tolerance);
    add(o.head, SAYS['head-of']({ name: o.name }), `${path}/head`, o.must, o.tolerance);
  }
  for (const h of wall.heights) add(h.at, h.name, `${base}/heights/${h.index}/at`, h.must, h.tolerance);
  const isHead = (name: Said): boolean => typeof name !== 'string' && name.code === HEAD;
  const together = (names: Said[]): Said => {
    const [only] = names;
    if (names.length === 1 && only !== undefined) return only;
    return names.every(isHead) ? SAYS.heads() : SAYS.flags({ names });
  };
  const slack = gaugeSlack(wall) + SAME_PLACE;
  return flags.map(({ names, tolerance, ...f }) => {
    const course = marks.reduce(
      (best, m, i) => (Math.abs(m - f.at) < Math.abs((marks[best] ?? 0) - f.at) ? i : best),
      0,
    );
    const over = f.at - (marks[course] ?? 0);
    return {
      ...f,
      name: together(names),
      onMark: Math.abs(over) <= Math.max(slack, tolerance),
      course,
      over,
    };
  });
}

/** What a pole is drawn from. */
export interface PoleOf {
  marks: readonly PoleMark[];
  courses: readonly { bottom: Mm; top: Mm; bed: Mm }[];
  /** The height that is wanted, mm. */
  height: Mm;
  /** Unit and bed, mm. */
  pitch: Mm;
  /** What a bed is meant to be, and may be at least and at most, mm. */
  bed: Mm;
  bedLimits: readonly [Mm, Mm];
  /** A course of the old work this wall meets, where it was measured, mm: both gauges stand on one pole. */
  oldPitch?: Mm | null;
}

export const poleOf = (work: WallWork): PoleOf => ({
  marks: poleMarks(work),
  courses: work.gauge.courses,
  height: work.wall.height,
  pitch: work.wall.unitHeight + work.wall.bed,
  bed: work.wall.bed,
  bedLimits: [bedLimits(work.wall).least, bedLimits(work.wall).most],
  oldPitch: work.survey.oldPitch,
});

/** How large a pole is drawn: across, and millimetres to a pixel of the medium; and the course that is being laid, where one is. */
export interface PoleDrawn {
  show: Show;
  wide: Mm;
  px: Mm;
  live: number | null;
}

/** Pixels: heights stand so far apart, a figure so far from another course's, and a course that holds its own figure is so high. */
const FIGURE = 15;
const CLEAR = 14;
const ROOMY = 13;
/** Marks nearer than this run into one another: then only the figured ones are drawn. */
const FINE = 4;
/** From the staff to its heights, pixels. */
const BESIDE = 6;
/** A bed off its target is never thinner than can be seen. */
const BED = 2.5;
/** Where across the staff the old work's marks begin. */
const OLD = 0.8;
const BED_SIGN = { target: '', tight: '−', open: '+', out: '!' } as const;
const ROUND = [1, 2, 3, 4, 5, 6, 8, 10, 12, 20, 25, 50, 100];

/**
 * The staff with its marks, numbers, heights, and beds off their target, its left edge at 0. A figure that would lie on that of the live
 * course, or of the top, stands back.
 */
export function poleShapes(pole: PoleOf, { show, wide, px, live }: PoleDrawn): SceneShape[] {
  const { marks, courses, pitch, oldPitch = null } = pole;
  const top = Math.max(pole.height, marks.at(-1)?.top ?? 0);
  const every = ROUND.find((n) => n * pitch >= FIGURE * px) ?? 200;
  const roomy = pitch >= ROOMY * px;
  const liveTop = live === null ? undefined : courses[live - 1]?.top;
  const shapes: SceneShape[] = [rect('pole', 0, 0, wide, top)];
  for (const m of marks) {
    const c = courses[m.course - 1];
    if (!c) continue;
    const isLive = m.course === live;
    const last = m.course === marks.length;
    const clear = (other: number | undefined): boolean =>
      other === undefined || Math.abs(other - m.top) >= CLEAR * px;
    const figured =
      isLive ||
      (last && clear(liveTop)) ||
      (m.course % every === 0 && clear(liveTop) && clear(marks.at(-1)?.top));
    if (isLive) shapes.push(rect('pole-live', 0, c.bottom, wide, c.top - c.bottom));
    if (m.state !== 'target')
      shapes.push(rect(`bed-${m.state}`, 0, c.bottom, wide, Math.max(BED * px, c.bed)));
    if (pitch >= FINE * px || m.course % every === 0 || last || isLive)
      shapes.push(line('pole-mark', 0, m.top, wide, m.top));
    const middle = (c.bottom + c.top) / 2;
    // In a course lower than its figure the marks stop short of it.
    if (roomy || figured) {
      const role = isLive ? 'pole-number-live' : roomy ? 'pole-number' : 'pole-number-low';
      shapes.push(words(role, wide / 2, middle, `${m.course}${roomy ? BED_SIGN[m.state] : ''}`, 'middle'));
    }
    if (figured) shapes.push(words('pole-height', -BESIDE * px, m.top, showMm(m.top, show), 'end'));
  }
  // The old work's courses at the right edge, clear of the numbers, as far as they can be told apart.
  if (oldPitch !== null && oldPitch >= FINE * px)
    for (let n = 1; n * oldPitch <= top + SAME_PLACE; n++)
      shapes.push(line('pole-old', OLD * wide, n * oldPitch, wide, n * oldPitch));
  return shapes;
}

/** The story pole of a run as a picture of its own, with the names of its fixed heights beside it. */
export function poleScene(work: WallWork, run: number, drawn: Omit<PoleDrawn, 'live'>): Scene {
  const pole = poleOf(work);
  const flags = poleFlags(work, run).map((f) =>
    words('pole-flag', drawn.wide + BESIDE * drawn.px, f.at, f.name, 'start'),
  );
  const top = Math.max(pole.height, pole.marks.at(-1)?.top ?? 0);
  return {
    box: { x: 0, y: 0, w: drawn.wide, h: top },
    pieces: null,
    shapes: [...poleShapes(pole, { ...drawn, live: null }), ...flags],
  };
}
