import { SAME_PLACE } from '../../../measure/length.js';
import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { countsOf, type Counts } from './lineCost.js';
import type { RevealOf } from '../bonds/bondRule.js';
import { bondRule } from '../bonds/registry.js';
import {
  headLimits,
  lineOf,
  within,
  type ClassedEnds,
  type PerpLine,
  type RunLines,
  type Span,
} from './lines.js';
import { spanLines, type LaidSpan } from './span.js';

/** Where a perp meets an opening: the unit on its left ends at `at`, the one on its right begins a joint further on. */
interface Reveal {
  at: number;
  openings: number[];
}

function revealsOf(wall: SetWall, openings: readonly SetOpening[]): Reveal[] {
  const list: Reveal[] = [];
  const jambs = openings.flatMap((o) => [o.from, o.to - wall.head].map((at) => ({ at, index: o.index })));
  for (const { at, index } of jambs.sort((a, b) => a.at - b.at)) {
    const last = list.at(-1);
    if (last && at - last.at < 1) last.openings.push(index);
    else list.push({ at, openings: [index] });
  }
  return list;
}

/** Openings with a jamb that no perp of these lines meets within a joint's tolerance. */
export function offLines(wall: SetWall, openings: readonly SetOpening[], lines: RunLines): SetOpening[] {
  const limits = headLimits(wall);
  const fits = (off: number): boolean =>
    off <= limits.most - wall.head + SAME_PLACE && -off <= wall.head - limits.least + SAME_PLACE;
  const reach = 2 * wall.head + 50;
  const met = (x: number, of: (u: number, joint: number) => number): boolean =>
    lines.some((l) => within(l.u, x - reach, x + reach).some((u) => fits(of(u, l.joint))));
  return openings.filter((o) => !met(o.from, (u, j) => o.from - (u - j)) || !met(o.to, (u) => u - o.to));
}

interface Panel {
  span: Span;
  left: Reveal | null;
  right: Reveal | null;
  /** Part of the wall's height it stands in: less for what is only under and over an opening. */
  part: number;
  /** The opening that makes its cuts. */
  opening: number;
}

function panelsOf(
  wall: SetWall,
  span: Span,
  reveals: readonly Reveal[],
  off: readonly SetOpening[],
): Panel[] {
  const edges: (Reveal | null)[] = [null, ...reveals, null];
  const offAt = new Map(off.map((o) => [o.index, o]));
  return edges.slice(0, -1).map((left, i): Panel => {
    const right = edges[i + 1] ?? null;
    const atLeft = left?.openings ?? [];
    const atRight = right?.openings ?? [];
    const first = (list: readonly number[]): SetOpening | undefined =>
      offAt.get(list.find((i) => offAt.has(i)) ?? -1);
    const inside = first(atLeft.filter((i) => atRight.includes(i)));
    const beside = first([...atLeft, ...atRight]);
    return {
      span: { from: left ? left.at + wall.head : span.from, to: right ? right.at : span.to },
      left,
      right,
      part: inside ? Math.max(0.1, 1 - (inside.head - inside.sill) / wall.height) : 1,
      opening: (inside ?? beside)?.index ?? -1,
    };
  });
}

/** How the courses come to a reveal; null at the ends of a run. */
type Way = readonly RevealOf[] | null;

/** A way to come to a reveal: the panel before it as it is laid, and the way to that one. */
interface WayAlong {
  cost: number;
  /** How the courses come to the reveal it ends at. */
  reveal: Way;
  panel: LaidSpan | null;
  before: WayAlong | null;
}

/**
 * The lines of a run, or a section of one, whose openings stand off its bond, laid panel by panel so that every reveal is sound: a whole
 * unit and a half by turns. What does not divide is eased over the panel's perps or cut in the middle of it, or under
 * the opening. Null where the run's own lines serve, or where its openings crowd one another.
 */
export function panelLines(
  wall: SetWall,
  openings: readonly SetOpening[],
  off: readonly SetOpening[],
  span: Span,
  classes: readonly ClassedEnds[],
  base: RunLines,
  courses: number,
): { lines: RunLines; cost: number } | null {
  if (wall.cuts !== 'panel' || off.length === 0) return null;
  const sound = bondRule(wall).reveals(
    wall,
    classes.map((c) => c.course),
  );
  if (sound.length === 0) return null;
  const reveals = revealsOf(wall, openings);
  const module = wall.unitLength + wall.head;
  const panels = panelsOf(wall, span, reveals, off);
  if (panels.some((p) => p.span.to - p.span.from < module)) return null;
  const countsIn = (panel: Panel): Counts => countsOf(Math.max(1, Math.round(courses * panel.part)), 2);
  const laidAnew = (panel: Panel, left: Way, right: Way): LaidSpan =>
    spanLines(
      wall,
      panel.span,
      classes.map(({ ends, course }, i) => ({
        course,
        ends: { start: left?.[i]?.after ?? ends.start, end: right?.[i]?.before ?? ends.end },
      })),
      wall.head,
      (panel.span.from + panel.span.to) / 2,
      countsIn(panel),
    );
  // Windows alike have panels alike: of those between two reveals each is laid once.
  const between = new Map<string, LaidSpan>();
  const nameOf = (way: Way): number => (way ? sound.indexOf(way as RevealOf[]) : -1);
  const laid = (panel: Panel, left: Way, right: Way): LaidSpan => {
    if (!panel.left || !panel.right) return laidAnew(panel, left, right);
    const length = Math.round((panel.span.to - panel.span.from) * 1e6);
    const key = `${length}|${countsIn(panel).meets}|${nameOf(left)}|${nameOf(right)}`;
    const own = between.get(key) ?? laidAnew(panel, left, right);
    between.set(key, own);
    return own;
  };
  // Reveal by reveal, the cheapest way to come to it each way it may be come to.
  let ways: WayAlong[] = [{ cost: 0, reveal: null, panel: null, before: null }];
  for (const panel of panels) {
    const to: Way[] = panel.right ? sound : [null];
    ways = to.map((reveal) =>
      ways
        .map((before): WayAlong => {
          const own = laid(panel, before.reveal, reveal);
          return { cost: before.cost + own.cost, reveal, panel: own, before };
        })
        .reduce((best, way) => (way.cost < best.cost - 1e-9 ? way : best)),
    );
  }
  const best = ways.reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a));
  const along: PanelLaid[] = [];
  let way: WayAlong | null = best;
  for (const panel of [...panels].reverse()) {
    if (!way?.panel) break;
    along.push({ panel, lines: way.panel.lines(panel.span.from), reveal: way.reveal });
    way = way.before;
  }
  along.reverse();
  const lines = classes.map((_, i) => ({
    ...joinedPanels(wall, along, i),
    off: off.map((o) => o.index),
    own: lineOf(base, i + 1),
  }));
  return { lines, cost: best.cost };
}

/** What the lines of a run laid to sound reveals say of its panels: the openings they were laid to, and whose cuts stand where. */
export function markedPanels(
  wall: SetWall,
  openings: readonly SetOpening[],
  off: readonly SetOpening[],
  span: Span,
  lines: RunLines,
  base: RunLines,
): RunLines {
  const panels = panelsOf(wall, span, revealsOf(wall, openings), off);
  return lines.map((l, i) => ({
    ...l,
    panels: panels.map((p) => ({ ...p.span, opening: p.opening })),
    off: off.map((o) => o.index),
    own: lineOf(base, i + 1),
  }));
}

/** A panel as it is laid, and how its courses come to the reveal it ends at. */
interface PanelLaid {
  panel: Panel;
  lines: RunLines;
  reveal: Way;
}

/** The lines of the panels as one: at a reveal where the unit stands astride, its two parts are one unit. */
function joinedPanels(wall: SetWall, along: readonly PanelLaid[], course: number): PerpLine {
  const u: number[] = [];
  const limits = headLimits(wall);
  along.forEach(({ lines }, k) => {
    const own = lineOf(lines, course + 1).u;
    const astride = along[k - 1]?.reveal?.[course]?.astride ?? null;
    const joint = (own[1] ?? 0) - (u.at(-1) ?? 0) - (astride ?? 0);
    const fits = joint >= limits.least - SAME_PLACE && joint <= limits.most + SAME_PLACE;
    // Under and over the opening the two parts are one unit astride the jamb.
    const first = astride !== null && fits ? 1 : 0;
    for (const x of k < along.length - 1 ? own.slice(first, -1) : own.slice(first)) u.push(x);
  });
  const [first, last] = [along[0], along.at(-1)].map((p) => lineOf((p as PanelLaid).lines, course + 1)) as [
    PerpLine,
    PerpLine,
  ];
  u[u.length - 1] = (last.u.at(-1) ?? 0) - last.joint + wall.head;
  return {
    u,
    joint: wall.head,
    shownAtStart: first.shownAtStart,
    shownAtEnd: last.shownAtEnd,
    leads: { start: first.leads?.start ?? [], end: last.leads?.end ?? [] },
    panels: along.map(({ panel }) => ({ ...panel.span, opening: panel.opening })),
  };
}
