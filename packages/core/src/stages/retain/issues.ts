import { SAYS } from './messages.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { SetWall } from '../set-out/wall.js';
import { engineerReasons, retainLimit } from './retain.js';

/** Ground held that an engineer decides about: the stage stops there, and says what to take along. */
export function retainIssues({ wall }: { wall: SetWall }): Issue[] {
  const held = wall.retains;
  const reasons = engineerReasons(wall);
  if (!held || reasons.length === 0) return [];
  const { footing, steel } = wall;
  const take = [
    SAYS['take-ground']({ height: held.height }),
    SAYS['take-wall']({ height: wall.height, thick: wall.thickness }),
    footing
      ? SAYS['take-footing']({ width: footing.width, depth: footing.depth })
      : SAYS['take-the-footing'](),
    steel?.vertical
      ? SAYS['take-bars']({ bar: steel.vertical.bar, every: steel.vertical.every })
      : SAYS['take-no-bars'](),
    SAYS['take-soil'](),
    SAYS['take-loads'](),
  ];
  return [
    issue({
      code: 'engineer-needed',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      key: 'engineer-needed|retains',
      says: SAYS.engineer({ reasons, take }),
      source: `${retainLimit(wall.profile.id).source}; statics: Rankine at 30°, 18 and 20 kN/m³`,
    }),
  ];
}
