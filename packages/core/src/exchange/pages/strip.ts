import type { Mm } from '../../measure/length.js';
import type { Say } from '../../messages/message.js';
import { line, words, type SceneShape } from '../../shapes/shape.js';
import { SHEET } from '../../stages/paperMessages.js';
import { sizeOf } from './flow.js';
import { onPage, type Page } from './page.js';
import { fitted } from './textWidth.js';

/** From the foot of the page to the strip’s rule and to its words, mm: inside what a printer reaches. */
const RULE = 11.5;
const WORDS = 7.5;
const SIDE: Mm = 14;

/** A page and what it is one of. */
export interface Titled {
  page: Page;
  wall: string;
  sheet: string;
}

/** The strip along the foot of every page: whose it is, what it shows, and which of how many it is. */
export function withStrip(pages: readonly Titled[], job: string, say: Say): Page[] {
  return pages.map(({ page, wall, sheet }, i) => {
    const wide = page.w - 2 * SIDE;
    const size = sizeOf('strip');
    const put = (text: string, x: Mm, share: number, anchor: 'start' | 'middle' | 'end') =>
      words('strip', x, WORDS - page.h, fitted(text, wide * share, size, true), anchor);
    const shapes: SceneShape<string>[] = [
      line('strip-rule', SIDE, RULE - page.h, page.w - SIDE, RULE - page.h),
      put(
        [job, wall].filter((t, k, all) => t !== '' && all.indexOf(t) === k).join(' · '),
        SIDE,
        0.42,
        'start',
      ),
      put(sheet, page.w / 2, 0.34, 'middle'),
      put(say(SHEET['sheet-of']({ sheet: i + 1, sheets: pages.length })), page.w - SIDE, 0.2, 'end'),
    ];
    return { ...page, parts: [...page.parts, onPage(shapes)] };
  });
}
