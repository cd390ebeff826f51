import type { Say } from '../../messages/message.js';
import { SHEET } from '../../stages/paperMessages.js';
import type { Show } from '../../measure/format.js';
import { showMm } from '../../measure/format.js';
import type { TapeSheet } from '../tapeSheet.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';

const ROW = 4.6;
const COLUMN = 42;
const BETWEEN = 5;

/** Running marks down the page, course by course, in as many columns as they need. */
export function tapePages(sheet: TapeSheet, show: Show, say: Say, size: PaperSize | null = null): Page[] {
  const flow = new Flow(paperFor(show, false, size), sheet.caution);
  flow.say('title', sheet.title);
  flow.say('sub', sheet.sub, 1.5);
  flow.say('says', say(SHEET['tape-rule']()), 4);
  let top = flow.y;
  let [x, y] = [flow.left, top];
  const next = (): void => {
    x += COLUMN + BETWEEN;
    y = top;
    if (x + COLUMN <= flow.left + flow.wide) return;
    flow.newPage();
    [x, top, y] = [flow.left, flow.y, flow.y];
  };
  sheet.courses.forEach((c, i) => {
    if (i > 0) next();
    y += ROW + 0.6;
    flow.text(
      'table-head',
      say(SHEET['tape-course']({ course: c.course, odd: c.course % 2 === 1 ? 'odd' : 'even' })),
      x,
      y,
    );
    y += 0.6;
    c.marks.forEach((m, n) => {
      if (y + ROW > flow.foot) next();
      y += ROW;
      flow.text('table-cell', String(n + 1), x + 7, y, 'end');
      flow.text('table-cell', showMm(m.at, show, 64), x + 31, y, 'end');
      flow.text('table-cell', say(SHEET['tape-mark']({ what: m.what })), x + 33, y);
    });
  });
  return flow.pages;
}
