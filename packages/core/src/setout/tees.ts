import { toMillimetres } from '../measure/length.js';
import { stated } from '../job/stated.js';
import { findUnit } from '../job/units.js';
import type { JobDocument, Wall } from '../job/types.js';
import { PROFILES } from '../tables/profiles.js';

/** A wall bonded into this one: where its thickness stands along a run, in which courses. */
export interface Branch {
  wall: string;
  name: string;
  /** Its place in the document, for edits. */
  index: number;
  run: number;
  from: number;
  to: number;
  on: 'odd' | 'even';
}

/** How a wall's last end goes into the wall it meets: so far past its own end, in these courses. */
export interface GoesIn {
  past: number;
  on: 'odd' | 'even';
}

/** A wall's thickness and joint as its document says, without setting it out. */
function thicknessOf(job: JobDocument, wall: Wall): number {
  const unit = findUnit(job, wall.build.unit);
  if (!unit) return 0;
  const head = toMillimetres(
    wall.build.head === undefined ? (unit.head ?? PROFILES[job.profile].joint) : stated(wall.build.head),
  );
  const width = toMillimetres(unit.width);
  return wall.build.wythes === 2 ? 2 * width + head : width;
}

/** Courses a wall goes into another on, when nobody says: the other goes through on the first. Common practice. */
const GOES_IN_ON = 'even';

/** A pocket cut for toothing is a quarter of a unit deep at most, and half the wall: common practice. */
const POCKET = 0.25;

export const branchesOf = (job: JobDocument, wall: Wall): Branch[] =>
  job.walls.flatMap((w, index): Branch[] => {
    if (w === wall || w.meets?.wall !== wall.id || w.meets.how !== 'bonded') return [];
    const from = toMillimetres(stated(w.meets.at));
    const to = from + thicknessOf(job, w);
    return [{ wall: w.id, name: w.name, index, run: w.meets.run, from, to, on: w.meets.on ?? GOES_IN_ON }];
  });

export function goesInto(job: JobDocument, wall: Wall, unitLength: number): GoesIn | null {
  const { meets } = wall;
  const other = meets && job.walls.find((w) => w.id === meets.wall);
  if (!meets || !other || (meets.how ?? 'tied') === 'tied') return null;
  const thickness = thicknessOf(job, other);
  const past = meets.how === 'bonded' ? thickness : Math.min(thickness / 2, POCKET * unitLength);
  return { past, on: meets.on ?? GOES_IN_ON };
}
