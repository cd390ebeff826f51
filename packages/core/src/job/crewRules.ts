import { readClock } from '../measure/times.js';
import { readTemperature } from '../measure/amounts.js';
import { sayValue, type Fault } from '../statement/fault.js';
import { WEEKDAYS } from './forms/crew.js';
import type { JobDocument } from './types.js';

const minutes = (clock: string | undefined): number => {
  const read = readClock(clock);
  return read.ok ? read.value : NaN;
};
const degrees = (said: string | number): number => {
  const read = readTemperature(said);
  return read.ok ? read.value : NaN;
};

/** Hours that end before they begin, people and days that are there twice, and a low above its high. */
export function crewFaults({ crew, weather }: JobDocument): Fault[] {
  const faults: Fault[] = [];
  const later = (spell: readonly string[] | undefined, path: string): void => {
    if (spell && !(minutes(spell[1]) > minutes(spell[0])))
      faults.push({ path: `${path}/1`, wanted: `a time after ${spell[0] ?? ''}`, got: sayValue(spell[1]) });
  };
  const once = (ids: readonly string[], path: (i: number) => string, what: string): void =>
    ids.forEach((one, i) => {
      if (ids.indexOf(one) < i)
        faults.push({ path: path(i), wanted: `${what} once`, got: `${sayValue(one)} again` });
    });
  for (const day of WEEKDAYS) later(crew?.hours?.[day], `/crew/hours/${day}`);
  crew?.breaks?.forEach((b, i) => later(b, `/crew/breaks/${i}`));
  once(crew?.people?.map((p) => p.id) ?? [], (i) => `/crew/people/${i}/id`, 'each person');
  once(weather?.map((w) => w.date) ?? [], (i) => `/weather/${i}/date`, 'each day');
  weather?.forEach(({ low, high }, i) => {
    if (low !== undefined && high !== undefined && degrees(low) > degrees(high))
      faults.push({ path: `/weather/${i}/low`, wanted: 'no more than the high', got: sayValue(low) });
  });
  return faults;
}
