import type { Basis } from '../../tables/mixes/materials.js';
import type { Mix } from '../../tables/mixes/mixes.js';
import type { Day, Minutes } from '../day/day.js';
import { hasCement } from '../strength.js';
import { temperatureAt, type Weather } from './temperature.js';

const fahrenheit = (f: number): number => ((f - 32) * 5) / 9;
/** TMS 602 1.8 D: hot past 100 °F, or past 90 °F in wind over 8 mph; from memory. */
export const HOT = { still: fahrenheit(100), windy: fahrenheit(90), wind: 8 * 1.609344 };
/** Where no code says: as the mix states it to 20 °C, as in the heat from 30 °C, in wind from 25 °C; common practice. */
const WARM = { from: 20, still: 30, windy: 25 };

/** Working life of mud mixed at a temperature, minutes from its water. */
export function lifeAt(mix: Mix, basis: Basis, celsius: number, wind: number | null): Minutes {
  const [life, hot] = [mix.life[basis], mix.hotLife[basis]];
  const windy = (wind ?? 0) > HOT.wind;
  if (basis === 'us' && hasCement(mix)) return celsius > (windy ? HOT.windy : HOT.still) ? hot : life;
  const to = windy ? WARM.windy : WARM.still;
  const part = Math.min(1, Math.max(0, (celsius - WARM.from) / (to - WARM.from)));
  return life + (hot - life) * part;
}

/** Looked at so often. */
const EVERY = 30;

/** Lives through a day by when the water goes in; as at 20 °C where nobody has said how warm it is. */
export function livesOf(mix: Mix, basis: Basis, weather: Weather, from: Minutes, to: Minutes): Day['lives'] {
  const { low, high, wind } = weather;
  if (low === null || high === null) return [{ at: 0, life: mix.life[basis] }];
  const lives: { at: Minutes; life: Minutes }[] = [];
  // The evening before too: a batch may be wetted before anybody lays.
  for (let at = Math.floor((from - 240) / EVERY) * EVERY; at < to; at += EVERY) {
    const life = Math.round(lifeAt(mix, basis, temperatureAt(low, high, at), wind));
    if (lives.at(-1)?.life !== life) lives.push({ at, life });
  }
  return lives;
}
