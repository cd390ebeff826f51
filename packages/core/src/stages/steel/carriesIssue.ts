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
      says: absent
        ? 'Bars and grout are asked for in the inner leaf, and the wall has none laid for itself.'
        : `Bars and grout are asked for in the ${asked} leaf, whose units have no cells; the other’s have.`,
      source: 'the units of both leaves',
      tries: () => [
        {
          says: `Put them in the ${asked === 'inner' ? 'outer' : 'inner'} leaf`,
          edit: [{ op: 'remove', path: `/walls/${wall.index}/build/carries` }],
        },
      ],
    }),
  ];
}
