import type { Say } from '../../messages/message.js';
import type { Show } from '../../measure/format.js';
import type { WallPlan } from '../../plan/plan.js';
import { FOOTING_DRAWN } from '../../scene/outline.js';
import { sceneIn } from '../../scene/scene.js';
import { unfolded, type UnfoldedRun } from '../../scene/unfold.js';
import { CAUTION } from '../../stages/paper.js';
import { SHEET } from '../../stages/paperMessages.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { ruledScale, scaleBar, scalesOf } from './scale.js';

/** Smaller than this an elevation says nothing more: the wall goes on in a row under the first. */
const SMALLEST = 1 / 120;
/** Between rows for the names of runs, and between two runs for the corner they turn, mm of paper. */
const NAMES = 9;
const CORNER = 9;

/** Runs side by side as far as a row is wide. */
function rowsOf(runs: readonly UnfoldedRun[], scale: number, wide: number): UnfoldedRun[][] {
  const rows: UnfoldedRun[][] = [];
  let used = Infinity;
  for (const run of runs) {
    const long = run.length * scale + CORNER;
    if (used + long > wide + CORNER + 0.01) {
      rows.push([]);
      used = 0;
    }
    rows.at(-1)?.push(run);
    used += long;
  }
  return rows;
}

/** Every run of a wall side by side as one walks round it from outside, its corners between. */
export function unfoldedPages(plan: WallPlan, show: Show, say: Say, size: PaperSize | null = null): Page[] {
  const { wall } = plan;
  const flow = new Flow(paperFor(show, true, size), say(CAUTION));
  flow.say('title', say(SHEET['unfolded-of']({ wall: wall.name, runs: wall.runs.length })));
  flow.say('sub', say(SHEET['unfolded-sub']()), 4);
  const { runs, box } = unfolded(plan, show);
  const high = box.h + FOOTING_DRAWN;
  const longest = Math.max(...runs.map((r) => r.length));
  const fits = (scale: number): boolean =>
    longest * scale <= flow.wide &&
    rowsOf(runs, scale, flow.wide).length * (high * scale + NAMES) <= flow.room;
  // As large as they all go on one page; where that is too small to read, over pages.
  const all = scalesOf(show).find(fits) ?? 0;
  const scale =
    all >= SMALLEST
      ? all
      : ruledScale(Math.min(SMALLEST, flow.wide / longest, flow.room / (high * 1.1)), show);
  scaleBar(flow, scale, { show, say, right: flow.left + flow.wide, down: flow.y - 3 });
  for (const row of rowsOf(runs, scale, flow.wide)) {
    if (flow.room < high * scale + NAMES) flow.newPage();
    const across = row.reduce((sum, r) => sum + r.length * scale + CORNER, -CORNER);
    let x = flow.left + (flow.wide - across) / 2;
    const base = flow.y + box.h * scale + 2;
    for (const run of row) {
      const wide = run.length * scale;
      flow.place({
        // Findings are lettered on the elevation of each run, where they are also said.
        scene: sceneIn(
          {
            ...run.scene,
            shapes: run.scene.shapes.filter((s) => s.type !== 'mark' && s.role !== 'ground'),
          },
          say,
        ),
        scale,
        x,
        y: base,
      });
      const foot = base + FOOTING_DRAWN * scale + 4;
      flow.text('course-name', run.name, x + wide / 2, foot, 'middle');
      if (run.turn !== null)
        flow.text(
          'scale-name',
          say(
            SHEET.turn({
              kind: Math.abs(run.turn) < 0.05 ? 'none' : run.turn > 0 ? 'left' : 'right',
              degrees: Math.round(Math.abs(run.turn) * 10) / 10,
            }),
          ),
          x + wide + CORNER / 2,
          foot,
          'middle',
        );
      x += wide + CORNER;
    }
    flow.y = base + FOOTING_DRAWN * scale + NAMES;
  }
  return flow.pages;
}
