import { SAYS } from './messages.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { JobDocument } from '../../job/types.js';
import { carryingLeaf, couldCarry, type Leaved } from '../../walling/units/leaves/leaf.js';

/** Bars or grout asked for in a leaf that is not there, or has no cells while the other has. */
export function carriesIssue(job: JobDocument, { wall, leaves }: Leaved): Issue[] {
  const asked = job.walls[wall.index]?.build.carries;
  if (!asked || (!wall.steel && !wall.grout)) return [];
  const carrying = carryingLeaf({ leaves });
  const absent = carrying.index > 0 !== (asked === 'inner');
  const hollow = couldCarry({ leaves }).some((l) => l !== carrying);
  if (!absent && (carrying.wall.unit.shells !== null || !hollow)) return [];
  return [
    issue({
      code: 'leaf-cannot-carry',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      says: absent ? SAYS['inner-none']() : SAYS['leaf-no-cells']({ leaf: asked }),
      source: 'the units of both leaves',
      tries: () => [
        {
          says: SAYS['put-in-leaf']({ leaf: asked === 'inner' ? 'outer' : 'inner' }),
          edit: [{ op: 'remove', path: `/walls/${wall.index}/build/carries` }],
        },
      ],
    }),
  ];
}
