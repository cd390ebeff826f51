import { sceneIn } from '../../scene/scene.js';
import { SHEET } from '../../stages/paperMessages.js';
import type { Show } from '../../measure/format.js';
import type { Say } from '../../messages/message.js';
import { CAUTION } from '../../stages/paper.js';
import type { WallPlan } from '../../plan/plan.js';
import { shapesOver } from '../../plan/says.js';
import { elevationScene, letterFindings } from '../../scene/elevation.js';
import { FOOTING_DRAWN } from '../../scene/outline.js';
import { poleScene } from '../../scene/pole.js';
import { coursePlanScene, tapeScene } from '../../scene/tape.js';
import { PAPER_PIXEL } from '../../scene/theme.js';
import { lettersBeside } from '../../scene/letters.js';
import { line, type SceneShape } from '../../shapes/shape.js';
import { Flow } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { ruledScale, scaleBar } from './scale.js';

/** Beside the elevation: heights, the pole and its flags; under it the tape; between courses from above; mm of paper. */
const HEIGHTS = 20;
const POLE = 5;
const FLAGS = 20;
const TAPE = 6;
const GAP = 3;
/** Right of it: the footing goes past the wall, and pours are named there. */
const RIGHT = 16;

/** Letters beside what they speak of, tied to it by a line, clear of the names in openings. `px`: millimetres to a pixel of paper. */
function lettered({ wall }: WallPlan, run: number, shapes: readonly SceneShape[], px: number): SceneShape[] {
  const isLetter = (s: SceneShape): s is Extract<SceneShape, { type: 'mark' }> =>
    s.type === 'mark' && s.text !== undefined;
  const marks = shapes.filter(isLetter);
  const at = lettersBeside(
    marks.map((m) => ({ x: m.x / px, y: -m.y / px })),
    {
      clear: wall.openings
        .filter((o) => o.run === run)
        .map((o) => {
          const [x, y] = [(o.from + o.to) / 2 / px, -(o.sill + o.head) / 2 / px];
          return { left: x - 45, right: x + 45, top: y - 22, foot: y + 26 };
        }),
      within: { left: -Infinity, right: Infinity, top: -Infinity, foot: Infinity },
    },
  );
  const placed = new Map<SceneShape, SceneShape[]>(
    marks.map((m, i) => {
      const { x, y } = { x: (at[i]?.x ?? 0) * px, y: -(at[i]?.y ?? 0) * px };
      return [m, [line('letter-tie', m.x, m.y, x, y), { ...m, x, y }]];
    }),
  );
  return shapes.flatMap((s) => placed.get(s) ?? [s]);
}

/** Site levels are said on the bench; on paper they would lie across everything. */
const onPaper = (s: SceneShape): boolean => !s.role.startsWith('level-') && s.role !== 'cell-open';

/** The sheet of one run: pole, elevation, tape, odd and even courses, and what the wall says. */
export function elevationPages(
  plan: WallPlan,
  run: number,
  show: Show,
  say: Say,
  size: PaperSize | null = null,
): Page[] {
  const { wall } = plan;
  const length = wall.runs[run]?.length ?? 0;
  const letters = letterFindings(plan.findings.filter((f) => f.run === null || f.run === run));
  const elevation = elevationScene(plan, run, letters, show);
  const flow = new Flow(paperFor(show, true, size), say(CAUTION));
  flow.say(
    'title',
    wall.runs.length > 1
      ? say(SHEET['run-of-wall']({ wall: wall.name, run: wall.runs[run]?.name ?? '' }))
      : wall.name,
  );
  flow.say('sub', say(SHEET['elevation-sub']({ length, high: wall.height, unit: wall.unit.name })), 3);
  const courses = [1, 2].map((course) => coursePlanScene(plan, run, course));
  const { box } = elevation;
  const wide = flow.wide - HEIGHTS - POLE - FLAGS - RIGHT;
  const deep = Math.max(...courses.map((c) => c.box.h));
  // Courses are drawn to the elevation's scale, so they take of its height what their depth asks.
  const under = 2 * deep + 2 * FOOTING_DRAWN;
  const scale = ruledScale(Math.min(wide / box.w, (flow.room - TAPE - 5 * GAP - 2) / (box.h + under)), show);
  scaleBar(flow, scale, { show, say, right: flow.left + flow.wide, down: flow.y - 3 });
  const px = PAPER_PIXEL / scale;
  const left = flow.left + HEIGHTS + POLE + FLAGS;
  const x = left - box.x * scale;
  const base = flow.y + 3 + box.h * scale;
  flow.place({
    scene: sceneIn(poleScene(plan, run, { show, wide: POLE / scale, px }), say),
    scale,
    x: flow.left + HEIGHTS,
    y: base,
  });
  const over = shapesOver(plan, run).filter(onPaper);
  flow.place({
    scene: sceneIn({ ...elevation, shapes: [...over, ...lettered(plan, run, elevation.shapes, px)] }, say),
    scale,
    x,
    y: base,
  });
  let down = base + FOOTING_DRAWN * scale + GAP + TAPE;
  flow.place({
    scene: sceneIn(tapeScene(plan, run, { show, high: TAPE / scale, px }), say),
    scale,
    x,
    y: down,
  });
  courses.forEach((scene, i) => {
    down += GAP + scene.box.h * scale;
    const at = down + scene.box.y * scale;
    flow.place({ scene: sceneIn(scene, say), scale, x, y: at });
    flow.text(
      'course-name',
      say(i === 0 ? SHEET.odd() : SHEET.even()),
      left - GAP,
      at - (wall.unitWidth / 2) * scale,
      'end',
    );
  });
  flow.y = down + 2 * GAP;
  for (const l of letters)
    flow.say(
      'says',
      say(SHEET.finding({ letter: l.letter, severity: l.finding.severity, says: l.finding.says })),
    );
  return flow.pages;
}
