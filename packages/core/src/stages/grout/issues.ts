import { SAYS } from './messages.js';
import { toTheTape } from '../../walling/units/judging/toTheTape.js';
import { issue, type Issue, type Try } from '../../findings/issue.js';
import type { PatchStep } from '../../job/edits/patch.js';
import { middleOf } from '../steel/shafts.js';
import { GROUT_SPACE_SOURCE, GROUT_SPACES } from '../../tables/grout.js';
import { tightCells, tightSpaces, type GroutedWall } from './pours.js';

/** Above this part of a wall's filled cells the wall itself is tight, and is poured lower: common practice. */
const A_FEW = 1 / 4;

/** A few bad cells are filled as the wall goes up, so that they do not cut every pour to a foot. */
function risingTries({ wall, steel, fills, pours }: GroutedWall): Try[] {
  const tight = tightCells(wall, steel, fills, pours);
  const filled = fills.reduce((sum, f) => sum + f.cells.filter((c) => c.filled).length, 0);
  if (tight.length === 0 || tight.length > A_FEW * filled) return [];
  const taken = new Set((wall.steel?.cells ?? []).map((c) => c.id));
  const free = (function* (): Generator<string> {
    for (let n = 1; ; n++) if (!taken.has(`K${n}`)) yield `K${n}`;
  })();
  const cells = tight.map(({ run, shaft }) => ({
    id: free.next().value as string,
    run,
    at: toTheTape(wall, middleOf(shaft)),
    rises: true,
  }));
  const path = `/walls/${wall.index}/steel`;
  const edit: PatchStep[] = !wall.steel
    ? [{ op: 'add', path, value: { cells } }]
    : wall.steel.cells.length > 0
      ? cells.map((value) => ({ op: 'add', path: `${path}/cells/-`, value }))
      : [{ op: 'add', path: `${path}/cells`, value: cells }];
  return [{ says: SAYS['fill-rising']({ count: cells.length }), edit }];
}

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
    return [...fine, ...risingTries(work), ...lower];
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
