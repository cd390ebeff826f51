import { TABLE } from '../../tables/messages.js';
import type { Message, Said } from '../../messages/message.js';
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
  source: Said;
}

const f = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;
const COLD = TABLE['tms-602-cold']();
const HEAT = TABLE['tms-602-hot']();
/** Where waits take twice as long: common practice. */
const SLOW = 5;
/** Fresh walls are braced or left from here on, km/h (20 mph): masons’ bracing practice, from memory. */
const BRACE = 20 * 1.609344;

interface Band {
  when: boolean;
  severity: Severity;
  says: Message;
  source: Said;
}

const band = (when: boolean, severity: Severity, says: Message, source: Said): Band => ({
  when,
  severity,
  says,
  source,
});

/** The bands of TMS 602 for cold and heat, by the air while it is laid and the mean of the day. */
function american(least: number, most: number, mean: number, windy: boolean): Band[] {
  const hot = most > (windy ? HOT.windy : HOT.still);
  const veryHot = most > f(windy ? 105 : 115);
  return [
    band(least < f(20), 'fault', WEATHER['cold-20'](), COLD),
    band(least >= f(20) && least < f(25), 'choice', WEATHER['cold-25'](), COLD),
    band(least >= f(25) && least < f(32), 'choice', WEATHER['cold-32'](), COLD),
    band(least >= f(32) && least < f(40), 'choice', WEATHER['cold-40'](), COLD),
    band(mean < f(20), 'choice', WEATHER['cold-cover-heat'](), COLD),
    band(mean >= f(20) && mean < f(25), 'choice', WEATHER['cold-cover-wrap'](), COLD),
    band(mean >= f(25) && mean < f(40), 'choice', WEATHER['cold-cover'](), COLD),
    band(hot, 'choice', WEATHER['hot-begin'](), HEAT),
    band(veryHot, 'choice', WEATHER['hot-more'](), HEAT),
    band(mean > (windy ? HOT.windy : HOT.still), 'choice', WEATHER['hot-cure'](), HEAT),
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
        band(least <= 3, 'fault', WEATHER['stop-3'](), TABLE['bs-cold']()),
        band(low <= 0, 'choice', WEATHER['frost-after'](), TABLE['en-frost']()),
        band(most >= (windy ? 25 : 30), 'choice', WEATHER['hot-metric'](), TABLE['common-practice']()),
      );
    if (binds === 'lime')
      bands.push(
        band(least < 5, 'fault', WEATHER['lime-5'](), TABLE['conservation-practice']()),
        band(low <= 0, 'choice', WEATHER['lime-frost'](), TABLE['conservation-practice']()),
        band(most >= (windy ? 20 : 25), 'choice', WEATHER['hot-lime'](), TABLE['conservation-practice']()),
      );
    if (binds === 'earth')
      bands.push(band(low <= 0, 'fault', WEATHER['earth-frost'](), TABLE['common-practice']()));
    bands.push(
      band(mean <= SLOW && binds !== 'earth', 'note', WEATHER['waits-double'](), TABLE['common-practice']()),
    );
  }
  bands.push(
    band(
      weather.rain,
      'choice',
      binds === 'earth' ? WEATHER['rain-earth']() : WEATHER['rain-cover'](),
      TABLE['common-practice'](),
    ),
    band((weather.wind ?? 0) >= BRACE, 'choice', WEATHER['wind-brace'](), TABLE['bracing-practice']()),
  );
  const order: readonly Severity[] = ['fault', 'choice', 'note'];
  return bands
    .filter((b) => b.when)
    .sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity))
    .map(({ severity, says, source }) => ({ severity, says, source }));
}
