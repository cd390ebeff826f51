import type { Said, Say } from '../../messages/message.js';
import { showMm, type Show } from '../../measure/format.js';
import type { WallPlan } from '../../plan/plan.js';
import { courseAbove, type CourseAbove } from '../../scene/courseAbove.js';
import { sceneIn } from '../../scene/scene.js';
import { PAPER_PIXEL } from '../../scene/theme.js';
import { LIST } from '../../stages/listMessages.js';
import { CAUTION } from '../../stages/paper.js';
import { SHEET } from '../../stages/paperMessages.js';
import { coursesSaid } from '../../stages/bond/lists.js';
import { Flow, leadingOf } from './flow.js';
import { paperFor, type Page, type PaperSize } from './page.js';
import { ruledScale, scaleBar } from './scale.js';

/** Courses laid alike: one card serves them all. */
export interface CourseCard {
  above: CourseAbove;
  /** Each of them, and the height of its top and its bed, mm. */
  courses: { course: number; top: number; bed: number }[];
}

/** All a course is laid by but its height: two that agree in it are one card. */
const laidBy = ({ runs, scene, behind }: CourseAbove): string =>
  JSON.stringify([
    runs.map((r) => [r.name, r.leaf, r.units.map((u) => [u.kind, u.sawn, u.length, u.from])]),
    behind.map((b) => b.picks),
    scene.shapes.filter((s) => ['bar-plan', 'tie-plan', 'bed-steel', 'joint-plan'].includes(s.role)),
  ]);

/** A wall course by course, those alike together, in the order the first of each is laid. */
export function courseCards(plan: WallPlan, show: Show, px: number): CourseCard[] {
  const cards = new Map<string, CourseCard>();
  for (const { number, top, bed } of plan.gauge.courses) {
    const above = courseAbove(plan, number, show, px);
    const key = laidBy(above);
    const card = cards.get(key) ?? { above, courses: [] };
    card.courses.push({ course: number, top, bed });
    cards.set(key, card);
  }
  return [...cards.values()];
}

/** What is sawn for a course: so many of each length. */
function cutsOf({ runs }: CourseAbove, say: Say): string[] {
  const cuts = new Map<string, { count: number; length: number; kind: Said }>();
  for (const { units, leaf } of runs)
    for (const u of units) {
      if (!u.sawn) continue;
      const key = `${leaf}|${u.kind}|${Math.round(u.length * 10)}`;
      const cut = cuts.get(key) ?? { count: 0, length: u.length, kind: LIST.kind({ kind: u.kind }) };
      cut.count += 1;
      cuts.set(key, cut);
    }
  return [...cuts.values()]
    .sort((a, b) => a.length - b.length)
    .map((c) => say(SHEET['card-cut']({ count: c.count, length: c.length, kind: c.kind })));
}

/** A drawing on a card takes of the page at most this where several stand on one. */
const SHARE = 0.32;
/** Air round a drawing for lengths written outside it, mm. */
const AIR = 7;
const AFTER = 6;

/**
 * A card for every course that is laid otherwise than another: what is picked up, what is sawn, what passes through, and how it
 * lies round the wall. Several a page, or one.
 */
export function coursePages(
  plan: WallPlan,
  {
    show,
    say,
    size = null,
    each,
  }: { show: Show; say: Say; size?: PaperSize | null; each: 'several' | 'one' },
): Page[] {
  const flow = new Flow(paperFor(show, each === 'one', size), say(CAUTION));
  const [first] = plan.gauge.courses;
  if (!first) return [];
  const { box } = courseAbove(plan, first.number, show, 10).scene;
  const most = each === 'one' ? flow.room - 62 : flow.paper.h * SHARE;
  const scale = ruledScale(Math.min((flow.wide - 2 * AIR) / box.w, (most - 2 * AIR) / box.h), show);
  const cards = courseCards(plan, show, PAPER_PIXEL / scale);
  flow.say('title', say(SHEET['cards-of']({ wall: plan.wall.name })));
  flow.say('sub', say(SHEET['cards-sub']({ cards: cards.length, courses: plan.gauge.courses.length })), 3);
  cards.forEach(({ above, courses }, i) => {
    const lines: [role: 'says' | 'says-strong', text: string][] = [
      [
        'says',
        courses
          .map((c) =>
            say(
              SHEET['card-height']({
                course: c.course,
                top: showMm(c.top, show, 64),
                bed: showMm(c.bed, show, 64),
              }),
            ),
          )
          .join('; '),
      ],
      ['says-strong', say(above.picks)],
      ...above.behind.map((b): ['says-strong', string] => [
        'says-strong',
        say(
          b.picks
            ? SHEET['card-inner']({ course: b.course, picks: b.picks })
            : SHEET['card-inner-stands']({ course: b.course }),
        ),
      ]),
      [
        'says',
        say(
          SHEET['card-passes']({
            bars: above.bars,
            ties: above.ties,
            bed: above.bedSteel ? 'some' : 'none',
          }),
        ),
      ],
    ];
    const cuts = cutsOf(above, say);
    if (cuts.length > 0) lines.push(['says', say(SHEET['card-sawn']({ cuts }))]);
    const here = above.scene.box;
    const high = here.h * scale + 2 * AIR;
    const need = leadingOf('card-title') + lines.length * leadingOf('says') + high;
    if (i > 0 && (each === 'one' || flow.room < need)) flow.newPage();
    flow.say('card-title', say(SHEET['card-of']({ courses: coursesSaid(courses.map((c) => c.course)) })));
    scaleBar(flow, scale, { show, say, right: flow.left + flow.wide, down: flow.y - 1 });
    for (const [role, text] of lines) flow.say(role, text);
    flow.place({
      scene: sceneIn(above.scene, say),
      scale,
      x: flow.left + (flow.wide - here.w * scale) / 2 - here.x * scale,
      y: flow.y + AIR + (here.h + here.y) * scale,
    });
    flow.y += high;
    flow.rule('table-rule', flow.left, flow.y, flow.left + flow.wide, flow.y);
    flow.y += AFTER;
  });
  return flow.pages;
}
