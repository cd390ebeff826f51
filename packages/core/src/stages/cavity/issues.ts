import { sayMm } from '../../measure/format.js';
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
  const say = (n: number): string => sayMm(n, wall.show);
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
        says: `The beds of the two leaves do not come level within ${say(LEVEL_WITHIN)} often enough: ${say(levels.widest)} go by without a row of ties, and they may be ${say(cavity.up)} apart.`,
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
        says: `A cavity of ${say(cavity.width)} is bridged by its own droppings; the least is ${say(LEAST_CAVITY)}.`,
        source: 'AD A 2C6, from memory',
        tries: () => [
          {
            says: `Make it ${say(LEAST_CAVITY)}`,
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
        says: `The inner leaf’s courses stop ${say(Math.abs(inner.gauge.short))} ${inner.gauge.short > 0 ? 'short of' : 'over'} the height: cut a course, or lay it out with coursing units.`,
        source: 'the inner leaf gauged to the same height',
      }),
    );
  return list;
}
