const two = (n: number): string => String(n).padStart(2, '0');

/** Minutes from midnight as they stand on a clock. */
export function clockWords(minutes: number): string {
  const m = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${Math.floor(m / 60)}:${two(m % 60)}`;
}

/** A date as the job files have it, of the day it is here. */
export function today(now = new Date()): string {
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** Minutes from midnight of a moment, by the clock here. */
export const minutesOf = (moment: Date): number => moment.getHours() * 60 + moment.getMinutes();
