import type { Basis } from '../../../tables/mixes/materials.js';
import type { Mm } from '../../../measure/length.js';
import { feet, millimetres, toMillimetres } from '../../../measure/length.js';
import type { Binds } from '../../../mud/weather/advice.js';
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

/** What a day's green height is by profile: UK 1.5 m (BS 8000-3), lime 1.2 m, earth five courses; from memory. */
export function dayLimit(basis: Basis, binds: Binds): DayLimit {
  if (binds === 'earth') return { high: null, courses: 5, says: MUD['limit-earth']() };
  if (binds === 'lime')
    return { high: toMillimetres(millimetres(1200)), courses: null, says: MUD['limit-lime']() };
  return basis === 'us'
    ? { high: US_LIFT, courses: null, says: MUD['limit-us']() }
    : { high: toMillimetres(millimetres(1500)), courses: null, says: MUD['limit-uk']() };
}
