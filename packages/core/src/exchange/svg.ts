import { KINDS } from '../walling/units/laying/kinds.js';
import { cornersOf, SHOWN, type CourseColumns } from '../walling/pieces.js';
import type { Role, SceneShape } from '../shapes/shape.js';
import type { Scene } from '../scene/scene.js';

interface Look {
  fill?: string;
  stroke?: string;
  width?: number;
  size?: number;
  weight?: number;
  dash?: string;
  opacity?: number;
}

/** Paper ink for each role: black, white and greys first, so that a black-and-white print says the same. */
const LOOKS: Partial<Record<Role, Look>> = {
  ground: { fill: '#ddd5c3' },
  footing: { fill: '#c9c0ae', stroke: '#5a5348', width: 4 },
  opening: { fill: '#fff', stroke: '#22272b', width: 8 },
  'opening-name': { fill: '#22272b', size: 80, weight: 700 },
  'opening-size': { fill: '#22272b', size: 62 },
  sky: { fill: '#fff', stroke: '#22272b', width: 5 },
  vent: { fill: '#6b665b', stroke: '#22272b', width: 4 },
  short: { fill: 'none', stroke: '#ae2a1c', width: 6, dash: '30 20' },
  'bad-joint': { stroke: '#ae2a1c', width: 22 },
  'letter-fault': { fill: '#ae2a1c', stroke: '#fff', width: 30, size: 120, weight: 700 },
  'letter-choice': { fill: '#22272b', stroke: '#fff', width: 30, size: 120, weight: 700 },
  'letter-note': { fill: '#6b5200', stroke: '#fff', width: 30, size: 120, weight: 700 },
  pole: { fill: '#d9b47c', stroke: '#5d431f', width: 4 },
  'pole-mark': { stroke: '#22272b', width: 5 },
  'pole-number': { fill: '#22272b', size: 70, weight: 700 },
  'pole-height': { fill: '#22272b', size: 60 },
  'pole-flag': { fill: '#1e5aa0', size: 60, weight: 700 },
  'bed-tight': { fill: '#9a6700' },
  'bed-open': { fill: '#9a6700' },
  'bed-out': { fill: '#ae2a1c' },
  tape: { fill: '#f4e07a', stroke: '#6d6115', width: 4 },
  'tape-mark': { stroke: '#22272b', width: 4 },
  'tape-number': { fill: '#22272b', size: 55 },
  'unit-plan': { fill: '#cfcabd', stroke: '#6b665b', width: 4 },
  cell: { fill: '#fff', stroke: '#6b665b', width: 3 },
  grout: { fill: '#8d9aa6', opacity: 0.65 },
  bar: { stroke: '#22272b', width: 14 },
  'bed-steel': { stroke: '#22272b', width: 9, dash: '50 18' },
  'movement-joint': { stroke: '#22272b', width: 16 },
  dpc: { stroke: '#22272b', width: 18 },
  tie: { fill: '#22272b', stroke: '#fff', width: 3 },
  'edge-tie': { fill: '#fff', stroke: '#22272b', width: 8 },
  tray: { stroke: '#1c4f7c', width: 14 },
  weep: { stroke: '#1c4f7c', width: 12 },
  'course-name': { fill: '#22272b', size: 80, weight: 700 },
  title: { fill: '#22272b', size: 150, weight: 700 },
  caution: { fill: '#22272b', size: 66 },
};

const PIECE_FILL: Record<string, string> = {
  half: '#e0d2ad',
  'three-quarter': '#e0d2ad',
  cut: '#e3b98a',
  beam: '#9da7a4',
  closer: '#e0d2ad',
};

export const escapeXml = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c,
  );

const n = (value: number): string => String(Math.round(value * 100) / 100);

function shapeSvg(shape: SceneShape, flip: (y: number) => number, t: number): string {
  const look = LOOKS[shape.role] ?? {};
  const paint = [
    `fill="${look.fill ?? 'none'}"`,
    look.stroke ? `stroke="${look.stroke}" stroke-width="${n((look.width ?? 2) * t)}"` : '',
    look.opacity ? `fill-opacity="${look.opacity}"` : '',
    look.dash ? `stroke-dasharray="${look.dash}"` : '',
  ].filter(Boolean);
  if (shape.type === 'rect') {
    return `<rect x="${n(shape.x)}" y="${n(flip(shape.y + shape.h))}" width="${n(shape.w)}" height="${n(shape.h)}" ${paint.join(' ')}/>`;
  }
  if (shape.type === 'shape') {
    const points = shape.points.map(([x, y]) => `${n(x)},${n(flip(y))}`).join(' ');
    return `<polygon points="${points}" ${paint.join(' ')}/>`;
  }
  if (shape.type === 'line') {
    return `<line x1="${n(shape.x1)}" y1="${n(flip(shape.y1))}" x2="${n(shape.x2)}" y2="${n(flip(shape.y2))}" ${paint.join(' ')}/>`;
  }
  const size = (look.size ?? 80) * t;
  const drop = shape.role === 'opening-size' ? size * 1.3 : size * 0.35;
  return `<text x="${n(shape.x)}" y="${n(flip(shape.y) + drop)}" font-size="${n(size)}" font-weight="${look.weight ?? 400}" text-anchor="${shape.anchor}" paint-order="stroke" ${paint.join(' ')}>${escapeXml(shape.text)}</text>`;
}

function piecesSvg(scene: Scene, flip: (y: number) => number, t: number): string {
  const out: string[] = [];
  for (const c of scene.pieces ?? []) out.push(...courseSvg(c, flip, t));
  return out.length === 0 ? '' : `<g stroke="#6b665b" stroke-width="${n(3 * t)}">${out.join('')}</g>`;
}

/** Corners, x and y by turns, as an SVG polygon has them. */
const pointsSvg = (corners: Float64Array, flip: (y: number) => number): string =>
  Array.from(
    { length: corners.length / 2 },
    (_, k) => `${n(corners[2 * k] ?? 0)},${n(flip(corners[2 * k + 1] ?? 0))}`,
  ).join(' ');

function courseSvg(c: CourseColumns, flip: (y: number) => number, t: number): string[] {
  const out: string[] = [];
  for (let i = 0; i < c.count; i++) {
    const [x, y, w, h] = [
      c.from[i] ?? 0,
      flip(c.top[i] ?? 0),
      (c.to[i] ?? 0) - (c.from[i] ?? 0),
      (c.top[i] ?? 0) - (c.bottom[i] ?? 0),
    ];
    const kind = c.kind[i] === SHOWN ? 'shown' : (KINDS[c.kind[i] ?? 0] ?? 'stretcher');
    const fill = kind === 'shown' ? '#b9b3a4' : (PIECE_FILL[kind] ?? '#cfcabd');
    const corners = cornersOf(c, i);
    out.push(
      corners
        ? `<polygon points="${pointsSvg(corners, flip)}" fill="${fill}"/>`
        : `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="${fill}"/>`,
    );
    // A stroke across a sawn piece, so that a black-and-white print shows the cut too.
    if (c.sawn[i] === 1)
      out.push(
        `<line x1="${n(x)}" y1="${n(y + h)}" x2="${n(x + w)}" y2="${n(y)}" stroke="#7a5a2e" stroke-width="${n(4 * t)}"/>`,
      );
  }
  return out;
}

/**
 * Scenes on one sheet, in wall millimetres: `dx` shifts each right, `base` is where its y = 0 lies below the top.
 * `t` scales words and strokes, so that a long wall is not labelled in ant tracks.
 */
export function scenesToSvg(
  size: { w: number; h: number },
  t: number,
  placed: { scene: Scene; dx: number; base: number }[],
  title: string,
): string {
  const body = placed.map(({ scene, dx, base }) => {
    const flip = (y: number): number => base - y;
    const behind = scene.shapes.filter((s) => s.role === 'ground' || s.role === 'footing');
    const front = scene.shapes.filter((s) => !behind.includes(s));
    return `<g transform="translate(${n(dx)} 0)">${behind.map((s) => shapeSvg(s, flip, t)).join('')}${piecesSvg(scene, flip, t)}${front.map((s) => shapeSvg(s, flip, t)).join('')}</g>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${n(size.w)} ${n(size.h)}" font-family="Archivo, Arial, sans-serif" role="img"><title>${escapeXml(title)}</title><rect width="100%" height="100%" fill="#fff"/>${body.join('')}</svg>\n`;
}
