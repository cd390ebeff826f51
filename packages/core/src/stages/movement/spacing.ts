import { SAME_PLACE, type Mm } from '../../measure/length.js';
import { barOf } from '../../tables/bars.js';
import type { Jointed, Spacing } from '../../tables/movement.js';
import { isTangent } from '../set-out/line.js';
import type { SetWall } from '../set-out/wall.js';

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
  /** The same where an opening stands in the way: past these it is due. */
  atStart: Mm;
  atEnd: Mm;
}

/** Steel along a wall as a part of its cross-section. */
function steelAlong({ steel, thickness, height, unitHeight, bed }: SetWall): number {
  if (!steel) return 0;
  const beams = steel.beams.filter((b) => b.course !== 'over-openings');
  const inBeams = beams.reduce((sum, b) => sum + b.count * barOf(b.bar).area, 0);
  const courses = height / (unitHeight + bed);
  const inBeds = steel.bed?.bar ? (2 * barOf(steel.bed.bar).area * courses) / steel.bed.every : 0;
  return (inBeams + inBeds) / (thickness * height);
}

function jointed(wall: SetWall, run: number): Jointed {
  const { steel, held } = wall;
  const along = steelAlong(wall);
  return {
    height: wall.height,
    openings: wall.openings.filter((o) => o.run === run).length,
    held: held === 'drawing' ? null : held,
    retains: wall.retains !== null || held === 'soil',
    bothWays: Boolean(steel?.vertical) && (along > 0 || Boolean(steel?.bed)),
    solid: wall.grout?.fill === 'all' || wall.unit.shells === null,
    along,
  };
}

/** A wall the ground covers to its top, and a cellar wall that floors hold against it, stay as damp and as warm as the ground: no joint. */
const keepsStill = (wall: SetWall): boolean =>
  (Number.isFinite(wall.hiddenTo) && wall.hiddenTo >= wall.height - SAME_PLACE) ||
  (wall.held === 'floors' && wall.retains !== null);

/** The rule a run goes by and what it comes to; null where there is none, or it asks for no joints here. */
export function ruleOf(wall: SetWall, run: number): Spacing | null {
  return keepsStill(wall) ? null : (wall.movement?.spacing(jointed(wall, run)) ?? null);
}

/** Joint to joint, mm: as the drawing says, which stands for every figure of the rule; null where nothing asks for any. */
export const jointSpacing = (wall: SetWall, run: number): Mm | null =>
  wall.jointEvery ?? ruleOf(wall, run)?.every ?? null;

/** Joints of a run, those refused too: a mason who refused one knows that the wall goes on there. */
const jointsOn = (wall: SetWall, run: number): { from: number; to: number }[] =>
  wall.joints.filter((j) => j.run === run).sort((a, b) => a.from - b.from);

/** The run round the corner at one end, or null where there is none. A run that goes on without turning is no corner. */
export function roundCorner(wall: SetWall, run: number, end: 'start' | 'end'): number | null {
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

/** A run no longer than a spacing and a half takes one joint, near its middle, rather than two that leave a strip: common practice. */
const ONE_JOINT = 1.5;

/** How far the first joint of a long run may stand from a corner: what the leg round it leaves of the spacing. */
function allowance(wall: SetWall, run: number, end: 'start' | 'end', every: number): number {
  const other = roundCorner(wall, run, end);
  if (other === null) return every;
  const byRule = wall.jointEvery === null ? wall.movement?.fromCorner(every) : undefined;
  const rule = byRule ?? every / 2;
  const leg = legFrom(wall, other, end === 'start' ? 'end' : 'start');
  const long = leg <= rule + SAME_PLACE ? every - leg : rule;
  const length = wall.runs[run]?.length ?? 0;
  return length <= ONE_JOINT * every + SAME_PLACE ? Math.max(long, (ONE_JOINT / 2) * every) : long;
}

/** A first joint may stand half as far again from its corner, to miss an opening and not add a joint: common practice. */
const missing = (allowed: Mm, every: Mm): Mm => Math.min(every, 1.5 * allowed);

/** The panels of a run and how long each may be; empty where no rule is known. */
export function panelsOfRun(wall: SetWall, run: number): MovementPanel[] {
  const every = jointSpacing(wall, run);
  const length = wall.runs[run]?.length ?? 0;
  if (every === null) return [];
  // What a corner allows is for the first joint of a long run: it puts none into a run that needs none.
  const short = length <= every + SAME_PLACE;
  const joints = jointsOn(wall, run);
  const edges = [{ from: 0, to: 0 }, ...joints, { from: length, to: length }];
  return edges.slice(0, -1).map((left, i): MovementPanel => {
    const right = edges[i + 1] as { from: number; to: number };
    const endOf = (outer: boolean, end: 'start' | 'end'): PanelEnd =>
      !outer ? 'joint' : roundCorner(wall, run, end) === null ? 'free' : 'corner';
    const start = endOf(i === 0, 'start');
    const end = endOf(i === edges.length - 2, 'end');
    const fromStart = start === 'corner' && !short ? allowance(wall, run, 'start', every) : every;
    const fromEnd = end === 'corner' && !short ? allowance(wall, run, 'end', every) : every;
    const most = Math.min(fromStart, fromEnd);
    const [atStart, atEnd] = [missing(fromStart, every), missing(fromEnd, every)];
    return { run, from: left.to, to: right.from, start, end, fromStart, fromEnd, most, atStart, atEnd };
  });
}

export const isDue = (p: MovementPanel): boolean => p.to - p.from > Math.min(p.atStart, p.atEnd) + SAME_PLACE;
