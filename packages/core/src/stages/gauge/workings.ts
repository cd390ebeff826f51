import { toMillimetres } from '../../measure/length.js';
import { count, type Made } from '../figure.js';
import type { SetWall } from '../set-out/wall.js';
import type { GaugeSolution } from './solve.js';

interface GaugeSaid {
  wall: SetWall;
  gauge: GaugeSolution;
}

/** In words, how this wall's beds were got: the three ways differ. */
function bedFormula({ gauge }: GaugeSaid): string {
  if (gauge.short !== 0) return 'the target bed: no number of whole courses lands inside the limits';
  if (gauge.met !== null && gauge.met.courses.length > 0)
    return 'the least Σ (bed − target)² that lands on every fixed height, each stretch its own';
  if (gauge.sawn !== null) return 'the target bed: the difference is in the sawn course';
  if (gauge.lowest < gauge.count) return `the target bed: the difference is in the lowest ${gauge.lowest}`;
  return 'height ÷ courses − unit height';
}

/** How the bed of the upper courses comes about. */
export const bedWorking = (p: GaugeSaid): Made => ({
  title: 'Bed of the upper courses',
  formula: bedFormula(p),
  inputs: [
    { name: 'height', value: p.wall.height, quantity: 'length', source: 'stated' },
    count('courses', p.gauge.count, 'whole courses with the bed nearest its target, or as chosen'),
    { name: 'target bed', value: p.wall.bed, quantity: 'length', source: 'stated, or the profile’s' },
    { name: 'unit height', value: p.wall.unitHeight, quantity: 'length', source: p.wall.unit.source },
    {
      name: 'least bed',
      value: toMillimetres(p.wall.profile.bed.least),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
    {
      name: 'most bed',
      value: toMillimetres(p.wall.profile.bed.most),
      quantity: 'length',
      source: p.wall.profile.bed.source,
    },
  ],
  result: p.gauge.courses.at(-1)?.bed ?? 0,
  quantity: 'length',
  source: p.wall.profile.bed.source,
});
