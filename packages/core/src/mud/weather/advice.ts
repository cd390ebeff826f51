import type { Message } from '../../messages/message.js';
import type { Severity } from '../../findings/finding.js';
import type { Basis } from '../../tables/mixes/materials.js';
import type { Minutes } from '../day/day.js';
import { HOT } from './life.js';
import { WEATHER } from './messages.js';
import { rangeIn, type Weather } from './temperature.js';

/** What the mud is that has to stand the weather. */
export type Binds = 'cement' | 'lime' | 'earth';

/** What the weather asks for. A fault: stop; a choice: do this; a note: know this. */
export interface WeatherAdvice {
  severity: Severity;
  says: Message;
  source: string;
}

const f = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
const COLD = 'TMS 602 1.8 C; from memory';
const HEAT = 'TMS 602 1.8 D; from memory';
/** Where waits take twice as long: common practice. */
const SLOW = 5;
/** Fresh walls are braced or left from here on, km/h (20 mph): masons’ bracing practice, from memory. */
const BRACE = 20 * 1.609344;

interface Band {
  when: boolean;
  severity: Severity;
  says: Message;
  source: string;
}

/** The bands of TMS 602 for cold and heat, by the air while it is laid and the mean of the day. */
function american(least: number, most: number, mean: number, windy: boolean): Band[] {
  const hot = most > (windy ? HOT.windy : HOT.still);
  const veryHot = most > f(windy ? 105 : 115);
  return [
    { when: least < f(20), severity: 'fault', says: WEATHER['cold-20'](), source: COLD },
    { when: least >= f(20) && least < f(25), severity: 'choice', says: WEATHER['cold-25'](), source: COLD },
    { when: least >= f(25) && least < f(32), severity: 'choice', says: WEATHER['cold-32'](), source: COLD },
    { when: least >= f(32) && least < f(40), severity: 'choice', says: WEATHER['cold-40'](), source: COLD },
    { when: mean < f(20), severity: 'choice', says: WEATHER['cold-cover-heat'](), source: COLD },
    {
      when: mean >= f(20) && mean < f(25),
      severity: 'choice',
      says: WEATHER['cold-cover-wrap'](),
      source: COLD,
    },
    { when: mean >= f(25) && mean < f(40), severity: 'choice', says: WEATHER['cold-cover'](), source: COLD },
    { when: hot, severity: 'choice', says: WEATHER['hot-begin'](), source: HEAT },
    { when: veryHot, severity: 'choice', says: WEATHER['hot-more'](), source: HEAT },
    {
      when: mean > (windy ? HOT.windy : HOT.still),
      severity: 'choice',
      says: WEATHER['hot-cure'](),
      source: HEAT,
    },
  ];
}

/** What a day's weather asks of work with such a mud, worst first. Nothing where nobody has said how it is. */
export function weatherAdvice(
  weather: Weather,
  { binds, basis, from, to }: { binds: Binds; basis: Basis; from: Minutes; to: Minutes },
): WeatherAdvice[] {
  const range = rangeIn(weather, from, to);
  const windy = (weather.wind ?? 0) > HOT.wind;
  const bands: Band[] = [];
  if (range) {
    const { least, most } = range;
    const low = weather.low ?? least;
    const mean = (low + (weather.high ?? most)) / 2;
    if (binds === 'cement' && basis === 'us') bands.push(...american(least, most, mean, windy));
    if (binds === 'cement' && basis === 'metric')
      bands.push(
        {
          when: least <= 3,
          severity: 'fault',
          says: WEATHER['stop-3'](),
          source: 'BS 5628-3 and BS EN 1996-2; from memory',
        },
        {
          when: low <= 0,
          severity: 'choice',
          says: WEATHER['frost-after'](),
          source: 'BS EN 1996-2 3.6; from memory',
        },
        {
          when: most >= (windy ? 25 : 30),
          severity: 'choice',
          says: WEATHER['hot-metric'](),
          source: 'common practice',
        },
      );
    if (binds === 'lime')
      bands.push(
        {
          when: least < 5,
          severity: 'fault',
          says: WEATHER['lime-5'](),
          source: 'conservation practice; from memory',
        },
        {
          when: low <= 0,
          severity: 'choice',
          says: WEATHER['lime-frost'](),
          source: 'conservation practice; from memory',
        },
        {
          when: most >= (windy ? 20 : 25),
          severity: 'choice',
          says: WEATHER['hot-lime'](),
          source: 'conservation practice; from memory',
        },
      );
    if (binds === 'earth')
      bands.push({
        when: low <= 0,
        severity: 'fault',
        says: WEATHER['earth-frost'](),
        source: 'common practice',
      });
    bands.push({
      when: mean <= SLOW && binds !== 'earth',
      severity: 'note',
      says: WEATHER['waits-double'](),
      source: 'common practice',
    });
  }
  bands.push(
    {
      when: weather.rain,
      severity: 'choice',
      says: binds === 'earth' ? WEATHER['rain-earth']() : WEATHER['rain-cover'](),
      source: 'common practice',
    },
    {
      when: (weather.wind ?? 0) >= BRACE,
      severity: 'choice',
      says: WEATHER['wind-brace'](),
      source: 'masons’ bracing practice: 20 mph on walls a day old; from memory',
    },
  );
  const order: readonly Severity[] = ['fault', 'choice', 'note'];
  return bands
    .filter((b) => b.when)
    .sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity))
    .map(({ severity, says, source }) => ({ severity, says, source }));
}
