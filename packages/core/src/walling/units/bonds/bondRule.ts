import type { SetWall } from '../../../stages/set-out/wall.js';
import type { EndSpec } from '../lines/ends.js';

/**
 * How a course goes on from one of its ends, as piece lengths: `lead` once, then `cycle` over and over. The first of a lead may
 * be what another run shows there.
 */
export interface Pattern {
  lead: number[];
  cycle: number[];
}

/** What a course is, beyond which end owns which corner. */
export interface CourseClass {
  /** At a free end it begins with a whole unit. */
  long: boolean;
  /** It is a course of headers, where the bond has such. */
  headers: boolean;
}

/** How a course comes to the reveal of an opening from each side; the unit that stands astride it under and over the opening. */
export interface RevealOf {
  before: EndSpec;
  after: EndSpec;
  astride: number | null;
}

/** A bond: what its courses are, how each begins at every kind of end, and what is fixed there while a course is filled. */
export interface BondRule {
  /**
   * What a course of its period is, counted from 0: by the corner it stands at (`own`, `return`), or where it has none by
   * `turn`, true for courses that begin with a whole unit.
   */
  courseClass: (course: number, corner: EndSpec['kind'], turn: boolean) => CourseClass;
  /** The ways its courses may come to a reveal together, each sound; one way a list, a course an entry of it. */
  reveals: (wall: SetWall, courses: readonly CourseClass[]) => RevealOf[][];
  /** The ways a course may begin at an end, the best first. `any`: whatever closes the course will do. */
  begins: (wall: SetWall, end: EndSpec, course: CourseClass, any: boolean) => Pattern[];
  /**
   * Where courses are filled by search: the pieces fixed at an end, from the end inward. `keep`: all of the bond's own ends, or
   * nothing but what other runs show. Null for a bond that is never filled so.
   */
  fixed: ((wall: SetWall, end: EndSpec, at: CourseAt, keep: Strictness) => number[]) | null;
}

/** Which course is being filled, and from which end. */
export interface CourseAt {
  first: boolean;
  long: boolean;
  atStart: boolean;
}

/** How much of its bond's own ends a course may be asked to keep: all; no whole unit at a corner; nothing but returns. */
export type Strictness = 'all' | 'returns';
