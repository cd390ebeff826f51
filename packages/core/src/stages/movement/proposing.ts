import { SAME_PLACE, type Mm } from '../../measure/length.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { lineOf, moduleOf, within } from '../../walling/units/lines/lines.js';
import { PLAIN_JOINT_WIDTH } from '../../tables/movement.js';
import type { SetWall } from '../set-out/wall.js';
import { isDue, jointSpacing, roundCorner, type MovementPanel } from './spacing.js';
import { BEARING, isIn, kindPlaces, weakPlaces, type Span } from './weak.js';

/** Where joints would stand evenly, fewest first: end panels as their allowances, the rest whole spacings. */
function evenPlaces(panel: MovementPanel, every: number, count: number): number[] {
  const length = panel.to - panel.from;
  const scale = length / (panel.fromStart + (count - 1) * every + panel.fromEnd);
  return Array.from({ length: count }, (_, i) => panel.from + scale * (panel.fromStart + i * every));
}

/** A joint off a place that is as good as another costs as much as standing so far from even, in spacings: common practice. */
const UNKIND = 0.15;
/** One that leaves an opening without the joint it wants costs a second joint. */
const LEAVES_WEAK = 0.7;
/** A bar more, beside a spacing that its panel just overruns. */
const A_BAR = 0.01;

/** Lengths of a run where a joint may stand: clear of corners and ends, of openings and of what their lintels bear on. */
export function lawfulSpans(wall: SetWall, run: number): Span[] {
  const length = wall.runs[run]?.length ?? 0;
  const clear = (end: 'start' | 'end'): number =>
    roundCorner(wall, run, end) === null
      ? moduleOf(wall)
      : Math.max(wall.movement?.clearOfCorner ?? 0, wall.thickness);
  let from = clear('start');
  const spans: Span[] = [];
  const openings = wall.openings.filter((o) => o.run === run).sort((a, b) => a.from - b.from);
  for (const o of openings) {
    if (o.from - BEARING > from) spans.push({ from, to: o.from - BEARING });
    from = Math.max(from, o.to + BEARING);
  }
  const to = length - clear('end');
  if (to > from) spans.push({ from, to });
  return spans;
}

/** Perps a joint could take the place of, in order, where one may stand. */
export function perpPlaces(wall: SetWall, run: BondedRun): number[] {
  const places = [1, 2].flatMap((course) => {
    const line = lineOf(run.lines, course);
    return line.u.slice(1, -1).map((u) => u - line.joint / 2);
  });
  const perps = [...new Set(places.map((at) => Math.round(at * 1000) / 1000))].sort((a, b) => a - b);
  return lawfulSpans(wall, run.index).flatMap((s) => within(perps, s.from, s.to));
}

/** Places off the perps, an inch or 25 mm apart: where no perp serves, units are sawn. */
function sawnPlaces(wall: SetWall, run: number): number[] {
  const step = wall.show === 'ft-in' ? 25.4 : 25;
  return lawfulSpans(wall, run).flatMap((s) => {
    const first = Math.ceil(s.from / step);
    return Array.from(
      { length: Math.max(0, Math.floor(s.to / step) - first + 1) },
      (_, i) => (first + i) * step,
    );
  });
}

interface Way {
  at: Mm;
  cost: number;
  before: Way | null;
}

/**
 * Places for `count` joints among those given, each panel within its limit: those first that give an opening the joint it wants, then
 * nearest to even, beside piers and changes of height, and with the fewest bars. Null where no such places are. Shortest path over
 * the places, so the best there is.
 */
function placed(
  wall: SetWall,
  panel: MovementPanel,
  every: number,
  count: number,
  all: readonly number[],
): number[] | null {
  const even = evenPlaces(panel, every, count);
  const kind = kindPlaces(wall, panel.run);
  const weak = weakPlaces(wall, panel.run).flatMap((p) => p.spans);
  const half = (wall.movement?.width ?? PLAIN_JOINT_WIDTH) / 2;
  const bars = wall.steel?.vertical?.every;
  const barsIn = (from: number, to: number): number =>
    bars === undefined ? 0 : A_BAR * Math.ceil((to - from) / bars - 1e-6);
  const cost = (x: number, i: number): number =>
    ((x - (even[i] ?? x)) / every) ** 2 +
    (weak.length > 0 && !isIn(weak, x) ? LEAVES_WEAK ** 2 : 0) +
    (kind.length > 0 && !isIn(kind, x) ? UNKIND ** 2 : 0);
  // A joint further from its even place than a spacing leaves another panel too long.
  const near = (i: number): readonly number[] => within(all, (even[i] ?? 0) - every, (even[i] ?? 0) + every);
  let ways: Way[] = near(0)
    .filter((x) => x - half > panel.from && x - half - panel.from <= panel.fromStart + SAME_PLACE)
    .map((x) => ({ at: x, cost: cost(x, 0) + barsIn(panel.from, x), before: null }));
  for (let i = 1; i < count; i++) {
    const last = ways;
    ways = near(i).flatMap((x): Way[] => {
      let best: Way | null = null;
      for (const w of last) {
        if (w.at >= x - 2 * half || x - w.at - 2 * half > every + SAME_PLACE) continue;
        const own = w.cost + barsIn(w.at, x);
        if (best === null || own < best.cost) best = { at: x, cost: own, before: w };
      }
      return best ? [{ ...best, cost: best.cost + cost(x, i) }] : [];
    });
  }
  const done = ways
    .filter((w) => w.at + half < panel.to && panel.to - w.at - half <= panel.fromEnd + SAME_PLACE)
    .map((w) => ({ ...w, cost: w.cost + barsIn(w.at, panel.to) }));
  const best = done.reduce<Way | null>((b, w) => (b === null || w.cost < b.cost ? w : b), null);
  if (!best) return null;
  const places: number[] = [];
  for (let w: Way | null = best; w; w = w.before) places.unshift(w.at);
  return places;
}

/** Joints for a panel longer than it may be: as few as the rule lets, on perps where it can be, else sawn; null where none may stand. */
export function proposedJoints(wall: SetWall, run: BondedRun, panel: MovementPanel): number[] | null {
  const every = jointSpacing(wall, panel.run);
  if (every === null || !isDue(panel)) return [];
  const length = panel.to - panel.from;
  const fewest = Math.max(1, Math.ceil((length - panel.fromStart - panel.fromEnd) / every - 1e-9) + 1);
  const loose = { ...panel, fromStart: panel.atStart, fromEnd: panel.atEnd };
  for (const make of [() => perpPlaces(wall, run), () => sawnPlaces(wall, panel.run)]) {
    const places = make();
    for (const [limits, count] of [
      [panel, fewest],
      [loose, fewest],
      [panel, fewest + 1],
    ] as const) {
      const found = placed(wall, limits, every, count, places);
      if (found) return found;
    }
  }
  return null;
}
