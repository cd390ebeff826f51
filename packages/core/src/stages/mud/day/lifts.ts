import type { Basis } from '../../../tables/mixes/materials.js';
import type { Mm } from '../../../measure/length.js';
import { feet, millimetres, toMillimetres } from '../../../measure/length.js';
import type { Binds } from '../../../mud/weather/advice.js';
import type { Weather } from '../../../mud/weather/temperature.js';
import type { Mix } from '../../../tables/mixes/mixes.js';
import { MUD } from '../messages.js';
import type { Said } from '../../../messages/message.js';

/** How much is laid on green work in a day before it is left to set. */
export interface DayLimit {
  /** Height laid in a day, mm; or courses. */
  high: Mm | null;
  courses: number | null;
  says: Said;
}

/** Past this a wall is braced until it is held (29 CFR 1926.706), and a scaffold is wanted: no code height, from memory. */
const US_LIFT = toMillimetres(feet(8));

/** Rubble in lime, mm a day: 1 m of hydraulic lime, 750 mm of putty or hot lime, 600 mm of either where it is cold or wet. Common practice, from memory. */
const RUBBLE = { hydraulic: 1000, putty: 750, slow: 600 } as const;
/** Colder than this on its warmest lime hardens slowly, °C: common practice. */
const SLOW = 10;

/** What a day's green height of rubble is, by what binds it and how the day will be. */
function rubbleLimit(mix: Mix, { high, rain }: Weather): DayLimit {
  const slow = rain || (high !== null && high < SLOW);
  const putty = mix.parts.some((p) => p.of === 'lime-putty' || p.of === 'quicklime');
  const most = slow ? RUBBLE.slow : putty ? RUBBLE.putty : RUBBLE.hydraulic;
  return {
    high: most,
    courses: null,
    says: MUD['limit-rubble']({ most, why: slow ? 'slow' : putty ? 'putty' : 'hydraulic' }),
  };
}

/** What a day's green height is by profile: UK 1.5 m (BS 8000-3), lime 1.2 m, earth five courses; from memory. */
export function dayLimit(
  basis: Basis,
  binds: Binds,
  rubble: { mix: Mix; weather: Weather } | null = null,
): DayLimit {
  if (rubble) return rubbleLimit(rubble.mix, rubble.weather);
  if (binds === 'earth') return { high: null, courses: 5, says: MUD['limit-earth']() };
  if (binds === 'lime')
    return { high: toMillimetres(millimetres(1200)), courses: null, says: MUD['limit-lime']() };
  return basis === 'us'
    ? { high: US_LIFT, courses: null, says: MUD['limit-us']() }
    : { high: toMillimetres(millimetres(1500)), courses: null, says: MUD['limit-uk']() };
}
