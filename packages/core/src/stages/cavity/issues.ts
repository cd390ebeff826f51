import { SAYS } from './messages.js';
import { issue, type Issue } from '../../findings/issue.js';
import { behindCavity, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import { LEVEL_WITHIN, tieLevels } from './levels.js';

/** A cavity narrower than this lets mortar bridge it, mm (AD A 2C6, from memory). */
const LEAST_CAVITY = 50;

/** Leaves whose beds do not come level where ties want to lie, and cavities too narrow. */
export function cavityIssues({ wall, gauge, leaves }: Leaved & Pick<Leaf, 'gauge'>): Issue[] {
  const inner = behindCavity({ leaves });
  const { cavity } = wall;
  if (!cavity || !inner) return [];
  const path = `/walls/${wall.index}/build/cavity`;
  const levels = tieLevels(
    gauge.courses.slice(0, gauge.count),
    inner.gauge.courses.slice(0, inner.gauge.count),
    cavity.up,
  );
  const list: Issue[] = [];
  if (levels.widest > cavity.up + 1)
    list.push(
      issue({
        code: 'ties-not-level',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        says: SAYS['ties-not-level']({ within: LEVEL_WITHIN, widest: levels.widest, up: cavity.up }),
        source: 'the courses of both leaves; PD 6697, from memory',
      }),
    );
  if (cavity.width < LEAST_CAVITY - 0.5)
    list.push(
      issue({
        code: 'cavity-narrow',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        says: SAYS.narrow({ width: cavity.width, least: LEAST_CAVITY }),
        source: 'AD A 2C6, from memory',
        tries: () => [
          {
            says: SAYS['make-it']({ width: LEAST_CAVITY }),
            edit: [{ op: 'replace', path: `${path}/width`, value: LEAST_CAVITY }],
          },
        ],
      }),
    );
  if (inner.gauge.short !== 0)
    list.push(
      issue({
        code: 'inner-off-gauge',
        stage: 'steel',
        severity: 'choice',
        course: 1,
        says: SAYS['inner-off']({
          by: Math.abs(inner.gauge.short),
          side: inner.gauge.short > 0 ? 'under' : 'over',
        }),
        source: 'the inner leaf gauged to the same height',
      }),
    );
  return list;
}
