import { SAYS } from './messages.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import { issue, type Issue } from '../../findings/issue.js';
import { GROUT_SPACE_SOURCE, GROUT_SPACES } from '../../tables/grout.js';
import { tightSpaces, type GroutedWall } from './pours.js';

/** Cells too tight for the height that is to be poured down them. */
function spaceIssues(work: GroutedWall): Issue[] {
  const { wall, steel, fills, pours } = work;
  const path = `/walls/${wall.index}/grout`;
  const first = tightSpaces(wall, steel, fills, pours)[0];
  const high = pours.find((p) => p.space === null);
  if (!first && !high) return [];
  const aggregate = wall.grout?.aggregate ?? 'fine';
  const tries = () => {
    const lower = GROUT_SPACES.filter(
      (s) => s.aggregate === aggregate && s.pour < (first?.pour.height ?? Infinity),
    )
      .reverse()
      .map((s) => ({
        says: SAYS['pour-lower']({ most: s.pour }),
        edit: [
          wall.grout?.stated
            ? { op: 'add' as const, path: `${path}/pour`, value: toTheTape(wall, s.pour) }
            : { op: 'add' as const, path, value: { fill: 'steel', pour: toTheTape(wall, s.pour) } },
        ],
      }));
    const fine =
      aggregate === 'coarse'
        ? [
            {
              says: SAYS['use-fine'](),
              edit: [{ op: 'replace' as const, path: `${path}/aggregate`, value: 'fine' }],
            },
          ]
        : [];
    return [...fine, ...lower];
  };
  const says = first
    ? SAYS['space-tight']({
        aggregate,
        high: first.pour.height,
        wide: first.wanted[0],
        deep: first.wanted[1],
        at: first.at,
        hasWide: first.got[0],
        hasDeep: first.got[1],
      })
    : SAYS['past-table']({ high: high?.height ?? 0 });
  return [
    issue({
      code: 'grout-space-tight',
      stage: 'steel',
      severity: 'fault',
      course: (first?.pour ?? high)?.from ?? 1,
      run: first?.run ?? null,
      at: first?.at ?? null,
      says,
      source: GROUT_SPACE_SOURCE,
      tries,
    }),
  ];
}

/** A unit with no cells has nothing to fill. */
function solidIssue({ wall }: GroutedWall): Issue[] {
  if (!wall.grout || wall.grout.fill === 'none' || wall.unit.shells !== null) return [];
  return [
    issue({
      code: 'grout-nowhere',
      stage: 'steel',
      severity: 'note',
      course: 1,
      says: SAYS.nowhere({ unit: wall.unit.name }),
      source: 'the unit as specified',
    }),
  ];
}

export const groutIssues = (work: GroutedWall): Issue[] => [...solidIssue(work), ...spaceIssues(work)];
