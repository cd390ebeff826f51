import { readMass, readSpeed, readTemperature, readVolume, type ReadAmount } from '../measure/amounts.js';
import { readClock, readDate, readDuration, readInstant } from '../measure/times.js';
import type { AmountOf } from './statement.js';

/** How each kind of amount is read, what is asked for, and whether a bare number is one. */
export const AMOUNTS: Record<
  AmountOf,
  { read: (value: unknown) => ReadAmount; wanted: string; bare: boolean }
> = {
  volume: { read: readVolume, wanted: 'a volume such as 0.25 (m³), "90 L" or "6 ft3"', bare: true },
  mass: { read: readMass, wanted: 'a mass such as 25 (kg) or "94 lb"', bare: true },
  temperature: { read: readTemperature, wanted: 'a temperature such as 4 (°C) or "40 F"', bare: true },
  speed: { read: readSpeed, wanted: 'a speed such as 12 (km/h) or "8 mph"', bare: true },
  duration: { read: readDuration, wanted: 'a duration such as "45 min" or "2 h 30 min"', bare: true },
  clock: { read: readClock, wanted: 'a time of day such as "07:30"', bare: false },
  date: { read: readDate, wanted: 'a date such as "2026-12-01"', bare: false },
  instant: {
    read: readInstant,
    wanted: 'an instant with its offset such as "2026-12-01T10:37:00-07:00"',
    bare: false,
  },
};
