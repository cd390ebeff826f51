import type { Say } from '../../messages/message.js';
import { sayMm, type Show } from '../../measure/format.js';
import type { WallPlan } from '../../plan/plan.js';
import { sceneIn } from '../../scene/scene.js';
import { sectionOf } from '../../scene/section.js';
import { CAUTION } from '../../stages/paper.js';
import { SHEET } from '../../stages/paperMessages.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { ruledScale, scaleBar } from './scale.js';

/** Words stand outside the drawing on either side, mm of paper. */
const BESIDE = 30;

/** A run cut through where it shows most, as large as the page takes. */
export function sectionPages(
  plan: WallPlan,
  run: number,
  show: Show,
  say: Say,
  size: PaperSize | null = null,
): Page[] {
  const flow = new Flow(paperFor(show, false, size), say(CAUTION));
  const { scene, at } = sectionOf(plan, run, show);
  const name = plan.wall.runs[run]?.name ?? '';
  flow.say('title', say(SHEET['section-of']({ run: name })));
  flow.say('sub', say(SHEET['section-sub']({ wall: plan.wall.name, at: sayMm(at, show) })), 8);
  const { box } = scene;
  const scale = ruledScale(Math.min((flow.wide - 2 * BESIDE) / box.w, (flow.room - 6) / box.h), show);
  scaleBar(flow, scale, { show, say, right: flow.left + flow.wide, down: flow.y - 3 });
  flow.place({
    scene: sceneIn(scene, say),
    scale,
    x: flow.left + (flow.wide - box.w * scale) / 2 - box.x * scale,
    y: flow.y + (box.h + box.y) * scale,
  });
  return flow.pages;
}
