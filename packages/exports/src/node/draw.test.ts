import { execFile } from 'node:child_process';
import { join } from 'node:path';
import { inflateSync } from 'node:zlib';
import { sheetNamed, type Job } from '@even-tally/core';
import { EXPORTS } from '../kinds.js';
import { allotments, asked, boatClub, planned } from '../test/jobs.js';
import { exportBytes } from './index.js';

const named = (kind: string): (typeof EXPORTS)[number] => {
  const found = EXPORTS.find((e) => e.kind === kind);
  if (!found) throw new Error(kind);
  return found;
};

/** The text of a PDF, page by page, as pdfjs reads it. */
const pdfText = (pdf: Uint8Array): Promise<string> =>
  new Promise((resolve, reject) => {
    const child = execFile(
      process.execPath,
      [join(__dirname, '../../../../tools/read-pdf.mjs')],
      { maxBuffer: 1e7 },
      (error, out) => (error ? reject(new Error(error.message)) : resolve(out)),
    );
    child.stdin?.end(pdf);
  });

/** Walls a sheet is of: all of them, but for sheets that only some walls have anything for. */
function saidIn(kind: string, job: Job): readonly { name: string }[] {
  const sheet = sheetNamed(kind.slice('pdf:'.length));
  if (!sheet?.some) return job.walls;
  const some = job.walls.filter((_, wall) => sheet.has?.({ ...asked(job), job, wall, run: 0 }));
  return some.length > 0 ? some : job.walls;
}

test.each(EXPORTS.filter((e) => e.drawn === 'pdf').map((e) => e.kind))(
  '%s is a PDF that says what it is of',
  async (kind) => {
    for (const job of [boatClub, allotments]) {
      const pdf = await exportBytes(named(kind), asked(job));
      const text = await pdfText(pdf ?? new Uint8Array());
      expect(text).toContain('licensed people');
      expect(text).not.toMatch(/NaN|undefined/);
      for (const { name } of saidIn(kind, job)) expect(text).toContain(name);
    }
  },
);

test('the pole has every mark by multiplication, to a hundredth of a millimetre', async () => {
  const text = await pdfText(
    (await exportBytes(named('pdf:pole'), asked(boatClub, { wall: 0 }))) ?? new Uint8Array(),
  );
  // 8 in block at 3/8 in beds: mark n is n times 203.2 mm.
  for (let n = 1; n <= 13; n++) expect(text).toContain((n * 203.2).toFixed(2));
});

test('an elevation carries the lengths of the plan and every finding', async () => {
  const text = await pdfText(
    (await exportBytes(named('pdf:elevation'), asked(boatClub, { wall: 0, run: 0, show: 'mm' }))) ??
      new Uint8Array(),
  );
  const [p] = planned(boatClub);
  expect(text).toContain(`${Math.round(p?.wall.runs[0]?.length ?? 0)} mm long`);
  for (const f of p?.findings.filter((one) => one.run === null || one.run === 0) ?? [])
    expect(text).toContain(`${f.severity.toUpperCase()}:`);
});

/** Width, height and how many of its dots are not white, read straight from the file (PNG: ISO/IEC 15948). */
function lookAt(png: Uint8Array): { w: number; h: number; inked: number } {
  const view = new DataView(png.buffer, png.byteOffset, png.byteLength);
  const [w, h] = [view.getUint32(16), view.getUint32(20)];
  const parts: Uint8Array[] = [];
  for (let at = 8; at < png.length;) {
    const size = view.getUint32(at);
    if (Buffer.from(png.subarray(at + 4, at + 8)).toString('latin1') === 'IDAT')
      parts.push(png.subarray(at + 8, at + 8 + size));
    at += 12 + size;
  }
  const raw = inflateSync(Buffer.concat(parts));
  // Rows are filtered; a row of one colour comes out as noughts whatever the filter but for its first dot.
  let inked = 0;
  for (const byte of raw) if (byte !== 0 && byte !== 255) inked += 1;
  return { w, h, inked };
}

test('a picture of a sheet is as large as its paper and not blank', async () => {
  const png = await exportBytes(named('png:pole'), asked(boatClub, { wall: 0 }));
  const { w, h, inked } = lookAt(png ?? new Uint8Array());
  // Letter, 8 1/2 by 11 in, 150 dots an inch; the pole of one level wall is a table page and a template.
  expect(Math.abs(w - 8.5 * 150)).toBeLessThanOrEqual(1);
  expect(Math.abs(h / w - (2 * 11) / 8.5)).toBeLessThan(0.01);
  expect(inked).toBeGreaterThan(5000);
});

test('there is nothing to draw where nothing is', async () => {
  expect(await exportBytes(named('pdf:tape'), asked(boatClub, { wall: 0, run: 99 }))).toBeNull();
});
