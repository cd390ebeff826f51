import { KINDS, SHOWN, type Kind, type Scene } from '@even-tally/core';

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

/** Pieces grouped by how they are filled: one path a colour, so that ten thousand cost little. */
function paintPieces(g: CanvasRenderingContext2D, scene: Scene, at: Placing, lite: boolean): void {
  const c = scene.pieces;
  if (!c) return;
  const paths = new Map<string, Path2D>();
  const strokes = new Path2D();
  const gap = at.scale * 9 > 1.5 ? 0 : 0.35;
  for (let i = 0; i < c.count; i++) {
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

/** The elevation on a canvas: ground, footing, mortar, pieces. Words and handles lie over it as SVG. */
export function paintElevation(canvas: HTMLCanvasElement, scene: Scene, at: Placing, inks: Inks): void {
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
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
      const deep = Math.min(h, 26);
      g.fillRect(x, y, w, deep);
      g.strokeRect(x, y, w, deep);
    }
  }
  paintPieces(g, scene, at, inks.lite ?? false);
}

/** One course from above, cells open. */
export function paintCourse(canvas: HTMLCanvasElement, scene: Scene, at: Placing): void {
  const g = prepare(canvas, at.width, at.height);
  if (!g) return;
  g.lineWidth = 0.8;
  g.strokeStyle = INK;
  for (const s of scene.shapes) {
    if (s.type !== 'rect') continue;
    g.fillStyle = s.role === 'cell' ? '#fbfaf5' : (FILLS[s.id as Kind] ?? PLAIN);
    const y = at.base - (s.y + s.h) * at.scale;
    g.fillRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
    g.strokeRect(at.left + s.x * at.scale, y, s.w * at.scale, s.h * at.scale);
  }
}
