import {
  cornersOf,
  PAPER_PIXEL,
  partsOf,
  SCHEMES,
  THEME,
  UNDER_UNITS,
  fillOf,
  pieceInk,
  type CourseColumns,
  type Ink,
  type Look,
  type Page,
  type Placed,
  type SceneShape,
} from '@even-tally/core';
import PDFDocument from 'pdfkit';
import { BOLD, PLAIN } from './fonts.js';

const POINTS_PER_MM = 72 / 25.4;
const px = (pixels: number): number => pixels * PAPER_PIXEL;
const inks: Record<Ink, string> = SCHEMES.print;

type Doc = InstanceType<typeof PDFDocument>;

interface Pen {
  doc: Doc;
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
}

/** Fills and strokes the path that was begun, as a look says. */
function paint(doc: Doc, look: Look, fill: Ink | undefined = look.fill): void {
  if (look.ink) doc.lineWidth(px(look.weight ?? 1)).strokeColor(inks[look.ink]);
  if (look.dash) doc.dash(px(look.dash[0] ?? 1), { space: px(look.dash[1] ?? look.dash[0] ?? 1) });
  if (fill) doc.fillColor(inks[fill]).fillOpacity(look.cover ?? 1);
  if (fill && look.ink) doc.fillAndStroke();
  else if (fill) doc.fill();
  else if (look.ink) doc.stroke();
  if (look.dash) doc.undash();
  if (fill) doc.fillOpacity(1);
}

function words(doc: Doc, look: Look, x: number, y: number, text: string, anchor: string): void {
  if (text === '') return;
  const size = px(look.size ?? 12);
  doc.font(look.bold ? 'bold' : 'plain').fillColor(inks[look.fill ?? 'ink']);
  const parts = partsOf(text).map((part) => ({
    ...part,
    wide: doc.fontSize(size * part.size).widthOfString(part.text),
  }));
  const wide = parts.reduce((sum, p) => sum + p.wide, 0);
  let at = x - (anchor === 'middle' ? wide / 2 : anchor === 'end' ? wide : 0);
  for (const part of parts) {
    doc
      .fontSize(size * part.size)
      .text(part.text, at, y - part.up * size, { lineBreak: false, baseline: 'alphabetic' });
    at += part.wide;
  }
}

function polygon(doc: Doc, points: readonly (readonly [number, number])[], closed: boolean): void {
  points.forEach(([x, y], i) => (i === 0 ? doc.moveTo(x, y) : doc.lineTo(x, y)));
  if (closed) doc.closePath();
}

function shapeIn(pen: Pen, s: SceneShape<string>): void {
  const look = THEME[s.role];
  if (!look) return;
  const { doc, x, y, scale } = pen;
  const at = (points: readonly (readonly [number, number])[]) =>
    points.map(([px_, py]) => [x(px_), y(py)] as const);
  switch (s.type) {
    case 'rect':
      doc.rect(x(s.x), y(s.y + s.h), s.w * scale, s.h * scale);
      return paint(doc, look, fillOf(s));
    case 'shape':
      polygon(doc, at(s.points), true);
      return paint(doc, look, fillOf(s));
    case 'path':
      polygon(doc, at(s.points), false);
      return paint(doc, { ...look, fill: undefined });
    case 'line':
      doc.moveTo(x(s.x1), y(s.y1)).lineTo(x(s.x2), y(s.y2));
      return paint(doc, { ...look, fill: undefined });
    case 'mark':
      doc.save().translate(x(s.x), y(s.y)).scale(PAPER_PIXEL);
      doc.path(look.glyph ?? '');
      // Inside the scale a pixel is a pixel.
      paint(doc, { ...look, weight: (look.weight ?? 1) / PAPER_PIXEL });
      doc.restore();
      if (s.text !== undefined)
        words(
          doc,
          { ...look, fill: look.ink ?? 'ink' },
          x(s.x),
          y(s.y) + px((look.size ?? 12) * 0.36),
          s.text,
          'middle',
        );
      return;
    case 'text':
      return words(doc, look, x(s.x), y(s.y) + px(look.drop ?? 0), s.text, s.anchor);
  }
}

function courseIn({ doc, x, y, scale }: Pen, c: CourseColumns): void {
  for (let i = 0; i < c.count; i++) {
    const [from, to, bottom, top] = [c.from[i] ?? 0, c.to[i] ?? 0, c.bottom[i] ?? 0, c.top[i] ?? 0];
    const corners = cornersOf(c, i);
    if (corners)
      polygon(
        doc,
        Array.from({ length: corners.length / 2 }, (_, k) => [
          x(corners[2 * k] ?? 0),
          y(corners[2 * k + 1] ?? 0),
        ]),
        true,
      );
    else doc.rect(x(from), y(top), (to - from) * scale, (top - bottom) * scale);
    doc.fillAndStroke(inks[pieceInk(c.kind[i] ?? 0)], inks['mortar-line']);
    if (c.sawn[i] === 1) doc.moveTo(x(from), y(bottom)).lineTo(x(to), y(top)).stroke(inks.saw);
  }
}

function partIn(doc: Doc, { scene, scale, x, y }: Placed): void {
  const pen: Pen = { doc, scale, x: (mm) => x + mm * scale, y: (mm) => y - mm * scale };
  for (const s of scene.shapes) if (UNDER_UNITS.includes(s.role)) shapeIn(pen, s);
  if (scene.pieces) {
    doc.lineWidth(px(0.8));
    for (const c of scene.pieces) courseIn(pen, c);
  }
  for (const s of scene.shapes) if (!UNDER_UNITS.includes(s.role)) shapeIn(pen, s);
}

/** Pages as a PDF, black on white, true to the millimetre. */
export function pagesPdf(pages: readonly Page[], title: string): Promise<Uint8Array> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: 'Even Tally' },
  });
  doc.registerFont('plain', PLAIN);
  doc.registerFont('bold', BOLD);
  const parts: Uint8Array[] = [];
  const made = new Promise<Uint8Array>((resolve, reject) => {
    doc.on('data', (part: Uint8Array) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
  });
  for (const page of pages) {
    doc.addPage({ size: [page.w * POINTS_PER_MM, page.h * POINTS_PER_MM], margin: 0 });
    doc.save().scale(POINTS_PER_MM);
    for (const part of page.parts) partIn(doc, part);
    doc.restore();
  }
  doc.end();
  return made;
}
