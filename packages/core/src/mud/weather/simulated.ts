import type { DayWeather } from '../../job/types.js';
import { readDate } from '../../measure/times.js';
import { drawn } from '../../measure/drawn.js';

/** A place to practise in: the mean of its coldest and warmest month and from low to high in a day, °C; made up. */
export const CLIMATES = {
  'high-desert': { winter: 2, summer: 27, swing: 16, wind: 12, wet: 0.12 },
  mild: { winter: 4, summer: 16, swing: 8, wind: 18, wet: 0.45 },
  hot: { winter: 16, summer: 34, swing: 14, wind: 10, wet: 0.15 },
} as const;
export type Climate = keyof typeof CLIMATES;

/**
 * The weather of a day that nobody has seen: for demonstration and practice, always marked as such. The same for the same date and
 * place.
 */
export function simulatedWeather(date: string, place: Climate, fahrenheit = false): DayWeather {
  const read = readDate(date);
  const day = read.ok ? read.value : 0;
  const climate = CLIMATES[place];
  const next = drawn(day * 7919 + Object.keys(CLIMATES).indexOf(place));
  // Coldest in the middle of January.
  const season = (1 - Math.cos(((day - 15) / 365.25) * 2 * Math.PI)) / 2;
  const mean = climate.winter + (climate.summer - climate.winter) * season + (next() - 0.5) * 8;
  const swing = climate.swing * (0.7 + 0.6 * next());
  const wind = climate.wind * (0.3 + 1.4 * next());
  const said = (c: number): string =>
    fahrenheit ? `${Math.round((c * 9) / 5 + 32)} F` : `${Math.round(c)} C`;
  return {
    date,
    low: said(mean - swing / 2),
    high: said(mean + swing / 2),
    wind: fahrenheit ? `${Math.round(wind / 1.609344)} mph` : `${Math.round(wind)} km/h`,
    rain: next() < climate.wet,
    simulated: true,
  };
}
