import type { DayPlan } from './planDay.js';
import type { Minutes, PlacedDay } from './day.js';

const two = (n: number): string => String(n).padStart(2, '0');

/** A time of day with its seconds; what lies in the small hours of the day before is said as it is on the clock. */
export function clockOf(time: Minutes): string {
  const seconds = ((Math.round(time * 60) % 86_400) + 86_400) % 86_400;
  return `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}

const placedJson = (day: PlacedDay) => ({
  batches: day.batches.map(({ water, first, last, expires, made, used, left }) => ({
    water: clockOf(water),
    first: clockOf(first),
    last: clockOf(last),
    expires: clockOf(expires),
    made,
    used,
    left,
  })),
  made: day.made,
  used: day.used,
  left: day.left,
  waits: day.waits.map(({ from, to }) => ({ from: clockOf(from), to: clockOf(to) })),
});

/** A day's plan as it goes out: the contract's keys, volumes in m³. */
export const dayJson = ({ proof, next, ...day }: DayPlan) => ({
  ...placedJson(day),
  proof,
  next: next && placedJson(next),
});
