import type { Say } from '../../messages/message.js';
import { spoken } from '../../shapes/shape.js';
import type { Mm } from '../../measure/length.js';
import type { Show } from '../../measure/format.js';
import type { PaperSheet } from '../../stages/paper.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { ruledScale, scaleBar } from './scale.js';
import { flowTable } from './tables.js';

/** Share of a page's height a drawing above tables takes at most. */
const SHARE = 0.36;

/**
 * What is drawn of a sheet, across the page and as large as its width and `most` of height let it be: by a scale of a rule with its bar where `ruled`
 * says in which measure.
 */
export function flowDrawing(
  flow: Flow,
  drawing: NonNullable<PaperSheet['drawing']>,
  most: Mm,
  say: Say,
  ruled: Show | null = null,
): void {
  const { box, shapes } = drawing;
  const fits = Math.min(flow.wide / Math.max(1, box.w), most / Math.max(1, box.h));
  const scale = ruled ? ruledScale(fits, ruled) : fits;
  if (flow.room < box.h * scale) flow.newPage();
  if (ruled) scaleBar(flow, scale, { show: ruled, say, right: flow.left + flow.wide, down: flow.y - 3 });
  const left = flow.left + (flow.wide - box.w * scale) / 2;
  flow.place({
    scene: { box, pieces: null, shapes: spoken(shapes, say) },
    scale,
    x: left - box.x * scale,
    y: flow.y + 2 + (box.h + box.y) * scale,
  });
  flow.y += box.h * scale + 5;
}

/** Any sheet of tables and a drawing as pages: black on white, its caution at the foot of every one. */
export function sheetPages(sheet: PaperSheet, show: Show, say: Say, size: PaperSize | null = null): Page[] {
  const flow = new Flow(paperFor(show, false, size), sheet.caution);
  flow.say('title', sheet.title);
  flow.say('sub', sheet.sub, 1.5);
  for (const says of sheet.says) flow.say('says', says);
  if (sheet.drawing)
    flowDrawing(flow, sheet.drawing, sheet.tables.length > 0 ? flow.paper.h * SHARE : flow.room - 6, say);
  for (const table of sheet.tables) flowTable(flow, table);
  return flow.pages;
}
