import type { Build } from '../job/types.js';
import type { SetWall } from '../stages/set-out/wall.js';
import { ashlar, dry, rubble, squared } from './stone/walling.js';
import { units } from './units/walling.js';
import type { Walling } from './walling.js';

/** The wallings there are. A wall says which by `build.kind`. */
export const WALLINGS: Readonly<Record<Build['kind'], Walling>> = {
  units,
  rubble,
  squared,
  ashlar,
  dry,
};

export const wallingOf = (wall: Pick<SetWall, 'walling'>): Walling => WALLINGS[wall.walling];
