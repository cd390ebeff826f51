import type { SetOpening, SetWall } from '../../../stages/set-out/wall.js';

/** Courses by number: how many stand under a place in the wall, and how many odd and even ones beside what stands there. */
export interface Beside {
  under: number;
  odd: number;
  even: number;
}

/** The courses that an opening from `sill` to `head` stops, on the wall's gauge. */
export function besideCourses(wall: SetWall, { sill, head }: Pick<SetOpening, 'sill' | 'head'>): Beside {
  const pitch = wall.unitHeight + wall.bed;
  const under = Math.max(0, Math.round(sill / pitch));
  const beside = Math.max(0, Math.round((Math.min(head, wall.height) - sill) / pitch));
  const odd = Math.floor((under + beside + 1) / 2) - Math.floor((under + 1) / 2);
  return { under, odd, even: beside - odd };
}

/** What the courses beside openings lie on one another and on those under and over them. Odd first, then even. */
export interface CoursesBeside {
  counts: readonly [number, number];
  /** How often one of them lies on another. */
  meets: number;
  /** How often one of them lies on a course that the openings do not stop. */
  edges: readonly [number, number];
}

/** A course that is hardly ever laid costs hardly anything, but not nothing. */
const HARDLY = 0.1;

/** The courses beside these openings, by their places in the wall's list; what is no opening is left out of account. */
export function coursesBeside(wall: SetWall, openings: readonly number[]): CoursesBeside {
  const own = openings.flatMap((i) => wall.openings[i] ?? []);
  const whole = { sill: 0, head: wall.height };
  const both = own.reduce(
    (a, o) => ({ sill: Math.max(a.sill, o.sill), head: Math.min(a.head, o.head) }),
    whole,
  );
  const { sill, head } = both.head > both.sill ? both : (own[0] ?? whole);
  const { under, odd, even } = besideCourses(wall, { sill, head });
  const last = under + odd + even;
  const over = wall.height - head > (wall.unitHeight + wall.bed) / 2;
  const edges: [number, number] = [0, 0];
  if (under > 0) edges[under % 2 === 0 ? 0 : 1]++;
  if (over && last > 0) edges[last % 2 === 1 ? 0 : 1]++;
  return {
    counts: [Math.max(HARDLY, odd), Math.max(HARDLY, even)],
    meets: Math.max(0, odd + even - 1),
    edges,
  };
}
