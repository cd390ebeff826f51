import { sayMm, showMm, type PoleSheet, type Show } from '@even-tally/core';
import { bytesOf, MARGIN, newPaper, POINTS_PER_MM, type Paper } from './paper.js';

const ROW = 15;
/** Longest full-size template that lies on a sheet with its ruler beside it, mm. */
const TEMPLATE = 230;

interface Column {
  x: number;
  width: number;
  align: 'left' | 'right';
  head: string;
}

function columns(left: number): Column[] {
  return [
    { x: left, width: 42, align: 'right', head: 'course' },
    { x: left + 52, width: 58, align: 'right', head: 'bed' },
    { x: left + 120, width: 86, align: 'right', head: 'top from base' },
    { x: left + 216, width: 70, align: 'right', head: 'mm' },
    { x: left + 298, width: 190, align: 'left', head: 'lands here' },
  ];
}

function heading(doc: Paper, sheet: PoleSheet, show: Show): number {
  doc.font('bold').fontSize(18).text(sheet.title, MARGIN, MARGIN);
  doc.font('plain').fontSize(10).text(sheet.sub).moveDown(0.3);
  doc.text(
    'Every mark is measured from the base, the underside of bed 1. Never step one course from the last.',
  );
  doc.text(`Nails or marks: ${sheet.spacing.join('; ')}.`);
  if (sheet.missed.length > 0)
    doc
      .font('bold')
      .text(`Not on any course: ${sheet.missed.join('; ')}.`)
      .font('plain');
  if (sheet.stands.length > 0)
    doc.text(
      `The footing steps, so a pole for each corner: ${sheet.stands
        .map(
          (s) =>
            `${s.where}: ${s.up === 0 ? 'from the base' : `from course ${s.up + 1}, its foot ${sayMm(s.level, show)} up`}`,
        )
        .join('; ')}.`,
    );
  if (sheet.oldPitch !== null)
    doc.text(
      `Carried over from the old work: ${sayMm(sheet.oldPitch, show)} a course, drawn broken on the pole.`,
    );
  return doc.y + 10;
}

function tableHead(doc: Paper, cols: Column[], y: number): number {
  doc.font('bold').fontSize(9);
  cols.forEach((c) => doc.text(c.head, c.x, y, { width: c.width, align: c.align, lineBreak: false }));
  doc.font('plain').fontSize(10);
  return y + ROW;
}

/** The pole to scale at the left edge of the page, one strip for the rows on this page. */
function strip(doc: Paper, rows: PoleSheet['rows'], top: number, bottom: number): void {
  const [first, last] = [rows[0], rows.at(-1)];
  if (!first || !last) return;
  const base = first.top - first.bed - first.unit;
  const scale = (bottom - top) / (last.top - base);
  const y = (mm: number): number => bottom - (mm - base) * scale;
  doc.rect(MARGIN, top, 22, bottom - top).stroke();
  for (const r of rows) {
    const at = y(r.top);
    doc
      .moveTo(MARGIN, at)
      .lineTo(MARGIN + 22, at)
      .stroke();
    if (r.fixed)
      doc
        .moveTo(MARGIN + 22, at)
        .lineTo(MARGIN + 32, at)
        .lineWidth(2)
        .stroke()
        .lineWidth(1);
    if (r.old && r.old.top > base && r.old.top <= last.top) {
      const old = y(r.old.top);
      doc
        .moveTo(MARGIN + 11, old)
        .lineTo(MARGIN + 32, old)
        .dash(2, { space: 2 })
        .stroke()
        .undash();
    }
    const high = (r.bed + r.unit) * scale;
    if (high >= 9)
      doc
        .fontSize(Math.min(9, high - 1))
        .text(String(r.course), MARGIN, at + high / 2 - 4, { width: 22, align: 'center', lineBreak: false });
  }
  doc.fontSize(10);
}

/** How a mark stands to the old work's nearest course. */
function oldNote(r: PoleSheet['rows'][number], show: Show): string {
  if (!r.old) return '';
  const by = Math.abs(r.old.above);
  const off = by < 0.5 ? 'level with' : `${sayMm(by, show)} ${r.old.above > 0 ? 'above' : 'below'}`;
  return `${off} old ${r.old.course}`;
}

/** Heights lowest at the foot of the page, as they stand on the pole. */
function tablePages(doc: Paper, sheet: PoleSheet, show: Show): void {
  let top = heading(doc, sheet, show);
  const foot = doc.page.height - MARGIN - 34;
  const cols = columns(MARGIN + 44);
  let rest = sheet.rows;
  while (rest.length > 0) {
    const start = tableHead(doc, cols, top);
    const fit = Math.max(1, Math.floor((foot - start) / ROW));
    const here = rest.slice(0, fit);
    rest = rest.slice(fit);
    strip(doc, here, start, start + here.length * ROW);
    [...here].reverse().forEach((r, i) => {
      const y = start + i * ROW + 2;
      const kind = r.kind === 'whole' ? '' : r.kind === 'sawn' ? ' (sawn)' : ' (half-high)';
      const cells = [
        String(r.course),
        showMm(r.bed, show, 64),
        showMm(r.top, show, 64),
        r.top.toFixed(2),
        `${[r.fixed, oldNote(r, show)].filter(Boolean).join('; ')}${kind}`,
      ];
      cols.forEach((c, k) =>
        doc.text(cells[k] ?? '', c.x, y, { width: c.width, height: ROW - 3, align: c.align, ellipsis: true }),
      );
      doc
        .moveTo(MARGIN + 44, y + ROW - 3)
        .lineTo(MARGIN + 44 + 488, y + ROW - 3)
        .lineWidth(0.3)
        .stroke()
        .lineWidth(1);
    });
    doc
      .fontSize(8)
      .text(sheet.caution, MARGIN, foot + 8, { width: doc.page.width - 2 * MARGIN })
      .fontSize(10);
    if (rest.length > 0) {
      doc.addPage();
      top = MARGIN;
    }
  }
}

/** A full-size strip of the first courses, with a ruler to prove that the printer did not shrink it. */
function template(doc: Paper, sheet: PoleSheet, show: Show): void {
  const rows = sheet.rows.filter((r) => r.top <= TEMPLATE);
  if (rows.length === 0) return;
  doc.addPage();
  doc.font('bold').fontSize(14).text('Gauge template, full size', MARGIN, MARGIN).font('plain').fontSize(10);
  const check = show === 'mm' ? 100 : 4 * 25.4;
  doc.text(
    `Print at 100 %. The ruler must measure ${sayMm(check, show)} exactly; if it does not, throw this page away. It shows the first ${rows.length} only: mark the pole itself from the table.`,
    { width: 400 },
  );
  const bottom = doc.page.height - MARGIN;
  const at = (mm: number): number => bottom - mm * POINTS_PER_MM;
  const last = rows.at(-1)?.top ?? 0;
  doc.rect(MARGIN, at(last), 120, last * POINTS_PER_MM).stroke();
  for (const r of rows) {
    doc
      .moveTo(MARGIN, at(r.top))
      .lineTo(MARGIN + 120, at(r.top))
      .stroke();
    doc
      .moveTo(MARGIN, at(r.top - r.unit))
      .lineTo(MARGIN + 120, at(r.top - r.unit))
      .dash(3, { space: 3 })
      .stroke()
      .undash();
    doc.text(`${r.course}   ${showMm(r.top, show, 64)}`, MARGIN + 130, at(r.top) - 5, { lineBreak: false });
  }
  const x = doc.page.width - MARGIN - 60;
  doc.moveTo(x, at(0)).lineTo(x, at(check)).stroke();
  const parts = show === 'mm' ? 10 : 4;
  for (let i = 0; i <= parts; i++) {
    const y = at((check / parts) * i);
    doc
      .moveTo(x, y)
      .lineTo(x + (i % parts === 0 ? 16 : 9), y)
      .stroke();
  }
  doc.text(sayMm(check, show), x - 20, at(check) - 18, { lineBreak: false });
}

/** The story pole on paper: its marks as a table beside the pole to scale, and a small full-size template. */
export function polePdf(sheet: PoleSheet, show: Show): Promise<Buffer> {
  const doc = newPaper(sheet.title, show);
  tablePages(doc, sheet, show);
  for (const level of new Set(sheet.stands.map((s) => s.up).filter((up) => up > 0))) {
    const at = sheet.stands.filter((s) => s.up === level);
    doc.addPage();
    tablePages(
      doc,
      {
        ...sheet,
        title: `${sheet.title}: ${at.map((s) => s.where).join(' and ')}`,
        rows: sheet.rows.filter((r) => r.course > level),
        stands: [],
      },
      show,
    );
  }
  template(doc, sheet, show);
  return bytesOf(doc);
}
