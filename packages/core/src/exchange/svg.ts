import {
  PAPER_PIXEL,
  SCHEMES,
  THEME,
  UNDER_UNITS,
  fillOf,
  pieceInk,
  type Ink,
  type Look,
  type Scheme,
} from '../scene/theme.js';
import { cornersOf, type CourseColumns } from '../walling/pieces.js';
import type { SceneShape } from '../shapes/shape.js';
import { partsOf } from './pages/fractions.js';
import type { Page, Placed } from './pages/page.js';

export const escapeXml = (text: string): string =>
  text.replace(
    /[&<>"']/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c,
  );

/** A thousandth of a millimetre of paper is finer than any printer. */
const n = (value: number): string => String(Math.round(value * 1000) / 1000);

interface Brush {
  inks: Record<Ink, string>;
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
}

const px = (pixels: number): number => pixels * PAPER_PIXEL;

function paint({ inks }: Brush, look: Look): string {
  return [
    `fill="${look.fill ? inks[look.fill] : 'none'}"`,
    look.ink ? `stroke="${inks[look.ink]}" stroke-width="${n(px(look.weight ?? 1))}"` : '',
    look.cover === undefined ? '' : `fill-opacity="${look.cover}"`,
    look.dash ? `stroke-dasharray="${look.dash.map((d) => n(px(d))).join(' ')}"` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Fractions are set from their parts, each moved by what the one before it was raised. */
function spans(text: string, size: number): string {
  let raised = 0;
  return partsOf(text)
    .map((part) => {
      const dy = raised - part.up;
      raised = part.up;
      return part.size === 1 && dy === 0
        ? escapeXml(part.text)
        : `<tspan dy="${n(dy * size)}" font-size="${n(size * part.size)}">${escapeXml(part.text)}</tspan>`;
    })
    .join('');
}

function textSvg(brush: Brush, look: Look, x: number, y: number, text: string, anchor: string): string {
  const size = px(look.size ?? 12);
  const halo = look.halo
    ? `stroke="${brush.inks[look.halo]}" stroke-width="${n(size * 0.35)}" paint-order="stroke" `
    : '';
  return `<text x="${n(x)}" y="${n(y)}" font-size="${n(size)}" ${look.bold ? 'font-weight="700" ' : ''}text-anchor="${anchor}" ${halo}fill="${brush.inks[look.fill ?? 'ink']}">${spans(text, size)}</text>`;
}

const points = (brush: Brush, list: readonly (readonly [number, number])[]): string =>
  list.map(([x, y]) => `${n(brush.x(x))},${n(brush.y(y))}`).join(' ');

function markSvg(brush: Brush, look: Look, s: Extract<SceneShape<string>, { type: 'mark' }>): string {
  const [x, y] = [brush.x(s.x), brush.y(s.y)];
  // A glyph is in pixels, its strokes with it.
  const glyph = `<path d="${look.glyph ?? ''}" transform="translate(${n(x)} ${n(y)}) scale(${PAPER_PIXEL})" fill="${look.fill ? brush.inks[look.fill] : 'none'}"${look.ink ? ` stroke="${brush.inks[look.ink]}" stroke-width="${look.weight ?? 1}"` : ''}/>`;
  if (s.text === undefined) return glyph;
  const words = { ...look, fill: look.ink ?? 'ink' };
  return `<g class="mark">${glyph}${textSvg(brush, words, x, y + px((look.size ?? 12) * 0.36), s.text, 'middle')}</g>`;
}

function shapeSvg(brush: Brush, s: SceneShape<string>): string {
  const look = THEME[s.role];
  if (!look) return '';
  switch (s.type) {
    case 'rect':
      return `<rect x="${n(brush.x(s.x))}" y="${n(brush.y(s.y + s.h))}" width="${n(s.w * brush.scale)}" height="${n(s.h * brush.scale)}" ${paint(brush, { ...look, fill: fillOf(s) })}/>`;
    case 'shape':
      return `<polygon points="${points(brush, s.points)}" ${paint(brush, { ...look, fill: fillOf(s) })}/>`;
    case 'path':
      return `<polyline points="${points(brush, s.points)}" ${paint(brush, { ...look, fill: undefined })}/>`;
    case 'line':
      return `<line x1="${n(brush.x(s.x1))}" y1="${n(brush.y(s.y1))}" x2="${n(brush.x(s.x2))}" y2="${n(brush.y(s.y2))}" ${paint(brush, { ...look, fill: undefined })}/>`;
    case 'mark':
      return markSvg(brush, look, s);
    case 'text':
      return textSvg(brush, look, brush.x(s.x), brush.y(s.y) + px(look.drop ?? 0), s.text, s.anchor);
  }
}

function courseSvg(brush: Brush, c: CourseColumns): string[] {
  const out: string[] = [];
  for (let i = 0; i < c.count; i++) {
    const [from, to, bottom, top] = [c.from[i] ?? 0, c.to[i] ?? 0, c.bottom[i] ?? 0, c.top[i] ?? 0];
    const fill = brush.inks[pieceInk(c.kind[i] ?? 0)];
    const corners = cornersOf(c, i);
    out.push(
      corners
        ? `<polygon points="${points(
            brush,
            Array.from({ length: corners.length / 2 }, (_, k) => [
              corners[2 * k] ?? 0,
              corners[2 * k + 1] ?? 0,
            ]),
          )}" fill="${fill}"/>`
        : `<rect x="${n(brush.x(from))}" y="${n(brush.y(top))}" width="${n((to - from) * brush.scale)}" height="${n((top - bottom) * brush.scale)}" fill="${fill}"/>`,
    );
    // A stroke across a sawn piece, so that a black-and-white print shows the cut too.
    if (c.sawn[i] === 1)
      out.push(
        `<line x1="${n(brush.x(from))}" y1="${n(brush.y(bottom))}" x2="${n(brush.x(to))}" y2="${n(brush.y(top))}" stroke="${brush.inks.saw}" stroke-width="${n(px(1))}"/>`,
      );
  }
  return out;
}

function partSvg({ scene, scale, x, y }: Placed, inks: Record<Ink, string>): string {
  const brush: Brush = { inks, scale, x: (mm) => x + mm * scale, y: (mm) => y - mm * scale };
  const under = scene.shapes.filter((s) => UNDER_UNITS.includes(s.role));
  const over = scene.shapes.filter((s) => !UNDER_UNITS.includes(s.role));
  const units = (scene.pieces ?? []).flatMap((c) => courseSvg(brush, c)).join('');
  return [
    ...under.map((s) => shapeSvg(brush, s)),
    units && `<g class="units" stroke="${inks['mortar-line']}" stroke-width="${n(px(0.8))}">${units}</g>`,
    ...over.map((s) => shapeSvg(brush, s)),
  ].join('');
}

/** Pages under one another as one SVG file, in millimetres of paper. */
export function pagesSvg(pages: readonly Page[], title: string, scheme: Scheme = 'print'): string {
  const inks = SCHEMES[scheme];
  const w = Math.max(0, ...pages.map((p) => p.w));
  let top = 0;
  const body = pages.map((page) => {
    const here = `<g transform="translate(0 ${n(top)})"><rect width="${n(page.w)}" height="${n(page.h)}" fill="${inks.paper}"/>${page.parts.map((p) => partSvg(p, inks)).join('')}</g>`;
    top += page.h;
    return here;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${n(w)}mm" height="${n(top)}mm" viewBox="0 0 ${n(w)} ${n(top)}" font-family="'DejaVu Sans Condensed', 'Archivo Narrow', 'Arial Narrow', sans-serif" role="img"><title>${escapeXml(title)}</title>${body.join('')}</svg>\n`;
}
