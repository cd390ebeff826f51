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
  const flags: (Omit<PoleFlag, 'name' | 'onMark'> & { names: Said[]; tolerance: number })[] = [];
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
  return flags.map(({ names, tolerance, ...f }) => ({
    ...f,
    name: together(names),
    onMark: marks.some((m) => Math.abs(m - f.at) <= Math.max(slack, tolerance)),
  }));
}

/**
 * The story pole as a picture of its own, `wide` mm across: numbers, cumulative heights, fixed heights. Figures stand no nearer to one another
 * than `room`, mm: where courses are lower only every second, fifth … has its own.
 */
export function poleScene(work: WallWork, run: number, show: Show, wide = 100, room = 0): Scene {
  const marks = poleMarks(work);
  const top = Math.max(work.wall.height, marks.at(-1)?.top ?? 0);
  const shapes: SceneShape[] = [rect('pole', 0, 0, wide, top)];
  const pitch = work.wall.unitHeight + work.wall.bed;
  const every = [1, 2, 4, 5, 10, 20, 50].find((n) => n * pitch >= room) ?? 100;
  for (const m of marks) {
    const c = work.gauge.courses[m.course - 1];
    shapes.push(line('pole-mark', 0, m.top, wide, m.top));
    const figured = m.course % every === 0;
    if (figured) shapes.push(words('pole-height', -wide / 10, m.top, showMm(m.top, show), 'end'));
    if (c && figured)
      shapes.push(words('pole-number', wide / 2, (c.bottom + c.top) / 2, String(m.course), 'middle'));
    if (m.state !== 'target' && c) shapes.push(rect(`bed-${m.state}`, 0, c.bottom, wide, c.bed));
  }
  for (const f of poleFlags(work, run)) shapes.push(words('pole-flag', wide * 1.1, f.at, f.name, 'start'));
  return { box: { x: 0, y: 0, w: wide, h: top }, pieces: null, shapes };
}
