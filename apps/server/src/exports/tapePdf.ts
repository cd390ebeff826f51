import { showMm, type Show, type TapeSheet } from '@even-tally/core';
import { bytesOf, MARGIN, newPaper } from './paper.js';

const ROW = 13;
const COLUMN = 118;
const SAYS = { perp: '', jamb: 'jamb', end: 'end' } as const;

/** Running marks down the page, course by course, in as many columns as they need. */
export function tapePdf(sheet: TapeSheet, show: Show): Promise<Buffer> {
  const doc = newPaper(sheet.title, show);
  doc.font('bold').fontSize(18).text(sheet.title, MARGIN, MARGIN);
  doc.font('plain').fontSize(10).text(sheet.sub).moveDown(0.3);
  doc.text(
    'Marks are to the middle of each perp, all from the start of the run. Hook the tape once and read them off.',
  );
  let top = doc.y + 10;
  const foot = doc.page.height - MARGIN - 30;
  let x = MARGIN;
  let y = top;
  const next = (): void => {
    x += COLUMN + 14;
    y = top;
    if (x + COLUMN <= doc.page.width - MARGIN) return;
    doc.addPage();
    [x, top, y] = [MARGIN, MARGIN, MARGIN];
  };
  const caution = (): void => {
    doc.fontSize(8).text(sheet.caution, MARGIN, foot + 6, { width: doc.page.width - 2 * MARGIN });
    doc.fontSize(10);
  };
  caution();
  doc.on('pageAdded', caution);
  for (const [i, c] of sheet.courses.entries()) {
    if (i > 0) next();
    doc
      .font('bold')
      .text(`Course ${c.course}, ${c.course % 2 === 1 ? 'odd' : 'even'}`, x, y, { lineBreak: false });
    doc.font('plain');
    y += ROW + 3;
    for (const [n, m] of c.marks.entries()) {
      if (y + ROW > foot) next();
      doc.text(String(n + 1), x, y, { width: 22, align: 'right', lineBreak: false });
      doc.text(showMm(m.at, show, 64), x + 26, y, { width: 60, align: 'right', lineBreak: false });
      doc.text(SAYS[m.what], x + 92, y, { width: 26, lineBreak: false });
      y += ROW;
    }
  }
  return bytesOf(doc);
}
