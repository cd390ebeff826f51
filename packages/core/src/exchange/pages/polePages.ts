import type { Say } from '../../messages/message.js';
import { SHEET } from '../../stages/paperMessages.js';
import { sayMm, showMm, type Show } from '../../measure/format.js';
import type { Mm } from '../../measure/length.js';
import { line, rect, words, type SceneShape } from '../../shapes/shape.js';
import type { PoleSheet } from '../poleSheet.js';
import { Flow, leadingOf, sizeOf } from './flow.js';
import { onPage, paperFor, type Page, type Paper, type PaperSize } from './page.js';
import { fitted } from './textWidth.js';

const ROW = 5.3;
/** Longest full-size template that lies on a sheet with its ruler beside it, mm. */
const TEMPLATE = 230;
/** The strip beside the table: how wide it is, and how far a fixed height is marked past it, mm. */
const STRIP = 8;
const PAST = 3.5;

interface Column {
  x: Mm;
  width: Mm;
  right: boolean;
  head: string;
}

function columns(left: Mm, say: Say): Column[] {
  return [
    { x: left, width: 14, right: true, head: say(SHEET.course()) },
    { x: left + 17, width: 21, right: true, head: say(SHEET.bed()) },
    { x: left + 41, width: 31, right: true, head: say(SHEET['top-from-base']()) },
    { x: left + 75, width: 25, right: true, head: say(SHEET.mm()) },
    { x: left + 104, width: 67, right: false, head: say(SHEET['lands-here']()) },
  ];
}

function heading(flow: Flow, sheet: PoleSheet, say: Say): void {
  flow.say('title', sheet.title);
  flow.say('sub', sheet.sub, 1.5);
  flow.say('says', say(SHEET['pole-rule']()));
  flow.say('says', say(SHEET['pole-nails']({ spacings: sheet.spacing })));
  if (sheet.missed.length > 0) flow.say('says-strong', say(SHEET['pole-missed']({ missed: sheet.missed })));
  if (sheet.stands.length > 0) {
    const stands = sheet.stands.map((s) => SHEET['stand-from']({ ...s, first: s.up + 1 }));
    flow.say('says', say(SHEET['pole-stands']({ stands })));
  }
  if (sheet.oldPitch !== null) flow.say('says', say(SHEET['pole-old']({ pitch: sheet.oldPitch })));
  flow.y += 3;
}

/** The pole to scale at the left edge of the page, one strip for the rows on this page. */
function strip(flow: Flow, rows: PoleSheet['rows'], top: Mm, bottom: Mm): void {
  const [first, last] = [rows[0], rows.at(-1)];
  if (!first || !last) return;
  const base = first.top - first.bed - first.unit;
  const scale = (bottom - top) / (last.top - base);
  const y = (mm: number): number => bottom - (mm - base) * scale;
  const { left } = flow;
  flow.put(rect('template', left, -bottom, STRIP, bottom - top));
  for (const r of rows) {
    const at = y(r.top);
    flow.rule('pole-mark', left, at, left + STRIP, at);
    if (r.fixed.length > 0) flow.rule('pole-fixed', left + STRIP, at, left + STRIP + PAST, at);
    if (r.old && r.old.top > base && r.old.top <= last.top)
      flow.rule('pole-old', left + STRIP / 2, y(r.old.top), left + STRIP + PAST, y(r.old.top));
    const high = (r.bed + r.unit) * scale;
    if (high >= sizeOf('pole-number') * 1.1)
      flow.text('pole-number', String(r.course), left + STRIP / 2, at + high / 2, 'middle');
  }
}

/** How a mark stands to the old work's nearest course. */
function oldNote({ old }: PoleSheet['rows'][number], say: Say): string {
  if (!old) return '';
  const by = Math.abs(old.above);
  const where = by < 0.5 ? 'level' : old.above > 0 ? 'above' : 'below';
  return say(SHEET['old-note']({ where, by, course: old.course }));
}

/** Heights lowest at the foot of the page, as they stand on the pole. */
function tablePages(flow: Flow, sheet: PoleSheet, show: Show, say: Say): void {
  heading(flow, sheet, say);
  const cols = columns(flow.left + STRIP + PAST + 3, say);
  const put = (role: 'table-head' | 'table-cell', text: string, c: Column, down: Mm): void =>
    flow.text(
      role,
      fitted(text, c.width, sizeOf(role), role === 'table-head'),
      c.right ? c.x + c.width : c.x,
      down,
      c.right ? 'end' : 'start',
    );
  let rest = sheet.rows;
  while (rest.length > 0) {
    flow.y += leadingOf('table-head');
    cols.forEach((c) => put('table-head', c.head, c, flow.y - 1.2));
    const start = flow.y;
    const fit = Math.max(1, Math.floor(flow.room / ROW));
    const here = rest.slice(0, fit);
    rest = rest.slice(fit);
    strip(flow, here, start, start + here.length * ROW);
    [...here].reverse().forEach((r, i) => {
      const down = start + (i + 1) * ROW;
      const cells = [
        String(r.course),
        showMm(r.bed, show, 64),
        showMm(r.top, show, 64),
        r.top.toFixed(2),
        say(
          SHEET.lands({
            what: [r.fixed.map(say).join(', '), oldNote(r, say)].filter(Boolean).join('; '),
            kind: r.kind,
          }),
        ),
      ];
      cols.forEach((c, k) => put('table-cell', cells[k] ?? '', c, down - 1.5));
      flow.rule('table-rule', flow.left + STRIP + PAST + 3, down, flow.left + flow.wide, down);
    });
    if (rest.length > 0) flow.newPage();
  }
}

/** A full-size strip of the first courses, with a ruler to prove that the printer did not shrink it. */
function template(paper: Paper, sheet: PoleSheet, show: Show, say: Say): Page[] {
  const rows = sheet.rows.filter((r) => r.top <= TEMPLATE);
  const last = rows.at(-1)?.top ?? 0;
  if (rows.length === 0) return [];
  const check = show === 'mm' ? 100 : 4 * 25.4;
  const flow = new Flow(paper, '');
  flow.say('sub', say(SHEET.template()));
  flow.say('says', say(SHEET['template-rule']({ check, count: rows.length })));
  const shapes: SceneShape<string>[] = [rect('template', 0, 0, 42, last)];
  for (const r of rows)
    shapes.push(
      line('template-mark', 0, r.top, 42, r.top),
      line('pole-old', 0, r.top - r.unit, 42, r.top - r.unit),
      words('template-number', 46, r.top, `${r.course}   ${showMm(r.top, show, 64)}`),
    );
  const x = paper.w - 2 * paper.margin - 21;
  const parts = show === 'mm' ? 10 : 4;
  shapes.push(line('template-mark', x, 0, x, check));
  for (let i = 0; i <= parts; i++) {
    const y = (check / parts) * i;
    shapes.push(line('template-mark', x, y, x + (i % parts === 0 ? 6 : 3), y));
  }
  shapes.push(words('template-number', x, check + 4, sayMm(check, show), 'middle'));
  flow.place({ ...onPage(shapes), x: paper.margin, y: paper.h - paper.margin });
  return flow.pages;
}

/** The story pole on paper: its marks as a table beside the pole to scale, and a small full-size template. */
export function polePages(sheet: PoleSheet, show: Show, say: Say, size: PaperSize | null = null): Page[] {
  const paper = paperFor(show, false, size);
  const flow = new Flow(paper, sheet.caution);
  tablePages(flow, sheet, show, say);
  for (const level of new Set(sheet.stands.map((s) => s.up).filter((up) => up > 0))) {
    const at = sheet.stands.filter((s) => s.up === level);
    flow.newPage();
    const own = {
      ...sheet,
      title: say(SHEET['pole-for']({ pole: sheet.title, corners: at.map((s) => s.where) })),
      rows: sheet.rows.filter((r) => r.course > level),
      stands: [],
    };
    tablePages(flow, own, show, say);
  }
  return [...flow.pages, ...template(paper, sheet, show, say)];
}
