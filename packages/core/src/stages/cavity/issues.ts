import { SAYS } from './messages.js';
import { issue, type Issue } from '../../findings/issue.js';
import { behindCavity, type Leaf, type Leaved } from '../../walling/units/leaves/leaf.js';
import { LEVEL_WITHIN } from './levels.js';
import { tieDensity, wallTies } from './ties.js';

/** A cavity narrower than this lets mortar bridge it, mm (AD A 2C6, from memory). */
const LEAST_CAVITY = 50;

/** Ties too few or too far apart, by what somebody stated or by the beds there are. */
function tieIssues(work: Leaved & Pick<Leaf, 'gauge'>): Issue[] {
  const tied = wallTies(work);
  if (!tied || tied.holds) return [];
  const { wall } = work;
  const { rule, levels } = tied;
  const asked = wall.ties.up ?? rule.usual.up;
  if (levels.widest > asked + 1 && levels.widest > rule.up + 1)
    return [
      issue({
        code: 'ties-not-level',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        says: SAYS['ties-not-level']({ within: LEVEL_WITHIN, widest: levels.widest, up: rule.up }),
        source: `the courses of both leaves; ${rule.source}`,
      }),
    ];
  const build = `/walls/${wall.index}/build`;
  const forget = [...wall.tiesStated].map((at) => ({ op: 'remove' as const, path: `${build}/${at}` }));
  return [
    issue({
      code: 'ties-few',
      stage: 'steel',
      severity: 'fault',
      course: 1,
      says: SAYS['ties-few']({
        tape: wall.show,
        ...tieDensity(tied.perM2, rule.area, wall.show),
        along: Math.max(tied.along, wall.ties.across ?? 0),
        alongMost: rule.along,
        up: levels.widest,
        upMost: rule.up,
      }),
      source: rule.source,
      tries: () =>
        forget.length > 0 ? [{ says: SAYS['ties-by-rule']({ ...rule.usual }), edit: forget }] : [],
    }),
  ];
}

/** Leaves whose beds do not come level where ties want to lie, and cavities too narrow. */
export function cavityIssues(work: Leaved & Pick<Leaf, 'gauge'>): Issue[] {
  const { wall, leaves } = work;
  const list = tieIssues(work);
  const inner = behindCavity({ leaves });
  const { cavity } = wall;
  // What stands behind a stone facing is bedded in mortar or left open as its mason has it.
  if (!cavity || !inner || wall.stone) return list;
  const path = `/walls/${wall.index}/build/cavity`;
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
