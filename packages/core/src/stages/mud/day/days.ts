import type { JobDocument } from '../../../job/types.js';
import type { CubicMetres } from '../../../measure/length.js';
import { readDate, writtenDate } from '../../../measure/times.js';
import { wallDay, type DayWork, type WallDayAsk } from './wallDay.js';

/** A working day of a wall: what is laid in it, and its mud. */
export interface DayOfMud {
  date: string;
  from: number;
  to: number;
  /** The last of them is laid to its end. */
  whole: boolean;
  units: number;
  batches: number;
  /** Null where no batch can be planned: then `mud` is what is laid, and nothing is known of what is left of it. */
  left: CubicMetres | null;
  mud: CubicMetres;
}

export interface WallDays {
  days: DayOfMud[];
  /** The wall is up; else there is no more to be said of it: nobody is there, or it takes longer than is looked ahead. */
  up: boolean;
}

/** Looked ahead so far, days; a fortnight without work is the end of it. */
const AHEAD = 120;
const NOBODY = 14;

/** A wall's mud day by day, from a course on, until it is up: each day begins where the one before left off. */
export function wallDays(
  job: JobDocument,
  work: DayWork,
  ask: Pick<WallDayAsk, 'date' | 'course' | 'practice'>,
): WallDays {
  const read = readDate(ask.date);
  const days: DayOfMud[] = [];
  let [course, laid, idle] = [ask.course, 0, 0];
  const last = work.gauge.courses.at(-1)?.number ?? 0;
  for (let ahead = 0; read.ok && ahead < AHEAD && idle < NOBODY && course <= last; ahead++) {
    const date = writtenDate(read.value + ahead);
    const day = wallDay(job, work, { ...ask, date, course, laid });
    if (!day || day.why === 'nobody' || day.why === 'nobody-lays') return { days, up: false };
    if (day.why === 'nothing-to-lay') return { days, up: true };
    const end = day.courses.at(-1);
    if (day.why === 'no-work' || !end) {
      idle += 1;
      continue;
    }
    idle = 0;
    days.push({
      date,
      from: day.courses[0]?.course ?? course,
      to: end.course,
      whole: end.whole,
      units: day.courses.reduce((sum, c) => sum + c.units, 0),
      batches: day.plan?.batches.length ?? 0,
      left: day.plan?.left ?? null,
      mud: day.mud,
    });
    laid = end.whole ? 0 : end.course === course ? laid + end.part : end.part;
    course = end.whole ? end.course + 1 : end.course;
  }
  return { days, up: course > last };
}
