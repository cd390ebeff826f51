import { toMillimetres } from '../measure/length.js';
import { parseCounted } from '../measure/counted.js';
import { rewrite } from '../statement/walk.js';
import type { LengthIs } from '../statement/statement.js';
import { PROFILES } from '../tables/profiles.js';
import { isNominal, laidSizes, measured, targetJoints } from '../stages/set-out/laid.js';
import { isTangent, walkLine, type Corner } from '../stages/set-out/line.js';
import type { JobDocument } from './form.js';
import { wall as WALL } from './forms/wall.js';
import { placedIn, placeKeys } from './places.js';
import { stated } from './stated.js';
import { unitOfBuild } from './units.js';
import { isArc, isRun, isTurn, type Job, type LineItem, type Wall } from './types.js';

/** What counting comes to in one wall: module and gauge, the joint, and what a nominal length has over the tape, mm. */
interface Measures {
  module: number;
  gauge: number;
  joint: number;
  off: number;
}

function measuresOf(job: JobDocument, wall: Wall): Measures | null {
  const unit = unitOfBuild(job, wall.build);
  if (!unit) return null;
  const profile = PROFILES[job.profile];
  const laid = laidSizes(wall, unit, targetJoints(wall, unit, profile), measured(wall.build.samples));
  const nominal = isNominal(wall, profile);
  return {
    module: laid.unitLength + laid.head,
    gauge: laid.unitHeight + laid.bed,
    joint: laid.head,
    off: nominal ? laid.head : 0,
  };
}

const counts = (text: unknown): number | null =>
  typeof text === 'string' ? (parseCounted(text)?.n ?? null) : null;

const walked = (line: readonly LineItem[], joint: number): Corner[] =>
  walkLine(
    line.map((item) =>
      isRun(item)
        ? { run: toMillimetres(stated(item.run)) }
        : isArc(item)
          ? { arc: toMillimetres(stated(item.arc)), sweep: item.sweep }
          : item,
    ),
    joint,
  ).corners;

/**
 * A line with its counted runs as lengths. An end at an inside corner or on another wall stops against it and has a joint there;
 * so has the end of a run that goes on into the next without a corner. Turns are left positive and the outside is on the right:
 * a turn to the right is an inside corner.
 */
function countedLine(wall: Wall, m: Measures): LineItem[] {
  const runs = wall.line.filter((item) => !isTurn(item));
  const read = (corners: readonly Corner[]): LineItem[] =>
    wall.line.map((item) => {
      const n = isRun(item) ? counts(item.run) : null;
      if (n === null || !isRun(item)) return item;
      const i = runs.indexOf(item);
      const [before, after] = [corners.find((c) => c.to === i), corners.find((c) => c.from === i)];
      const inside = (c: Corner | undefined): boolean => c !== undefined && c.turn < 0 && !isTangent(c.turn);
      const goesOn = after !== undefined && isTangent(after.turn);
      const ends =
        Number(inside(before)) +
        Number(inside(after) || goesOn || (i === runs.length - 1 && wall.meets !== undefined));
      return { ...item, run: n * m.module + (ends - 1) * m.joint + (goesOn ? 0 : m.off) };
    });
  // Whether it closes hangs on the lengths, and they on the corner it closes with: once more with that.
  return read(walked(read(walked(read([]), m.joint)), m.joint));
}

/** One counted length, mm; null for a run's own, which its neighbours decide. */
function lengthOf(n: number, is: LengthIs, m: Measures): number | null {
  if ('up' in is) return n * m.gauge;
  if (!('along' in is) || is.along === 'run') return null;
  // Both jambs of an opening are seen from within it; nothing stops a pier.
  if (is.along === 'clear') return n * m.module + m.joint - m.off;
  if (is.along === 'size') return n * m.module - m.joint;
  return n * m.module;
}

/** No run has it: what is filed for a place that is not there stands on none. */
const NO_RUN = -1;

/** An entry that has an address, with the run, course and place along it that the address means. */
function filledIn(entry: Record<string, unknown>, wall: Wall, m: Measures): Record<string, unknown> {
  const found = placedIn(wall, entry.place as string);
  const { course, piece, cell } = found?.address ?? {};
  const column = cell === undefined ? NaN : Number.parseInt(cell, 10);
  return {
    ...entry,
    run: found?.run ?? NO_RUN,
    ...(course === undefined ? {} : { course }),
    ...(piece ? { at: piece.from + piece.length / 2, length: piece.length } : {}),
    // The middle of its column: which cell it is, is for the column itself to say.
    ...(Number.isNaN(column) ? {} : { at: ((column - 0.5) * m.module) / 2 }),
  };
}

/** Ends the way a count does: most walls say none, and are not read any closer. */
const COUNTS = /(?:s|t|k|e)$/i;

/** Whether anything in a wall may be counted or filed by its address: a look at its values, not at what states them. */
function saysOtherwise(value: unknown): boolean {
  if (typeof value === 'string') return COUNTS.test(value) && parseCounted(value) !== null;
  if (typeof value !== 'object' || value === null) return false;
  if (Array.isArray(value)) return value.some(saysOtherwise);
  for (const key in value) {
    const inner = (value as Record<string, unknown>)[key];
    if ((key === 'place' && typeof inner === 'string') || saysOtherwise(inner)) return true;
  }
  return false;
}

function wallInFull(job: JobDocument, wall: Wall): Wall {
  if (!saysOtherwise(wall)) return wall;
  // Of a unit nobody knows `check` refuses the wall; until it has, something has to stand there.
  const m = measuresOf(job, wall) ?? { module: 1, gauge: 1, joint: 0, off: 0 };
  const made = rewrite(wall, WALL, (part, statement) => {
    const keys = placeKeys(statement);
    const entry = part as Record<string, unknown>;
    if (keys && typeof entry[keys.place] === 'string') return { to: filledIn(entry, wall, m) };
    const n = statement.kind === 'length' ? counts(part) : null;
    if (n === null || statement.kind !== 'length' || !statement.is) return null;
    const to = lengthOf(n, statement.is, m);
    return to === null ? null : { to };
  }) as Wall;
  return { ...made, line: countedLine(wall, m) };
}

const jobs = new WeakMap<JobDocument, JobDocument>();
const read = new WeakMap<Wall, { units: JobDocument['units']; profile: string; full: Wall }>();

/**
 * A job with everything that is said by counting ("5 bricks", "12 courses") as the length it comes to, and every entry that has
 * an address with the run and the place along it that it means. The very same job where
 * nothing is.
 */
export function inFull<T extends JobDocument | Job>(job: T): T {
  const known = jobs.get(job);
  if (known) return known as T;
  const walls = job.walls.map((wall) => {
    const kept = read.get(wall);
    if (kept && kept.units === job.units && kept.profile === job.profile) return kept.full;
    const full = wallInFull(job, wall);
    read.set(wall, { units: job.units, profile: job.profile, full });
    return full;
  });
  const full = walls.every((w, i) => w === job.walls[i]) ? job : { ...job, walls };
  jobs.set(job, full);
  return full;
}
