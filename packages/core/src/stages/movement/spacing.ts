import { SAME_PLACE, type Mm } from '../../measure/length.js';
import { isTangent } from '../set-out/line.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import { lineOf } from '../../walling/units/lines/lines.js';
import type { SetWall } from '../set-out/wall.js';
import { BEARING, isIn, kindPlaces } from './weak.js';

/** What stands at one end of a panel. */
export type PanelEnd = 'corner' | 'free' | 'joint';

/** Wall between two places where it may move: joint, free end, or the corner it turns. mm along its run. */
export interface MovementPanel {
  run: number;
  from: Mm;
  to: Mm;
  start: PanelEnd;
  end: PanelEnd;
  /** How far the first joint may stand from each end, and how long it may be with none. */
  fromStart: number;
  fromEnd: number;
  most: Mm;
}

/** Joint to joint, mm: as the drawing says, else by the profile's rule; null where there is neither. */
export function jointSpacing(wall: SetWall, run: number): Mm | null {
  if (wall.jointEvery !== null) return wall.jointEvery;
  const openings = wall.openings.filter((o) => o.run === run).length;
  const freeStanding = wall.held === 'free-standing';
  return wall.movement?.every({ height: wall.height, openings, freeStanding }) ?? null;
}

/** Joints of a run, those refused too: a mason who refused one knows that the wall goes on there. */
const jointsOn = (wall: SetWall, run: number): { from: number; to: number }[] =>
  wall.joints.filter((j) => j.run === run).sort((a, b) => a.from - b.from);

/** The run round the corner at one end, or null where there is none. A run that goes on without turning is no corner. */
function roundCorner(wall: SetWall, run: number, end: 'start' | 'end'): number | null {
  const corner = wall.line.corners.find((c) => (end === 'start' ? c.to : c.from) === run);
  if (!corner || isTangent(corner.turn)) return null;
  return end === 'start' ? corner.from : corner.to;
}

/** How far the wall goes round a corner before it may move, mm. */
function legFrom(wall: SetWall, run: number, end: 'start' | 'end'): number {
  const length = wall.runs[run]?.length ?? 0;
  const joints = jointsOn(wall, run);
  return end === 'start' ? (joints[0]?.from ?? length) : length - (joints.at(-1)?.to ?? 0);
}

/** How far the first joint may stand from a corner: what the leg round it leaves of the spacing. */
function allowance(wall: SetWall, run: number, end: 'start' | 'end', every: number): number {
  const other = roundCorner(wall, run, end);
  if (other === null) return every;
  const rule = wall.movement?.fromCorner(every) ?? every / 2;
  const leg = legFrom(wall, other, end === 'start' ? 'end' : 'start');
  return leg <= rule + SAME_PLACE ? every - leg : rule;
}

/** The panels of a run and how long each may be; empty where no rule is known. */
export function panelsOfRun(wall: SetWall, run: number): MovementPanel[] {
  const every = jointSpacing(wall, run);
  const length = wall.runs[run]?.length ?? 0;
  if (every === null) return [];
  const joints = jointsOn(wall, run);
  const edges = [{ from: 0, to: 0 }, ...joints, { from: length, to: length }];
  return edges.slice(0, -1).map((left, i): MovementPanel => {
    const right = edges[i + 1] as { from: number; to: number };
    const endOf = (outer: boolean, end: 'start' | 'end'): PanelEnd =>
      !outer ? 'joint' : roundCorner(wall, run, end) === null ? 'free' : 'corner';
    const start = endOf(i === 0, 'start');
    const end = endOf(i === edges.length - 2, 'end');
    const fromStart = start === 'corner' ? allowance(wall, run, 'start', every) : every;
    const fromEnd = end === 'corner' ? allowance(wall, run, 'end', every) : every;
    return {
      run,
      from: left.to,
      to: right.from,
      start,
      end,
      fromStart,
      fromEnd,
      most: Math.min(fromStart, fromEnd),
    };
  });
}

export const isDue = (p: MovementPanel): boolean => p.to - p.from > p.most + SAME_PLACE;

/** Where joints would stand evenly, fewest first: end panels as their allowances, the rest whole spacings. */
function evenPlaces(panel: MovementPanel, every: number, count: number): number[] {
  const length = panel.to - panel.from;
  const scale = length / (panel.fromStart + (count - 1) * every + panel.fromEnd);
  return Array.from({ length: count }, (_, i) => panel.from + scale * (panel.fromStart + i * every));
}

/** A joint that may stand at a weak place is worth moving this far of a spacing for: common practice. */
const WEAK_PLACE = 0.15;

/** Perps a joint could take the place of: clear of openings and of what their lintels bear on. */
export function perpPlaces(wall: SetWall, run: BondedRun): number[] {
  const openings = wall.openings.filter((o) => o.run === run.index).sort((a, b) => a.from - b.from);
  const places = [1, 2].flatMap((course) => {
    const line = lineOf(run.lines, course);
    return line.u.slice(1, -1).map((u) => u - line.joint / 2);
  });
  const clear: number[] = [];
  // Both lists are in order: a place is past all openings that end before it, and only the next may take it.
  let next = 0;
  let end = -Infinity;
  for (const x of [...new Set(places.map((at) => Math.round(at * 1000) / 1000))].sort((a, b) => a - b)) {
    for (let o = openings[next]; o && o.from - BEARING <= x; o = openings[++next])
      end = Math.max(end, o.to + BEARING);
    if (x > end) clear.push(x);
  }
  return clear;
}

/**
 * Places for `count` joints on the given perps, each panel within its limit, nearest to even, and beside openings,
 * piers and changes of height where that costs little. Null where no such places are. Shortest path over the places, so the best there is.
 */
function placed(
  wall: SetWall,
  panel: MovementPanel,
  every: number,
  count: number,
  perps: readonly number[],
): number[] | null {
  const even = evenPlaces(panel, every, count);
  const kind = kindPlaces(wall, panel.run);
  const weak = perps.map((x) => (kind.length === 0 || isIn(kind, x) ? 0 : WEAK_PLACE ** 2));
  const cost = (k: number, x: number, i: number): number =>
    ((x - (even[i] ?? x)) / every) ** 2 + (weak[k] ?? 0);
  const half = (wall.movement?.width ?? wall.head) / 2;
  interface Way {
    at: Mm;
    cost: number;
    before: Way | null;
  }
  let ways: Way[] = perps.flatMap((x, k) =>
    x - half - panel.from <= panel.fromStart + SAME_PLACE
      ? [{ at: x, cost: cost(k, x, 0), before: null }]
      : [],
  );
  for (let i = 1; i < count; i++) {
    // Both lists ascend: those within a spacing before x are a window that moves on, its cheapest always in front.
    const [last, window] = [ways, [] as Way[]];
    let [next, front] = [0, 0];
    ways = perps.flatMap((x, k): Way[] => {
      for (let w = last[next]; w && w.at < x; w = last[++next]) {
        while (window.length > front && (window.at(-1)?.cost ?? 0) > w.cost) window.pop();
        window.push(w);
      }
      while (front < window.length && x - (window[front]?.at ?? 0) - 2 * half > every + SAME_PLACE) front++;
      const best = window[front];
      return best ? [{ at: x, cost: best.cost + cost(k, x, i), before: best }] : [];
    });
  }
  const done = ways.filter((w) => panel.to - w.at - half <= panel.fromEnd + SAME_PLACE);
  const best = done.reduce<Way | null>((b, w) => (b === null || w.cost < b.cost ? w : b), null);
  if (!best) return null;
  const places: number[] = [];
  for (let w: Way | null = best; w; w = w.before) places.unshift(w.at);
  return places;
}

/** Joints proposed for a panel longer than it may be: as few as the rule lets, on perps where it can be. */
export function proposedJoints(wall: SetWall, run: BondedRun, panel: MovementPanel): number[] {
  const every = jointSpacing(wall, panel.run);
  if (every === null || !isDue(panel)) return [];
  const length = panel.to - panel.from;
  const fewest = Math.max(1, Math.ceil((length - panel.fromStart - panel.fromEnd) / every - 1e-9) + 1);
  const perps = perpPlaces(wall, run).filter(
    (x) => x > panel.from + every * 0.02 && x < panel.to - every * 0.02,
  );
  for (const count of [fewest, fewest + 1]) {
    const places = placed(wall, panel, every, count, perps);
    if (places) return places;
  }
  return evenPlaces(panel, every, fewest);
}
