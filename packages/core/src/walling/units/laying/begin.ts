import type { Course } from '../../../stages/gauge/courses.js';
import type { SetWall } from '../../../stages/set-out/wall.js';
import { bondWall, type BondedRun } from './bond.js';
import { bondCost } from '../judging/cost.js';
import { canPair, runEnds } from '../lines/ends.js';
import type { BondBefore } from './takenOver.js';

/** One way a wall may begin and take its corners, laid. */
export interface Begun {
  wall: SetWall;
  runs: BondedRun[];
}

/** Less than this is no difference: joints eased by hairs, a twentieth of a cut. */
const A_HAIR = 0.5;
/** More than any bond is worth. */
const LOST_CHANGE = 10_000;

/** The wall in every way the file leaves open: how course 1 begins, and how the corners are taken. The usual way first. */
function openWays(wall: SetWall): SetWall[] {
  const free = runEnds(wall)[0]?.start.other === null;
  const starts = wall.open.start && free ? (['whole', 'half'] as const) : [wall.start];
  const pairs = wall.open.corners && canPair(wall) && wall.bond.family === 'running';
  const corners = pairs ? (['in-turn', 'in-pairs'] as const) : [wall.corners];
  return corners.flatMap((c) => starts.map((s): SetWall => ({ ...wall, start: s, corners: c })));
}

/**
 * A wall laid the way that costs least of those its file leaves open, ties to a whole unit and to corners in turn, and
 * the ways not taken beside it. `more`: what else a way costs, as bars that cannot go up. `before`: the same wall before
 * an edit, each way laid.
 */
export function begun(
  wall: SetWall,
  courses: readonly Course[],
  level: number,
  more: (way: Begun) => number = () => 0,
  before: { courses: readonly Course[]; level: number; ways: readonly Begun[] } | null = null,
): { chosen: Begun; ways: Begun[] } {
  const ways: Begun[] = [];
  let chosen: Begun | null = null;
  let least = Infinity;
  const open = openWays(wall);
  for (const one of open) {
    const was = before?.ways.find((w) => w.wall.start === one.start && w.wall.corners === one.corners);
    const stood: BondBefore | null =
      before && was ? { wall: was.wall, courses: before.courses, level: before.level, runs: was.runs } : null;
    const way: Begun = { wall: one, runs: bondWall(one, courses, level, stood) };
    ways.push(way);
    if (open.length === 1) return { chosen: way, ways };
    // What the mason changed by hand was changed in the wall as it stood: a way that loses it is no way.
    const lost = way.runs.reduce((sum, run) => sum + run.lost.filter((l) => 'change' in l).length, 0);
    const own = bondCost(one, way.runs).total + lost * LOST_CHANGE;
    // What else it costs is not asked of a way that is dearer without it.
    const cost = own < least - A_HAIR ? own + more(way) : Infinity;
    if (cost < least - A_HAIR) [chosen, least] = [way, cost];
    // Nothing sawn, nothing short, nothing eased: no other way can cost less.
    if (least < A_HAIR) break;
  }
  return { chosen: chosen ?? (ways[0] as Begun), ways };
}
