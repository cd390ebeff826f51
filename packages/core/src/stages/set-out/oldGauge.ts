export interface OldGauge {
  /** Height over a number of the old courses: never one alone. */
  height: number;
  courses: number;
}

export interface Drift {
  answer: 'keep' | 'take' | 'share';
  /** The bed you lay, and how far each course then runs from theirs: positive climbs faster. */
  bed: number;
  perCourse: number;
  /** At the top of the new wall. */
  atTop: number;
  /** After this many courses of yours the two lines meet again, or null within `courses`. */
  meets: number | null;
}

/**
 * The three answers to an old wall's gauge: keep your own joint, take theirs, or go half way. `courses` is how many
 * of yours there are; they meet where the drift makes up a whole old course. Common practice.
 */
export function drifts(old: OldGauge, unitHeight: number, bed: number, courses: number): Drift[] {
  const theirs = old.height / old.courses;
  const of = (answer: Drift['answer'], own: number): Drift => {
    const perCourse = unitHeight + own - theirs;
    const meet = Math.abs(perCourse) < 1e-9 ? 1 : Math.abs(theirs / perCourse);
    const whole = Math.round(meet);
    return {
      answer,
      bed: own,
      perCourse,
      atTop: perCourse * courses,
      // Level again is within half a bed of a course of theirs.
      meets: Math.abs(meet - whole) * Math.abs(perCourse) <= own / 2 && whole <= courses ? whole : null,
    };
  };
  const taken = theirs - unitHeight;
  return [of('keep', bed), of('take', taken), of('share', (bed + taken) / 2)];
}

/** Old marks at the end that meets the old work and your own at the other: how the top course then falls or climbs between them. */
export interface OneEnd {
  /** The first bed at the old end, mm. */
  bedThere: number;
  /** Your top course over theirs at the far end: what it runs off level by, mm; positive falls towards the old work. */
  off: number;
  /** 1 in so many. */
  oneIn: number;
}

/** A slope nobody sees along a course of brick or block: common practice. */
export const UNSEEN_SLOPE = 200;

/** Null where both gauges are one, or there is no length to lose it in. */
export function oneEnd(
  old: OldGauge,
  unitHeight: number,
  bed: number,
  courses: number,
  length: number,
): OneEnd | null {
  const off = (unitHeight + bed - old.height / old.courses) * courses;
  if (Math.abs(off) < 0.5 || !(length > 0)) return null;
  return { bedThere: old.height / old.courses - unitHeight, off, oneIn: length / Math.abs(off) };
}
