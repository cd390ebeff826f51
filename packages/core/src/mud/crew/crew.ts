import type { Crew, JobDocument, Person, Weekday } from '../../job/types.js';
import { readClock, readDate, readDuration } from '../../measure/times.js';
import type { UnitFamily, UnitShape } from '../../tables/units.js';
import type { Minutes, Spell } from '../day/day.js';

const WEEK: readonly Weekday[] = ['thu', 'fri', 'sat', 'sun', 'mon', 'tue', 'wed'];

/** Units an hour of one person laying, where nobody has said. Brick: 50 to 60; block, adobe and stone: common practice; all from memory. */
export const USUAL_PACE: Readonly<Record<UnitFamily, number>> = {
  brick: 55,
  block: 25,
  adobe: 25,
  stone: 8,
};
/** Whoever learns lays half as many: common practice. */
const LEARNER = 0.5;

/** Who lays and who mixes, as pace goes. */
export interface Hands {
  /** How many people laying it comes to, each by their own pace. */
  laying: number;
  tending: number;
  /** Nobody only tends: somebody who could do both mixes and does not lay. */
  mixesInstead: Person | null;
}

export function handsOf(crew: Crew | undefined): Hands | null {
  const people = crew?.people ?? [];
  if (people.length === 0) return null;
  const tending = people.filter((p) => p.does === 'tends').length;
  // Who is alone mixes and lays: nobody else would.
  const lays = people.filter((p) => p.does !== 'tends').length;
  const mixesInstead = tending === 0 && lays > 1 ? (people.find((p) => p.does === 'both') ?? null) : null;
  const laying = people.reduce((sum, p) => {
    if (p.does === 'tends' || p === mixesInstead) return sum;
    return sum + (p.pace ?? (p.does === 'learns' ? LEARNER : 1));
  }, 0);
  return { laying, tending: tending + (mixesInstead ? 1 : 0), mixesInstead };
}

/** Units an hour of one person laying: the crew's own, else what is usual. */
export const paceOf = (crew: Crew | undefined, unit: UnitShape): { perHour: number; own: boolean } => {
  const own = crew?.pace?.[unit.id];
  return own === undefined ? { perHour: USUAL_PACE[unit.family], own: false } : { perHour: own, own: true };
};

const minutes = (clock: string | undefined): Minutes => {
  const read = readClock(clock);
  return read.ok ? read.value : 0;
};
const lasts = (said: string | number | undefined, left: Minutes): Minutes => {
  const read = said === undefined ? null : readDuration(said);
  return read?.ok ? read.value : left;
};

/** A working day: from the first unit to the last, with its breaks. */
export interface WorkingDay extends Spell {
  weekday: Weekday;
  breaks: Spell[];
}

/** Getting set up and cleared away, where nobody has said, minutes: common practice. */
const [SET_UP, CLEAR_UP] = [30, 30];

export const weekdayOf = (date: string): Weekday | null => {
  const read = readDate(date);
  return read.ok ? (WEEK[((read.value % 7) + 7) % 7] ?? null) : null;
};

/** A date's working day; null where nobody works then. */
export function workingDay({ crew }: Pick<JobDocument, 'crew'>, date: string): WorkingDay | null {
  const weekday = weekdayOf(date);
  const hours = weekday && crew?.hours?.[weekday];
  if (!weekday || !hours || crew.off?.includes(date)) return null;
  const from = minutes(hours[0]) + lasts(crew.setUp, SET_UP);
  const to = minutes(hours[1]) - lasts(crew.clearUp, CLEAR_UP);
  if (to <= from) return null;
  const breaks = (crew.breaks ?? [])
    .map(([a, b]) => ({ from: minutes(a), to: minutes(b) }))
    .filter((b) => b.to > from && b.from < to)
    .sort((a, b) => a.from - b.from);
  return { weekday, from, to, breaks };
}
