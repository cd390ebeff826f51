import { readSpeed, readTemperature } from '../../measure/amounts.js';
import type { DayWeather } from '../../job/types.js';
import type { Minutes } from '../day/day.js';

/** A day's weather as it is worked with: °C and km/h. Null where nobody has said. */
export interface Weather {
  low: number | null;
  high: number | null;
  wind: number | null;
  rain: boolean;
  simulated: boolean;
}

/** Coldest about sunrise, warmest in the afternoon: common practice. */
const [COLDEST, WARMEST] = [6 * 60, 15 * 60];
const DAY = 1440;

/** How warm it is at a time of day, °C: half a wave from the low to the high, and half a one back. */
export function temperatureAt(low: number, high: number, at: Minutes): number {
  const since = (((at - COLDEST) % DAY) + DAY) % DAY;
  const rise = WARMEST - COLDEST;
  const part = since <= rise ? since / rise : 1 - (since - rise) / (DAY - rise);
  return low + ((high - low) * (1 - Math.cos(Math.PI * part))) / 2;
}

const valueOf = (read: { ok: true; value: number } | { ok: false }): number | null =>
  read.ok ? read.value : null;
/** Words that say it stays dry. */
const DRY = /^\s*(none|no|dry|0\b|ninguna|no hay|seco)/i;

export function weatherOf(stated: DayWeather | undefined): Weather {
  const rain = stated?.rain;
  return {
    low: stated?.low === undefined ? null : valueOf(readTemperature(stated.low)),
    high: stated?.high === undefined ? null : valueOf(readTemperature(stated.high)),
    wind: stated?.wind === undefined ? null : valueOf(readSpeed(stated.wind)),
    rain: typeof rain === 'string' ? !DRY.test(rain) : typeof rain === 'number' ? rain > 0 : rain === true,
    simulated: stated?.simulated === true,
  };
}

/** Coldest and warmest between two times, °C; null where low or high is not known. */
export function rangeIn(
  { low, high }: Weather,
  from: Minutes,
  to: Minutes,
): { least: number; most: number } | null {
  if (low === null || high === null) return null;
  const turns = [COLDEST, WARMEST].filter((t) => t > from && t < to);
  const seen = [from, ...turns, to].map((t) => temperatureAt(low, high, t));
  return { least: Math.min(...seen), most: Math.max(...seen) };
}
