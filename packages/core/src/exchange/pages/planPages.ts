import type { Message, Say } from '../../messages/message.js';
import { SHEET } from '../../stages/paperMessages.js';
import { showMm, type Show } from '../../measure/format.js';
import type { WallWork } from '../../plan/work.js';
import { planScene } from '../../scene/plan.js';
import { CAUTION } from '../../stages/paper.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { flowDrawing } from './sheetPages.js';
import { flowTable } from './tables.js';

/** Room round a plan for its names, which are as large however small it is drawn: of its own size. */
const AIR = 0.06;

/** A curve that goes on from a straight run turns no corner. */
const turned = (turn: number): Message =>
  SHEET.turn({
    kind: Math.abs(turn) < 0.05 ? 'none' : turn > 0 ? 'left' : 'right',
    degrees: Math.round(Math.abs(turn) * 10) / 10,
  });

/** A wall from above to scale, and its runs as a table: what is set out with the tape. */
export function planPages(
  job: string,
  work: WallWork,
  show: Show,
  say: Say,
  size: PaperSize | null = null,
): Page[] {
  const { wall } = work;
  const flow = new Flow(paperFor(show, false, size), say(CAUTION));
  flow.say('title', say(SHEET['plan-of']({ wall: wall.name })));
  const deep = wall.cavity?.overall ?? wall.thickness;
  flow.say('sub', say(SHEET['plan-sub']({ job, thick: deep })), 1.5);
  const { box, shapes } = planScene(work, show);
  const air = AIR * Math.max(box.w, box.h);
  flowDrawing(
    flow,
    { box: { x: box.x - air, y: box.y - air, w: box.w + 2 * air, h: box.h + 2 * air }, shapes },
    flow.paper.h * 0.5,
    say,
    show,
  );
  flowTable(flow, {
    name: say(SHEET.runs()),
    head: [SHEET.run(), SHEET.length(), SHEET.turns(), SHEET.openings()].map(say),
    figures: [1, 2],
    rows: wall.runs.map((r, i) => {
      const corner = wall.line.corners.find((c) => c.from === i);
      const openings = wall.openings.filter((o) => o.run === i);
      return [
        r.name,
        showMm(r.length, show, 64),
        corner ? say(turned(corner.turn)) : '',
        openings.map((o) => say(SHEET['opening-at'](o))).join('; '),
      ];
    }),
  });
  return flow.pages;
}
