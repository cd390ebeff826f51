import {
  cornersOf,
  heightsOf,
  isUnit,
  fillOf,
  THEME,
  pieceInk,
  type CourseColumns,
  type Ink,
  type Scene,
} from '@even-tally/core';

/** Where the wall's base stands on a canvas, in CSS pixels, and how many pixels a millimetre is. */
export interface Placing {
  width: number;
  height: number;
  scale: number;
  left: number;
  base: number;
}

type Inks = Record<Ink, string>;

interface How {
  inks: Inks;
  /** Small drawings leave out cuts' strokes and fine lines. */
  lite?: boolean;
  /** Units stand back behind what is lit over them. */
  quiet?: boolean;
  /** How a length is said on a unit that is near enough to be read; left out, none is. */
  lengths?: (mm: number) => string;
}

/** Sets a canvas to device pixels and clears it. Null where there is no drawing (tests without a canvas). */
function prepare(canvas: HTMLCanvasElement, width: number, height: number): CanvasRenderingContext2D | null {
  const ratio = Math.min(3, globalThis.devicePixelRatio || 1);
  const [w, h] = [Math.round(width * ratio), Math.round(height * ratio)];
  if (canvas.width !== w) canvas.width = w;
  if (canvas.height !== h) canvas.height = h;
  const g = canvas.getContext('2d');
  g?.setTransform(ratio, 0, 0, ratio, 0, 0);
  g?.clearRect(0, 0, width, height);
  return g;
}

/** A piece that is no rectangle: its corners, x and y by turns, mm. */
function polygon(path: Path2D, corners: Float64Array, at: Placing): void {
  for (let k = 0; k < corners.length; k += 2) {
    const [x, y] = [at.left + (corners[k] ?? 0) * at.scale, at.base - (corners[k + 1] ?? 0) * at.scale];
    if (k === 0) path.moveTo(x, y);
    else path.lineTo(x, y);
  }
  path.closePath();
}

/** How much of a unit's ink is left where something else is looked at. */
const QUIET = 0.4;
/** Courses lower than this on the screen are drawn as tone, px. */
const FINEST = 2.6;

/** What of the wall the canvas shows, mm. */
const seenOf = (at: Placing): { from: number; to: number; bottom: number; top: number } => ({
  from: -at.left / at.scale,
  to: (at.width - at.left) / at.scale,
  bottom: (at.base - at.height) / at.scale,
  top: at.base / at.scale,
});

/** Units so wide and high on the screen bear their length, px. */
const READ_WIDE = 58;
const READ_HIGH = 20;

/** Held near, every unit that can be read says how long it is. */
function paintLengths(
  g: CanvasRenderingContext2D,
  courses: readonly CourseColumns[],
  at: Placing,
  how: How,
): void {
  const { inks, lengths } = how;
  if (!lengths) return;
  const seen = seenOf(at);
  g.fillStyle = inks.ink;
  g.textAlign = 'center';
  g.textBaseline = 'middle';
  g.font = "12px 'IBM Plex Mono', monospace";
  for (const c of courses) {
    const stands = heightsOf(c);
    if (stands.bottom > seen.top || stands.top < seen.bottom) continue;
    for (let i = 0; i < c.count; i++) {
      const [from, to] = [c.from[i] ?? 0, c.to[i] ?? 0];
      const [bottom, top] = [c.bottom[i] ?? 0, c.top[i] ?? 0];
      if (to < seen.from || from > seen.to || !isUnit(c.kind[i])) continue;
      if ((top - bottom) * at.scale < READ_HIGH) continue;
      const says = lengths(to - from);
      if ((to - from) * at.scale < Math.max(READ_WIDE, says.length * 8)) continue;
      g.fillText(says, at.left + ((from + to) / 2) * at.scale, at.base - ((bottom + top) / 2) * at.scale);
    }
  }
}

/** The pieces of courses, grouped by how they are filled: one path a colour, so that thousands cost little. */
function paintPieces(
  g: CanvasRenderingContext2D,
  courses: readonly CourseColumns[],
  at: Placing,
  inks: Inks,
  { lite = false, quiet = false }: Pick<How, 'lite' | 'quiet'>,
  within: { from: number; to: number } = { from: -Infinity, to: Infinity },
  seen: { from: number; to: number; bottom: number; top: number } = seenOf(at),
): void {
  const paths = new Map<string, Path2D>();
  const strokes = new Path2D();
  const gap = at.scale * 9 > 1.5 ? 0 : 0.35;
  const high = (courses[0]?.top[0] ?? 0) - (courses[0]?.bottom[0] ?? 0);
  // Seen from afar courses are tone: their joints would be finer than a pixel.
  const tone = high * at.scale < FINEST;
  for (const c of courses) {
    const stands = heightsOf(c);
    if (stands.bottom > seen.top + high || stands.top < seen.bottom - high) continue;
    for (let i = 0; i < c.count; i++) {
      if ((c.to[i] ?? 0) < within.from - 40 || (c.from[i] ?? 0) > within.to + 40) continue;
      if ((c.to[i] ?? 0) < seen.from || (c.from[i] ?? 0) > seen.to) continue;
      const kind = c.kind[i] ?? 0;
      const fill = inks[pieceInk(kind)];
      let path = paths.get(fill);
      if (!path) paths.set(fill, (path = new Path2D()));
      const x = at.left + (c.from[i] ?? 0) * at.scale;
      const w = ((c.to[i] ?? 0) - (c.from[i] ?? 0)) * at.scale;
      const y = at.base - (c.top[i] ?? 0) * at.scale;
      const h = ((c.top[i] ?? 0) - (c.bottom[i] ?? 0)) * at.scale;
      const corners = cornersOf(c, i);
      if (corners) polygon(path, corners, at);
      else path.rect(x + gap, y + gap, Math.max(0.5, w - 2 * gap), Math.max(0.5, h - 2 * gap));
      if (c.sawn[i] === 1 && !lite) {
        strokes.moveTo(x, y + h);
        strokes.lineTo(x + w, y);
      }
    }
  }
  g.globalAlpha = quiet ? QUIET : 1;
  g.lineWidth = lite ? 0.4 : 0.8;
  g.strokeStyle = inks['mortar-line'];
  for (const [fill, path] of paths) {
    g.fillStyle = fill;
    g.fill(path);
    if (!tone && (!lite || at.scale > 0.03)) g.stroke(path);
  }
  g.lineWidth = 1;
  g.strokeStyle = inks.saw;
  g.stroke(strokes);
  g.globalAlpha = 1;
}

/** What a canvas last showed, so that a drag repaints only the courses that changed. */
interface Painted {
  courses: readonly CourseColumns[];
  placing: string;
  outline: string;
}
const painted = new WeakMap<HTMLCanvasElement, Painted>();

interface Strip {
  /** Courses it takes in, by place. */
  low: number;
  high: number;
  /** From where to where along the wall they differ, and how high they lie, mm. */
  from: number;
  to: number;
  bottom: number;
  top: number;
}

/** Where along the wall two courses differ: what is the same from both ends stays. */
function changedSpan(was: CourseColumns, now: CourseColumns): { from: number; to: number } | null {
  const alike = (i: number, j: number): boolean =>
    was.from[i] === now.from[j] &&
    was.to[i] === now.to[j] &&
    was.bottom[i] === now.bottom[j] &&
    was.top[i] === now.top[j] &&
    was.kind[i] === now.kind[j] &&
    was.sawn[i] === now.sawn[j];
  let first = 0;
  let [i, j] = [was.count, now.count];
  while (first < i && first < j && alike(first, first)) first += 1;
  while (i > first && j > first && alike(i - 1, j - 1)) [i, j] = [i - 1, j - 1];
  // What is no rectangle may differ in its corners alone.
  if (was.points.length > 0 || now.points.length > 0)
    return {
      from: Math.min(...[was, now].map((c) => c.from.reduce((a, b) => Math.min(a, b), Infinity))),
      to: Math.max(...[was, now].map((c) => c.to.reduce((a, b) => Math.max(a, b), -Infinity))),
    };
  if (i === first && j === first) return null;
  return {
    from: Math.min(
      i > first ? (was.from[first] ?? 0) : Infinity,
      j > first ? (now.from[first] ?? 0) : Infinity,
    ),
    to: Math.max(i > first ? (was.to[i - 1] ?? 0) : -Infinity, j > first ? (now.to[j - 1] ?? 0) : -Infinity),
  };
}

/** Takes a course's height into a strip's. */
function reach(strip: Strip, { count, bottom, top }: CourseColumns): void {
  for (let i = 0; i < count; i++) {
    if ((bottom[i] ?? 0) < strip.bottom) strip.bottom = bottom[i] ?? 0;
    if ((top[i] ?? 0) > strip.top) strip.top = top[i] ?? 0;
  }
}

/** The courses in which two paintings differ, joined where they lie together. Null when they are not alike at all. */
function changedStrips(was: readonly CourseColumns[], now: readonly CourseColumns[]): Strip[] | null {
  if (was.length !== now.length) return null;
  const strips: Strip[] = [];
  now.forEach((course, k) => {
    const before = was[k];
    // A course that has not changed is the very same object: it did not cross over again.
    if (before === course || !before) return;
    const span = changedSpan(before, course);
    if (!span) return;
    let strip = strips.at(-1);
    if (strip?.high === k - 1) {
      strip.high = k;
      strip.from = Math.min(strip.from, span.from);
      strip.to = Math.max(strip.to, span.to);
    } else strips.push((strip = { low: k, high: k, ...span, bottom: Infinity, top: -Infinity }));
    reach(strip, before);
    reach(strip, course);
  });
  return strips;
}

/** Repaints what changed of the courses that changed, with their neighbours for the joints between. False when all must be. */
function repaintStrips(
  g: CanvasRenderingContext2D,
  was: readonly CourseColumns[],
  now: readonly CourseColumns[],
  scene: Scene,
  at: Placing,
  how: How,
): boolean {
  const { inks } = how;
  const strips = changedStrips(was, now);
  if (!strips) return false;
  if (strips.reduce((sum, s) => sum + s.high - s.low + 3, 0) > now.length * 0.6) return false;
  for (const s of strips) {
    const top = Math.floor(at.base - s.top * at.scale);
    const foot = Math.ceil(at.base - s.bottom * at.scale);
    // Whole pixels, or the edge of what is repainted would show.
    const left = Math.floor(at.left + s.from * at.scale) - 2;
    const right = Math.ceil(at.left + s.to * at.scale) + 2;
    g.save();
    g.beginPath();
    g.rect(left, top - 1, right - left, foot - top + 2);
    g.clip();
    g.clearRect(left, top - 1, right - left, foot - top + 2);
    const part = now.slice(Math.max(0, s.low - 1), s.high + 2);
    paintPieces(g, part, at, inks, how, s);
    paintOutline(g, scene, at, inks);
    paintLengths(g, part, at, how);
    g.restore();
  }
  return true;
}

/** The elevation on a canvas: ground, footing, mortar, pieces. Words and handles lie over it as SVG. */
export function paintElevation(canvas: HTMLCanvasElement, scene: Scene, at: Placing, how: How): void {
  const { inks, lite = false, quiet = false } = how;
  const ratio = globalThis.devicePixelRatio || 1;
  const placing = [at.width, at.height, at.scale, at.left, at.base, ratio, lite, quiet, inks.ink].join();
  const outline = outlineKey(scene);
  const courses = scene.pieces;
  const before = painted.get(canvas);
  if (before?.placing === placing && before.outline === outline && courses) {
    const g = canvas.getContext('2d');
    if (g && repaintStrips(g, before.courses, courses, scene, at, how)) {
      painted.set(canvas, { courses, placing, outline });
      return;
    }
  }
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
  paintGround(g, scene, at, inks);
  if (!courses) return;
  paintPieces(g, courses, at, inks, how);
  paintOutline(g, scene, at, inks);
  paintLengths(g, courses, at, how);
  painted.set(canvas, { courses, placing, outline });
}

const outlineKey = (scene: Scene): string =>
  JSON.stringify(scene.shapes.filter((s) => s.role === 'sky' || s.role === 'footing'));

/** What stands above a top that is not level is taken off the canvas again, and the cut drawn in ink. */
function paintOutline(g: CanvasRenderingContext2D, scene: Scene, at: Placing, inks: Inks): void {
  for (const s of scene.shapes) {
    if (s.type !== 'shape' || s.role !== 'sky') continue;
    const path = new Path2D();
    s.points.forEach(([x, y], i) => {
      const [px, py] = [at.left + x * at.scale, at.base - y * at.scale];
      if (i === 0) path.moveTo(px, py);
      else path.lineTo(px, py);
    });
    path.closePath();
    g.save();
    g.globalCompositeOperation = 'destination-out';
    g.fill(path);
    g.restore();
    const cut = new Path2D();
    s.points.slice(1, -1).forEach(([x, y], i) => {
      const [px, py] = [at.left + x * at.scale, at.base - y * at.scale];
      if (i === 0) cut.moveTo(px, py);
      else cut.lineTo(px, py);
    });
    g.lineWidth = THEME.sky?.weight ?? 1;
    g.strokeStyle = inks.ink;
    g.stroke(cut);
  }
}

function paintGround(g: CanvasRenderingContext2D, scene: Scene, at: Placing, inks: Inks): void {
  const box = (x: number, y: number, w: number, h: number): [number, number, number, number] => [
    at.left + x * at.scale,
    at.base - (y + h) * at.scale,
    w * at.scale,
    h * at.scale,
  ];
  for (const s of scene.shapes) {
    if (s.type !== 'rect' || (s.role !== 'ground' && s.role !== 'footing')) continue;
    if (s.role === 'ground') {
      g.fillStyle = inks.soil;
      const [, y, , h] = box(s.x, s.y, s.w, s.h);
      g.fillRect(0, y, at.width, Math.min(Math.max(h, 20), 34));
    } else {
      g.fillStyle = inks.concrete;
      g.strokeStyle = inks['concrete-edge'];
      const [x, y, w, h] = box(s.x, s.y, s.w, s.h);
      // Below the base no more than a strip of it; a step stands as high as it is.
      const deep = s.y < 0 ? Math.min(h, 26) : h;
      g.fillRect(x, y, w, deep);
      g.strokeRect(x, y, w, deep);
    }
  }
}

/** One course from above, cells open. */
export function paintCourse(canvas: HTMLCanvasElement, scene: Scene, at: Placing, inks: Inks): void {
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
  for (const s of scene.shapes) {
    const look = THEME[s.role];
    if (s.type !== 'rect' || !look) continue;
    g.lineWidth = look.weight ?? 1;
    g.strokeStyle = inks[look.ink ?? 'mortar-line'];
    g.fillStyle = inks[fillOf(s) ?? 'unit'];
    const y = at.base - (s.y + s.h) * at.scale;
    g.fillRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
    g.strokeRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
  }
}
