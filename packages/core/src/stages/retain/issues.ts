import { sayMm } from '../../measure/format.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { SetWall } from '../set-out/wall.js';
import { engineerReasons, retainLimit } from './retain.js';

/** Ground held that an engineer decides about: the stage stops there, and says what to take along. */
export function retainIssues({ wall }: { wall: SetWall }): Issue[] {
  const say = (n: number): string => sayMm(n, wall.show);
  const held = wall.retains;
  const reasons = engineerReasons(wall, say);
  if (!held || reasons.length === 0) return [];
  const take = [
    `ground held ${say(held.height)}`,
    `wall ${say(wall.height)} high and ${say(wall.thickness)} thick`,
    wall.footing
      ? `footing ${say(wall.footing.width)} wide and ${say(wall.footing.depth)} deep`
      : 'the footing',
    wall.steel?.vertical ? `${wall.steel.vertical.bar} at ${say(wall.steel.vertical.every)}` : 'no uprights',
    'the soil and its water',
    'what stands on or near it',
  ];
  return [
    issue({
      code: 'engineer-needed',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      key: 'engineer-needed|retains',
      says: `An engineer decides about this wall: ${reasons.join('; ')}. Nothing here says that it will stand. Take along: ${take.join(', ')}.`,
      source: `${retainLimit(wall.profile.id).source}; statics: Rankine at 30°, 18 and 20 kN/m³`,
    }),
  ];
}
