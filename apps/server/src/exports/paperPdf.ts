import type { PaperSheet, PaperTable, SceneShape, Show } from '@even-tally/core';
import { bytesOf, MARGIN, newPaper, type Paper } from './paper.js';

const ROW = 14;
const FOOT = 34;

interface Placing {
  x: (mm: number) => number;
  y: (mm: number) => number;
  scale: number;
}

/** How a role looks in black and white. */
const FILL: Partial<Record<SceneShape['role'], string>> = {
  grout: '#bbbbbb',
  bar: '#000000',
  opening: '#ffffff',
  footing: '#f2f2f2',
};

function drawShape(doc: Paper, s: SceneShape, at: Placing): void {
  if (s.type === 'rect') {
    const box = { x: at.x(s.x), y: at.y(s.y + s.h), w: s.w * at.scale, h: s.h * at.scale };
    // A bar stays large enough to be seen, about its own middle.
    const grow = s.role === 'bar' ? Math.max(0, 4 - box.w) / 2 : 0;
    doc.lineWidth(0.6).rect(box.x - grow, box.y - grow, box.w + 2 * grow, box.h + 2 * grow);
    const fill = FILL[s.role];
    if (fill) doc.fillAndStroke(fill, '#000');
    else doc.stroke();
    doc.fillColor('#000');
  } else if (s.type === 'line') {
    doc.lineWidth(0.5).moveTo(at.x(s.x1), at.y(s.y1)).lineTo(at.x(s.x2), at.y(s.y2)).stroke();
  } else if (s.type === 'text') {
    const wide = 60;
    doc
      .fontSize(7.5)
      .text(s.text, at.x(s.x) - wide / 2, at.y(s.y) - 4, { width: wide, align: 'center', lineBreak: false });
  }
}

/** The drawing across the page, as large as its width and a third of the page let it be. */
function drawing(doc: Paper, sheet: PaperSheet): void {
  if (!sheet.drawing) return;
  const { box, shapes } = sheet.drawing;
  const wide = doc.page.width - 2 * MARGIN;
  const scale = Math.min(wide / box.w, (doc.page.height * 0.34) / box.h);
  const high = box.h * scale;
  const top = doc.y + 6;
  const left = MARGIN + (wide - box.w * scale) / 2;
  const at: Placing = {
    x: (mm) => left + (mm - box.x) * scale,
    y: (mm) => top + high - (mm - box.y) * scale,
    scale,
  };
  for (const s of shapes) drawShape(doc, s, at);
  doc.fontSize(10).text('', MARGIN, top + high + 10);
}

/** Widths that share the page by the longest word of each column. */
function widths(doc: Paper, table: PaperTable): number[] {
  const wide = doc.page.width - 2 * MARGIN;
  const longest = table.head.map((h, i) =>
    Math.max(...[h, ...table.rows.map((r) => r[i] ?? '')].map((t) => doc.widthOfString(t) + 8), 24),
  );
  const sum = longest.reduce((a, b) => a + b, 0);
  return longest.map((l) => (sum > wide ? (l * wide) / sum : l + (wide - sum) / longest.length));
}

function tablePages(doc: Paper, table: PaperTable): void {
  doc.fontSize(9);
  const cols = widths(doc, table);
  const foot = (): number => doc.page.height - MARGIN - FOOT;
  const cell = (text: string, i: number, y: number): void => {
    const x = MARGIN + cols.slice(0, i).reduce((a, b) => a + b, 0);
    const align = table.figures.includes(i) ? 'right' : 'left';
    doc.text(text, x + 3, y, { width: (cols[i] ?? 0) - 6, align });
  };
  const head = (): number => {
    doc.font('bold');
    const y = doc.y;
    table.head.forEach((h, i) => cell(h, i, y));
    doc.font('plain');
    return y + ROW;
  };
  if (doc.y + 3 * ROW > foot()) doc.addPage();
  doc
    .font('bold')
    .fontSize(11)
    .text(table.name, MARGIN, doc.y + 4)
    .font('plain')
    .fontSize(9)
    .moveDown(0.2);
  let y = head();
  for (const row of table.rows) {
    const high = Math.max(
      ROW,
      ...row.map((t, i) => doc.heightOfString(t, { width: Math.max(10, (cols[i] ?? 0) - 6) }) + 4),
    );
    if (y + high > foot()) {
      doc.addPage().fontSize(9);
      doc.y = MARGIN;
      y = head();
    }
    row.forEach((t, i) => cell(t, i, y + 2));
    y += high;
    doc
      .lineWidth(0.3)
      .moveTo(MARGIN, y)
      .lineTo(doc.page.width - MARGIN, y)
      .stroke();
  }
  doc.text('', MARGIN, y + 6);
}

/** Any sheet of tables and a drawing on paper, black on white, its caution at the foot of every page. */
export function paperPdf(sheet: PaperSheet, show: Show): Promise<Buffer> {
  const doc = newPaper(sheet.title, show);
  const caution = (): void => {
    const { y } = doc;
    const below = doc.page.margins.bottom;
    doc.page.margins.bottom = 0;
    doc.fontSize(8).text(sheet.caution, MARGIN, doc.page.height - MARGIN - FOOT + 8, {
      width: doc.page.width - 2 * MARGIN,
    });
    doc.page.margins.bottom = below;
    doc.fontSize(10);
    doc.y = y;
  };
  caution();
  doc.on('pageAdded', caution);
  doc.font('bold').fontSize(18).text(sheet.title, MARGIN, MARGIN);
  doc.font('plain').fontSize(10).text(sheet.sub).moveDown(0.3);
  for (const says of sheet.says) doc.text(says);
  drawing(doc, sheet);
  for (const table of sheet.tables) tablePages(doc, table);
  return bytesOf(doc);
}
