import type { Said } from '../../messages/message.js';
import { toMillimetres } from '../../measure/length.js';
import { count, type Made } from '../figure.js';
import type { SetWall } from '../set-out/wall.js';
import type { GaugeSolution } from './solve.js';
import { HOW } from '../workingMessages.js';

interface GaugeSaid {
  wall: SetWall;
  gauge: GaugeSolution;
}

/** In words, how this wall's beds were got: the three ways differ. */
function bedFormula({ gauge }: GaugeSaid): Said {
  if (gauge.short !== 0) return HOW['the-target-bed-no']();
  if (gauge.met !== null && gauge.met.courses.length > 0) return HOW['the-least-bed-target']();
  if (gauge.sawn !== null) return HOW['the-target-bed-the']();
  if (gauge.lowest < gauge.count) return HOW['lowest-takes']({ count: gauge.lowest });
  return HOW['height-courses-unit-height']();
}

/** How the bed of the upper courses comes about. */
export const bedWorking = (p: GaugeSaid): Made => ({
  title: HOW['bed-of-the-upper'](),
  formula: bedFormula(p),
  inputs: [
    { name: HOW.height(), value: p.wall.height, quantity: 'length', source: HOW.stated() },
    count(HOW.courses(), p.gauge.count, HOW['whole-courses-with-the']()),
    {
      name: HOW['target-bed'](),
      value: p.wall.bed,
      quantity: 'length',
      source: HOW['stated-or-the-profile'](),
    },
    { name: HOW['unit-height'](), value: p.wall.unitHeight, quantity: 'length', source: p.wall.unit.source },
    {
      name: HOW['least-bed'](),
      value: toMillimetres(p.wall.profile.bed.least),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
    {
      name: HOW['most-bed'](),
      value: toMillimetres(p.wall.profile.bed.most),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
  ],
  result: p.gauge.courses.at(-1)?.bed ?? 0,
  quantity: 'length',
  source: p.wall.profile.bed.source,
});
