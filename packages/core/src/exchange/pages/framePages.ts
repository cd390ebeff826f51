import type { Say } from '../../messages/message.js';
import { sayMm, showMm, type Show } from '../../measure/format.js';
import type { Mm } from '../../measure/length.js';
import { line, shape, words, type SceneShape } from '../../shapes/shape.js';
import { CAUTION } from '../../stages/paper.js';
import { framesSheet } from '../../stages/stone/sheets.js';
import type { Laid } from '../../stages/stone/lists.js';
import { STONES_SAY as SAYS } from '../../walling/stone/messages.js';
import { offsetsAt, type Section } from '../../walling/stone/section.js';
import { endOf, stoneWork } from '../../walling/stone/work.js';
import { Flow } from './flow.js';
import { onPage, paperFor, type Page, type Paper, type PaperSize } from './page.js';
import { sheetPages } from './sheetPages.js';

/** Marks up a frame on paper, and how far the heights stand beside the plumb line, mm. */
const EVERY = 50;
const BESIDE = 4;
const INSIDE = 60;
/** What the figures beside the plumb line take. */
const MARGIN = 20;
/** Room over and under a strip for what joins it to the next, mm. */
const JOINS = 14;

/** One strip of a frame at full size: the plumb line of its base face, and how far in the line stands. */
function stripOf(at: Section, low: Mm, high: Mm, show: Show): SceneShape<string>[] {
  const inAt = (h: Mm): Mm => offsetsAt(at, h).outer;
  const shapes: SceneShape<string>[] = [
    shape('template', [
      [0, 0],
      [inAt(low), 0],
      [inAt(high), high - low],
      [0, high - low],
    ]),
  ];
  for (let h = Math.ceil(low / EVERY) * EVERY; h <= high + 1e-6; h += EVERY) {
    shapes.push(
      line('template-mark', 0, h - low, inAt(h), h - low),
      words('template-number', -BESIDE, h - low, showMm(h, show, 16), 'end'),
      // Where it is wide its figure stands inside: there is no room beside it.
      inAt(h) > INSIDE
        ? words('template-number', inAt(h) - BESIDE, h - low + 2, showMm(inAt(h), show, 16), 'end')
        : words('template-number', inAt(h) + BESIDE, h - low, showMm(inAt(h), show, 16)),
    );
  }
  return shapes;
}

/** A frame as strips to be glued one over another, each with a mark to prove that the printer did not shrink it. */
function fullSize(at: Section, name: string, papers: readonly Paper[], show: Show, say: Say): Page[] {
  const across = offsetsAt(at, at.height).outer;
  const wideOf = (p: Paper): Mm => p.w - 2 * p.margin - MARGIN;
  // On its side where it does not lie upright; what is wider still is set out by the table.
  const paper = papers.find((p) => across <= wideOf(p));
  if (across < 1 || !paper) return [];
  const pages: Page[] = [];
  const caution = say(CAUTION);
  for (let low = 0, sheet = 1; low < at.height - 1; sheet++) {
    const flow = new Flow(paper, caution);
    flow.say('sub', name);
    flow.say('says', say(SAYS['frame-strip']({ sheet, low, check: 100 })));
    const room = Math.floor((flow.room - JOINS) / EVERY) * EVERY;
    const high = Math.min(at.height, low + Math.max(EVERY, room));
    const foot = flow.foot - JOINS / 2;
    // In the clear beside a narrow strip, inside a wide one.
    const beside = wideOf(paper) - 12;
    const check = offsetsAt(at, high).outer + 40 < beside ? beside : 14;
    flow.place({
      ...onPage([
        ...stripOf(at, low, high, show),
        line('template-mark', check, 0, check, 100),
        line('template-mark', check - 3, 0, check + 3, 0),
        line('template-mark', check - 3, 100, check + 3, 100),
        words('template-number', check, 106, sayMm(100, show), 'middle'),
      ]),
      x: paper.margin + MARGIN,
      y: foot,
    });
    pages.push(...flow.pages);
    low = high;
  }
  return pages;
}

/** Batter frames: how far in each line stands as a table, and one face of each frame at full size. */
export function framePages(
  job: string,
  work: Laid,
  show: Show,
  say: Say,
  size: PaperSize | null = null,
): Page[] {
  const { wall, gauge } = work;
  if (!wall.stone)
    return sheetPages(
      {
        title: say(SAYS['frames-of']({ wall: wall.name })),
        sub: '',
        says: [say(SAYS['lines-none']())],
        drawing: null,
        tables: [],
        caution: say(CAUTION),
      },
      show,
      say,
      size,
    );
  const sheet = framesSheet(job, work, 0, show, say);
  const seen = new Set<string>();
  const papers = [paperFor(show, false, size), paperFor(show, true, size)];
  const frames = stoneWork(wall, gauge).runs.flatMap((r) =>
    ([0, 1] as const).flatMap((end) => {
      const at = endOf(r, end);
      const key = `${at.base}/${at.top}/${at.height}`;
      if (seen.has(key)) return [];
      seen.add(key);
      const name = say(
        SAYS['frame-at']({
          run: wall.runs[r.run]?.name ?? '',
          end: end === 0 ? 'start' : 'end',
          high: at.height,
        }),
      );
      return fullSize(at, name, papers, show, say);
    }),
  );
  return [...sheetPages(sheet, show, say, size), ...frames];
}
