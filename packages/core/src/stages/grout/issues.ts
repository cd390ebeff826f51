import { sayMm } from '../../measure/format.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import { issue, type Issue } from '../../findings/issue.js';
import { GROUT_SPACE_SOURCE, GROUT_SPACES } from '../../tables/grout.js';
import { tightSpaces, type GroutedWall } from './pours.js';

/** Cells too tight for the height that is to be poured down them. */
function spaceIssues(work: GroutedWall): Issue[] {
  const { wall, steel, fills, pours } = work;
  const say = (n: number): string => sayMm(n, wall.show);
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
        says: `Pour no more than ${say(s.pour)} at once`,
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
              says: 'Use fine grout',
              edit: [{ op: 'replace' as const, path: `${path}/aggregate`, value: 'fine' }],
            },
          ]
        : [];
    return [...fine, ...lower];
  };
  const says = first
    ? `${aggregate === 'fine' ? 'Fine' : 'Coarse'} grout poured ${say(first.pour.height)} high wants ${say(first.wanted[0])} × ${say(first.wanted[1])} clear; the cell at ${say(first.at)} has ${say(first.got[0])} × ${say(first.got[1])}.`
    : `A pour ${say(high?.height ?? 0)} high is higher than the table goes: build it in more than one.`;
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
      says: `Grout is asked for, and ${wall.unit.name} has no cells to take it.`,
      source: 'the unit as specified',
    }),
  ];
}

export const groutIssues = (work: GroutedWall): Issue[] => [...solidIssue(work), ...spaceIssues(work)];
