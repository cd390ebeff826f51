import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';
import { besideCourses } from './besideCourses.js';
import type { Jambs } from './courseSteps.js';
import { SAME, type CourseToFill } from './slots.js';

/** Courses of a window that are laid alike: odd or even, and the openings they stop at by their number in the window. */
export interface Kind {
  parity: 0 | 1;
  stops: number[];
  count: number;
}

/** How often courses of one kind lie on those of another, by their numbers. */
export interface Lap {
  rows: readonly [number, number];
  times: number;
}

/** What courses there are in a window, the two that no opening stops first, and how often one kind lies on another. */
export function kindsOf(
  wall: SetWall,
  openings: readonly SetOpening[],
  courses: number,
): { kinds: Kind[]; laps: Lap[] } {
  const kinds: Kind[] = [
    { parity: 0, stops: [], count: 0 },
    { parity: 1, stops: [], count: 0 },
  ];
  const laps: Lap[] = [];
  const beside = openings.map((o) => besideCourses(wall, o));
  let below: number | null = null;
  for (let i = 0; i < courses; i++) {
    const parity = i % 2 === 0 ? 0 : 1;
    const stops = beside.flatMap((b, k) => (i >= b.under && i < b.under + b.odd + b.even ? [k] : []));
    let own = kinds.findIndex((x) => x.parity === parity && x.stops.join() === stops.join());
    if (own < 0) own = kinds.push({ parity, stops, count: 0 }) - 1;
    (kinds[own] as Kind).count++;
    if (below !== null) {
      const rows = [Math.min(below, own), Math.max(below, own)] as const;
      const lap = laps.find((x) => x.rows[0] === rows[0] && x.rows[1] === rows[1]);
      if (lap) lap.times++;
      else laps.push({ rows, times: 1 });
    }
    below = own;
  }
  return { kinds, laps };
}

/** The parts of a course that stops at some openings, whose reveals may be asked to be sound. */
export function partsBeside(
  course: CourseToFill,
  count: number,
  stops: readonly Jambs[],
  sound = false,
): CourseToFill[] {
  const { places } = course;
  return [...stops, null].map((next, k): CourseToFill => {
    const was = stops[k - 1];
    const from = was ? was.to : (places[0] as number);
    const to = next ? next.from : (places.at(-1) as number);
    return {
      places: [from, ...places.filter((x) => x > from + SAME && x < to - SAME), to],
      perpAtStart: was ? false : course.perpAtStart,
      perpAtEnd: next ? false : course.perpAtEnd,
      count,
      shyStart: was ? false : course.shyStart,
      shyEnd: next ? false : course.shyEnd,
      soundStart: sound && was !== undefined,
      soundEnd: sound && next !== null,
      gather: was && next ? (from + to) / 2 : was ? from : next ? to : course.gather,
    };
  });
}
