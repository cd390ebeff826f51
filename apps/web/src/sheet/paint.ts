import { KINDS, SHOWN, type Kind, type PieceColumns, type Scene } from '@even-tally/core';

/** Where the wall's base stands on a canvas, in CSS pixels, and how many pixels a millimetre is. */
export interface Placing {
  width: number;
  height: number;
  scale: number;
  left: number;
  base: number;
}

interface Inks {
  /** Course number to light up, or null. */
  live: number | null;
  /** Small drawings leave out cuts' strokes and fine lines. */
  lite?: boolean;
}

const INK = '#6b665b';
const FILLS: Partial<Record<Kind, string>> = {
  header: '#b9b4a4',
  half: '#ddcfa8',
  'three-quarter': '#e0c391',
  closer: '#e0c391',
  cut: '#e2b788',
  beam: '#9fa9a7',
  corner: '#c0bcae',
  jamb: '#cbc6b6',
};
const PLAIN = '#c9c5b8';
const SHOWN_FILL = '#b3ae9f';

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

/** Pieces `first` up to `end` that lie `within`, grouped by how they are filled: one path a colour, so that thousands cost little. */
function paintPieces(
  g: CanvasRenderingContext2D,
  c: PieceColumns,
  at: Placing,
  lite: boolean,
  first = 0,
  end = c.count,
  within: { from: number; to: number } = { from: -Infinity, to: Infinity },
): void {
  const paths = new Map<string, Path2D>();
  const strokes = new Path2D();
  const gap = at.scale * 9 > 1.5 ? 0 : 0.35;
  for (let i = first; i < end; i++) {
    if ((c.to[i] ?? 0) < within.from - 40 || (c.from[i] ?? 0) > within.to + 40) continue;
    const kind = c.kind[i] ?? 0;
    const fill = kind === SHOWN ? SHOWN_FILL : (FILLS[KINDS[kind] ?? 'stretcher'] ?? PLAIN);
    let path = paths.get(fill);
    if (!path) paths.set(fill, (path = new Path2D()));
    const x = at.left + (c.from[i] ?? 0) * at.scale;
    const w = ((c.to[i] ?? 0) - (c.from[i] ?? 0)) * at.scale;
    const y = at.base - (c.top[i] ?? 0) * at.scale;
    const h = ((c.top[i] ?? 0) - (c.bottom[i] ?? 0)) * at.scale;
    path.rect(x + gap, y + gap, Math.max(0.5, w - 2 * gap), Math.max(0.5, h - 2 * gap));
    if (c.sawn[i] === 1 && !lite) {
      strokes.moveTo(x, y + h);
      strokes.lineTo(x + w, y);
    }
  }
  g.lineWidth = lite ? 0.4 : 0.8;
  g.strokeStyle = INK;
  for (const [fill, path] of paths) {
    g.fillStyle = fill;
    g.fill(path);
    if (!lite || at.scale > 0.03) g.stroke(path);
  }
  g.lineWidth = 1;
  g.strokeStyle = '#7a5a2e';
  g.stroke(strokes);
}

/** What a canvas last showed, so that a drag repaints only the courses that changed. */
interface Painted {
  pieces: PieceColumns;
  placing: string;
  outline: string;
}
const painted = new WeakMap<HTMLCanvasElement, Painted>();

interface Strip {
  /** Courses it takes in, and their pieces by place in the columns, one course more on either side. */
  low: number;
  high: number;
  first: number;
  end: number;
  /** From where to where along the wall they differ, mm. */
  from: number;
  to: number;
}

/** Where each course's pieces begin; one more at the end. Pieces stand course by course in the columns. */
function courseStarts(c: PieceColumns): number[] {
  const starts: number[] = [];
  for (let i = 0; i < c.count; i++) while (starts.length < (c.course[i] ?? 0)) starts.push(i);
  starts.push(c.count);
  return starts;
}

const alike = (was: PieceColumns, i: number, now: PieceColumns, j: number): boolean =>
  was.from[i] === now.from[j] &&
  was.to[i] === now.to[j] &&
  was.bottom[i] === now.bottom[j] &&
  was.top[i] === now.top[j] &&
  was.kind[i] === now.kind[j] &&
  was.sawn[i] === now.sawn[j];

/**
 * The courses in which two paintings differ, joined where they lie together, and how far along: what is the same from
 * both ends of a course stays. Null when they are not alike at all.
 */
function changedStrips(was: PieceColumns, now: PieceColumns): Strip[] | null {
  const [a, b] = [courseStarts(was), courseStarts(now)];
  if (a.length !== b.length) return null;
  const strips: Strip[] = [];
  for (let k = 0; k + 1 < b.length; k++) {
    let [i, iEnd, j, jEnd] = [a[k] ?? 0, a[k + 1] ?? 0, b[k] ?? 0, b[k + 1] ?? 0];
    while (i < iEnd && j < jEnd && alike(was, i, now, j)) [i, j] = [i + 1, j + 1];
    if (i === iEnd && j === jEnd) continue;
    while (iEnd > i && jEnd > j && alike(was, iEnd - 1, now, jEnd - 1)) [iEnd, jEnd] = [iEnd - 1, jEnd - 1];
    const from = Math.min(i < iEnd ? (was.from[i] ?? 0) : Infinity, j < jEnd ? (now.from[j] ?? 0) : Infinity);
    const to = Math.max(
      i < iEnd ? (was.to[iEnd - 1] ?? 0) : -Infinity,
      j < jEnd ? (now.to[jEnd - 1] ?? 0) : -Infinity,
    );
    const last = strips.at(-1);
    if (last?.high === k - 1) {
      last.high = k;
      last.from = Math.min(last.from, from);
      last.to = Math.max(last.to, to);
    } else strips.push({ low: k, high: k, first: 0, end: 0, from, to });
  }
  return strips.map((s) => ({
    ...s,
    first: b[Math.max(0, s.low - 1)] ?? 0,
    end: b[Math.min(b.length - 1, s.high + 2)] ?? now.count,
  }));
}

/** Repaints what changed of the courses that changed, with their neighbours for the joints between. False when all must be. */
function repaintStrips(
  g: CanvasRenderingContext2D,
  was: PieceColumns,
  scene: Scene,
  at: Placing,
  lite: boolean,
): boolean {
  const now = scene.pieces;
  if (!now) return false;
  const strips = changedStrips(was, now);
  if (!strips) return false;
  if (strips.reduce((sum, s) => sum + s.end - s.first, 0) > now.count * 0.6) return false;
  const starts = courseStarts(now);
  for (const s of strips) {
    const top = Math.floor(at.base - (now.top[(starts[s.high + 1] ?? 1) - 1] ?? 0) * at.scale);
    const foot = Math.ceil(at.base - (now.bottom[starts[s.low] ?? 0] ?? 0) * at.scale);
    // Whole pixels, or the edge of what is repainted would show.
    const left = Math.floor(at.left + s.from * at.scale) - 2;
    const right = Math.ceil(at.left + s.to * at.scale) + 2;
    g.save();
    g.beginPath();
    g.rect(left, top - 1, right - left, foot - top + 2);
    g.clip();
    g.clearRect(left, top - 1, right - left, foot - top + 2);
    paintPieces(g, now, at, lite, s.first, s.end, s);
    paintOutline(g, scene, at);
    g.restore();
  }
  return true;
}

/** The elevation on a canvas: ground, footing, mortar, pieces. Words and handles lie over it as SVG. */
export function paintElevation(canvas: HTMLCanvasElement, scene: Scene, at: Placing, inks: Inks): void {
  const lite = inks.lite ?? false;
  const ratio = globalThis.devicePixelRatio || 1;
  const placing = [at.width, at.height, at.scale, at.left, at.base, ratio, lite].join();
  const before = painted.get(canvas);
  if (before?.placing === placing && scene.pieces) {
    const g = canvas.getContext('2d');
    if (g && before.outline === outlineKey(scene) && repaintStrips(g, before.pieces, scene, at, lite)) {
      painted.set(canvas, { pieces: scene.pieces, placing, outline: outlineKey(scene) });
      return;
    }
  }
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
  paintGround(g, scene, at);
  if (!scene.pieces) return;
  paintPieces(g, scene.pieces, at, lite);
  paintOutline(g, scene, at);
  painted.set(canvas, { pieces: scene.pieces, placing, outline: outlineKey(scene) });
}

const outlineKey = (scene: Scene): string =>
  JSON.stringify(scene.shapes.filter((s) => s.role === 'sky' || s.role === 'footing'));

/** What stands above a top that is not level is taken off the canvas again, and the cut drawn in ink. */
function paintOutline(g: CanvasRenderingContext2D, scene: Scene, at: Placing): void {
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
    g.lineWidth = 1.6;
    g.strokeStyle = '#22272b';
    g.stroke(cut);
  }
}

function paintGround(g: CanvasRenderingContext2D, scene: Scene, at: Placing): void {
  const box = (x: number, y: number, w: number, h: number): [number, number, number, number] => [
    at.left + x * at.scale,
    at.base - (y + h) * at.scale,
    w * at.scale,
    h * at.scale,
  ];
  for (const s of scene.shapes) {
    if (s.type !== 'rect' || (s.role !== 'ground' && s.role !== 'footing')) continue;
    if (s.role === 'ground') {
      g.fillStyle = '#ddd5c3';
      const [, y, , h] = box(s.x, s.y, s.w, s.h);
      g.fillRect(0, y, at.width, Math.min(Math.max(h, 20), 34));
    } else {
      g.fillStyle = '#b9b1a0';
      g.strokeStyle = INK;
      const [x, y, w, h] = box(s.x, s.y, s.w, s.h);
      // Below the base no more than a strip of it; a step stands as high as it is.
      const deep = s.y < 0 ? Math.min(h, 26) : h;
      g.fillRect(x, y, w, deep);
      g.strokeRect(x, y, w, deep);
    }
  }
}

/** One course from above, cells open. */
export function paintCourse(canvas: HTMLCanvasElement, scene: Scene, at: Placing): void {
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
  g.lineWidth = 0.8;
  g.strokeStyle = INK;
  for (const s of scene.shapes) {
    if (s.type !== 'rect') continue;
    g.fillStyle =
      s.role === 'cell' ? '#fbfaf5' : s.role === 'board' ? '#ece2a8' : (FILLS[s.id as Kind] ?? PLAIN);
    const y = at.base - (s.y + s.h) * at.scale;
    g.fillRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
    g.strokeRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
  }
}
