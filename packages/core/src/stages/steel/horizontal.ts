import { SAME_PLACE, type Mm } from '../../measure/length.js';
import { gaugeSlack, type Course } from '../gauge/courses.js';
import type { BondedRun } from '../../walling/units/laying/bond.js';
import type { SetWall } from '../set-out/wall.js';
import { stretchesOf, type Stretch } from './spans.js';

/** A beam in one course of one run, with the stretches of it: grouted full, its bars running through. */
export interface Beam {
  /** Place of its course in the list. */
  course: number;
  run: number;
  bar: string;
  count: number;
  stretches: Stretch[];
  /** Place in the document's list, and whether it stands only over openings. */
  index: number;
  over: boolean;
}

/** What a beam over an opening bears on each side, mm: 8 in, a half block (common practice). */
export const BEAM_BEARING = 203.2;

const clipped = (s: Stretch, from: number, to: number): Stretch[] =>
  s.from < to && s.to > from
    ? [
        {
          ...s,
          from: Math.max(s.from, from),
          to: Math.min(s.to, to),
          start: s.from < from ? 'opening' : s.start,
          end: s.to > to ? 'opening' : s.end,
        },
      ]
    : [];

/** Stretches that lie over one another taken as one: where openings stand near each other their bearings are one beam. */
export function joinedStretches(stretches: readonly Stretch[]): Stretch[] {
  const list: Stretch[] = [];
  for (const s of [...stretches].sort((a, b) => a.from - b.from)) {
    const last = list.at(-1);
    if (!last || s.from > last.to + SAME_PLACE) list.push({ ...s });
    else if (s.to > last.to) Object.assign(last, { to: s.to, end: s.end });
  }
  return list;
}

/** The beams of a wall, run by run. `count`: courses up to its height; `along`: the stretches of a
 * course, where they are known. `nowhere`: entries that name no course. */
export function beamsOf(
  wall: SetWall,
  runs: readonly BondedRun[],
  courses: readonly Course[],
  count: number,
  along: (run: BondedRun, course: number) => Stretch[] = (run, course) => stretchesOf(wall, run, course),
): { beams: Beam[]; nowhere: number[] } {
  const beams: Beam[] = [];
  const nowhere: number[] = [];
  for (const asked of wall.steel?.beams ?? []) {
    const { bar, count: bars, index } = asked;
    const before = beams.length;
    const put = (course: number, run: number, stretches: Stretch[], over: boolean): void => {
      if (stretches.length > 0) beams.push({ course, run, bar, count: bars, stretches, index, over });
    };
    if (asked.course === 'over-openings') {
      for (const run of runs) {
        const over = new Map<number, Stretch[]>();
        for (const o of wall.openings.filter((one) => one.run === run.index)) {
          const course = courses.findIndex((c) => c.bottom >= o.head - gaugeSlack(wall) - SAME_PLACE);
          if (course < 0) continue;
          const stretches = stretchesOf(wall, run, course).flatMap((s) =>
            clipped(s, o.from - BEAM_BEARING, o.to + BEAM_BEARING),
          );
          over.set(course, [...(over.get(course) ?? []), ...stretches]);
        }
        for (const [course, stretches] of over) put(course, run.index, joinedStretches(stretches), true);
      }
    } else {
      const course = asked.course === 'top' ? count - 1 : asked.course - 1;
      if (course >= 0 && course < courses.length)
        for (const run of runs) put(course, run.index, along(run, course), false);
    }
    if (beams.length === before && (asked.course !== 'over-openings' || wall.openings.length === 0))
      nowhere.push(asked.index);
  }
  return { beams, nowhere };
}

/** Pieces a stretch takes from bars of one stock length, lapped: whole ones, and what is left over. mm. */
export function lappedPieces(length: number, stock: number, lap: number): number[] {
  if (length <= stock + 1e-6) return [length];
  const whole = Math.ceil((length - stock) / (stock - lap) - 1e-9);
  return [...Array.from({ length: whole }, () => stock), length - whole * (stock - lap)];
}

/** Pieces of joint reinforcement come so long, mm: 10 ft (TMS 602 practice, from memory). */
export const BED_PIECE = 3048;

/** How far pieces of joint reinforcement lap, mm: 6 in for crack control (TMS 602 Art. 3.4 B); 225 in the UK, from memory. */
export const bedLap = (wall: SetWall): Mm => (wall.profile.id === 'uk' ? 225 : 152.4);

export interface BedSteel {
  /** In the wall, and with every lap, m. */
  net: number;
  withLaps: number;
  /** Straight pieces and bent corner pieces. */
  pieces: number;
  corners: number;
  courses: number;
}

/** The courses whose upper bed is reinforced, by place: the bed over the top course is under the capping, not in the wall. */
export function reinforcedBeds(wall: SetWall, courses: readonly Course[]): number[] {
  const every = wall.steel?.bed?.every;
  if (every === undefined) return [];
  return courses.slice(0, -1).flatMap((c, i) => (c.number % every === 0 ? [i] : []));
}

/** Reinforcement in the beds over every n-th course, stretch by stretch, stopped at movement joints. */
export function bedSteelOf(
  wall: SetWall,
  runs: readonly BondedRun[],
  courses: readonly Course[],
): BedSteel | null {
  if (wall.steel?.bed?.every === undefined) return null;
  const lap = bedLap(wall);
  const sum: BedSteel = { net: 0, withLaps: 0, pieces: 0, corners: 0, courses: 0 };
  for (const i of reinforcedBeds(wall, courses)) {
    sum.courses++;
    for (const run of runs)
      for (const s of stretchesOf(wall, run, i)) {
        const pieces = lappedPieces(s.to - s.from, BED_PIECE, lap).length;
        sum.net += (s.to - s.from) / 1000;
        sum.withLaps += (s.to - s.from + (pieces - 1) * lap) / 1000;
        sum.pieces += pieces;
        if (s.start === 'corner') sum.corners++;
      }
  }
  return sum;
}
