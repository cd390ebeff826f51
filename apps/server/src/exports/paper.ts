import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import type { Show } from '@even-tally/core';

const require = createRequire(import.meta.url);
const FONT = require.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf');
const BOLD = require.resolve('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf');

export const POINTS_PER_MM = 72 / 25.4;
/** Room a printer cannot reach, and a thumb to hold the sheet by. */
export const MARGIN = 40;

export type Paper = InstanceType<typeof PDFDocument>;

/** A document on the paper the show units go with: Letter for feet and inches, A4 for millimetres. */
export function newPaper(title: string, show: Show): Paper {
  const doc = new PDFDocument({
    size: show === 'mm' ? 'A4' : 'LETTER',
    margin: MARGIN,
    info: { Title: title, Creator: 'Even Tally' },
  });
  doc.registerFont('plain', FONT);
  doc.registerFont('bold', BOLD);
  return doc.font('plain').fillColor('#000').strokeColor('#000');
}

/** Ends the document and gives its bytes. */
export function bytesOf(doc: Paper): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    const parts: Buffer[] = [];
    doc.on('data', (part: Buffer) => parts.push(part));
    doc.on('end', () => resolve(Buffer.concat(parts)));
    doc.on('error', reject);
    doc.end();
  });
}
