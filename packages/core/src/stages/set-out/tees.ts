import { toMillimetres, type Mm } from '../../measure/length.js';
import { stated } from '../../job/stated.js';
import { behindFace, findUnit, unitOfBuild } from '../../job/units.js';
import { isRun, isTurn, type JobDocument, type Stated, type Wall } from '../../job/types.js';
import { PROFILES } from '../../tables/profiles.js';
import { cavityOf } from './cavity.js';

/** A wall bonded into this one: where its thickness stands along a run, in which courses. */
export interface Branch {
  wall: string;
  name: string;
  /** Its place in the document, for edits. */
  index: number;
  run: number;
  from: Mm;
  to: Mm;
  on: 'odd' | 'even';
  /** How high it stands where it goes in, mm. */
  height: Mm;
}

/** How a wall's last end goes into the wall it meets: so far past its own end, in these courses. */
export interface GoesIn {
  past: Mm;
  on: 'odd' | 'even';
}

/** A wall's thickness and joint as its document says, without setting it out. */
function thicknessOf(job: JobDocument, wall: Wall): number {
  const unit = unitOfBuild(job, wall.build);
  if (!unit) return 0;
  const head = toMillimetres(
    wall.build.head === undefined ? (unit.head ?? PROFILES[job.profile].joint) : stated(wall.build.head),
  );
  const width = toMillimetres(unit.width);
  return wall.build.wythes === 2 ? 2 * width + head : width;
}

/**
 * How far the footing of the wall this one meets stands out from its face, mm: nought where it has none. Null where this wall
 * meets no other.
 */
export function footingMet(job: JobDocument, wall: Wall): Mm | null {
  const other = job.walls.find((w) => w !== wall && w.id === wall.meets?.wall);
  if (!other) return null;
  if (!other.footing) return 0;
  const mm = (l: Stated): number => toMillimetres(stated(l));
  const leaf = thicknessOf(job, other);
  return Math.max(0, (mm(other.footing.width) - (cavityOf(job, other, leaf)?.overall ?? leaf)) / 2);
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
    const { run, on = GOES_IN_ON } = w.meets;
    return [{ wall: w.id, name: w.name, index, run, from, to, on, height: heightAtEnd(w) }];
  });

/** How high a wall stands at its last end: its height, or the top that is stated there. */
function heightAtEnd(wall: Wall): number {
  const mm = (l: Stated): number => toMillimetres(stated(l));
  const runs = wall.line.filter((item) => !isTurn(item));
  const last = runs.at(-1);
  const length = last && isRun(last) ? mm(last.run) : Infinity;
  const there = (wall.tops ?? []).find((t) => t.run === runs.length - 1 && mm(t.to) > length - NEAR_END);
  return mm(there ? there.right : wall.height);
}

/** A top that stops this near a wall's end goes to it, whatever joint its stated length leaves out, mm. */
const NEAR_END = 30;

export function goesInto(job: JobDocument, wall: Wall, unitLength: number): GoesIn | null {
  const { meets } = wall;
  const other = meets && job.walls.find((w) => w.id === meets.wall);
  if (!meets || !other || (meets.how ?? 'tied') === 'tied') return null;
  // Into a cavity wall it goes as far as the leaf it comes to.
  const behind = behindFace(other.build);
  const inner = behind && findUnit(job, behind.inner);
  const thickness = inner ? toMillimetres(inner.width) : thicknessOf(job, other);
  const past = meets.how === 'bonded' ? thickness : Math.min(thickness / 2, POCKET * unitLength);
  return { past, on: meets.on ?? GOES_IN_ON };
}
