import { weatherAdvice, type Binds } from '../../mud/weather/advice.js';
import type { Weather } from '../../mud/weather/temperature.js';
import type { Basis } from '../../tables/mixes/materials.js';
import { exactly, type PublishedCheck } from './list.js';

const celsius = (f: number): number => ((f - 32) * 5) / 9;
const MPH = 1.609344;

/** A day as warm from its first hour to its last. */
const even = (degrees: number, wind = 0): Weather => ({
  low: degrees,
  high: degrees,
  wind,
  rain: false,
  simulated: false,
});
const asks = (weather: Weather, what: string, binds: Binds, basis: Basis): boolean =>
  weatherAdvice(weather, { binds, basis, from: 480, to: 960 }).some((a) => a.says.code === `weather.${what}`);

/** The warmest or coldest whole degree at which something is asked, found by going through them all. */
function edge(what: string, which: 'first' | 'last', binds: Binds, basis: Basis, wind = 0): number {
  const scale = basis === 'us' ? celsius : (c: number): number => c;
  const found = Array.from({ length: 181 }, (_, i) => i - 40).filter((d) =>
    asks(even(scale(d), wind), what, binds, basis),
  );
  return (which === 'first' ? found[0] : found.at(-1)) ?? NaN;
}

const COLD = 'TMS 602 1.8 C, from memory';
const HEAT = 'TMS 602 1.8 D, from memory';
const us = (
  id: string,
  of: string,
  at: number,
  source: string,
  what: string,
  which: 'first' | 'last',
  mph = 0,
) => exactly(id, of, at, '°F', source, () => edge(what, which, 'cement', 'us', mph * MPH));

/** Bands by whole degrees: what is asked under 40 °F is asked at 39 and not at 40, what over 100 at 101. */
export const WEATHER_CHECKS: PublishedCheck[] = [
  us('WX-01', 'cold work begins under 40 °F: the warmest it is asked at', 39, COLD, 'cold-40', 'last'),
  us('WX-03', 'sand or water is warmed from freezing up: the coldest', 32, COLD, 'cold-40', 'first'),
  us('WX-05 warm end', 'mud is kept from freezing under 32 °F: the warmest', 31, COLD, 'cold-32', 'last'),
  us('WX-05 cold end', 'down to 25 °F', 25, COLD, 'cold-32', 'first'),
  us('WX-06 warm end', 'the wall is warmed under 25 °F: the warmest', 24, COLD, 'cold-25', 'last'),
  us('WX-06 cold end', 'down to 20 °F', 20, COLD, 'cold-25', 'first'),
  us('WX-07', 'under 20 °F nothing is laid in the open: the warmest', 19, COLD, 'cold-20', 'last'),
  us(
    'WX-08 warm end',
    'new work is covered for a mean under 40 °F: the warmest',
    39,
    COLD,
    'cold-cover',
    'last',
  ),
  us('WX-08 cold end', 'down to a mean of 25 °F', 25, COLD, 'cold-cover', 'first'),
  us('WX-13 still', 'hot work begins over 100 °F', 101, HEAT, 'hot-begin', 'first'),
  us('WX-13 wind', 'over 90 °F in wind over 8 mph', 91, HEAT, 'hot-begin', 'first', 9),
  us('WX-13 light wind', 'wind of 8 mph is none', 101, HEAT, 'hot-begin', 'first', 8),
  us('WX-14 still', 'shade and cool water over 115 °F', 116, HEAT, 'hot-more', 'first'),
  us('WX-14 wind', 'over 105 °F in wind over 8 mph', 106, HEAT, 'hot-more', 'first', 9),
  us('WX-17 still', 'fogging for a mean over 100 °F', 101, HEAT, 'hot-cure', 'first'),
  us('WX-17 wind', 'over 90 °F in wind', 91, HEAT, 'hot-cure', 'first', 9),
  exactly(
    'WX-22',
    'fresh walls are braced or left in wind from',
    20,
    'mph',
    'bracing practice, from memory',
    () =>
      Array.from({ length: 60 }, (_, mph) => mph).find((mph) =>
        asks(even(15, mph * MPH), 'wind-brace', 'cement', 'us'),
      ) ?? NaN,
  ),
  exactly(
    'E 47',
    'no laying at 3 °C and falling: the warmest',
    3,
    '°C',
    'former BS 5628-3 and BS EN 1996-2, from memory',
    () => edge('stop-3', 'last', 'cement', 'metric'),
  ),
  exactly(
    'E 58',
    'lime from 5 °C and rising: the warmest it is not laid at',
    4,
    '°C',
    'conservation practice, from memory',
    () => edge('lime-5', 'last', 'lime', 'metric'),
  ),
];
