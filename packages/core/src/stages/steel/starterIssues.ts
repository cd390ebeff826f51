import { bondWays } from '../../walling/units/judging/ways.js';
import { sayMm } from '../../measure/format.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { ReinforcedWall } from './steel.js';
import { bestShift, sayShift, shiftTry, type Shift } from './shift.js';
import { judgeStarters, MOST_SLOPE } from './starters.js';
import { drilled } from './steel.js';
import { turnTry } from './turning.js';

/** Starters as they were found: what is in the way, and the ways out a mason has, in the order to try them. */
export function starterIssues({ wall, steel, runs }: ReinforcedWall): Issue[] {
  const size = wall.steel?.vertical?.bar;
  const judged = judgeStarters(wall, steel);
  if (size === undefined || judged.length === 0) return [];
  const say = (n: number): string => sayMm(n, wall.show);
  let found: Shift | null | undefined;
  const shiftOf = (): Shift | null => (found === undefined ? (found = bestShift(wall, steel)) : found);
  return runs.flatMap((run): Issue[] => {
    const own = judged.filter((s) => s.run === run.index);
    const off = own.filter((s) => s.verdict !== 'clear');
    const first = off.find((s) => s.verdict === 'blocked') ?? off[0];
    if (!first) return [];
    const blocked = off.filter((s) => s.verdict === 'blocked').length;
    const shift = shiftOf();
    const turn = turnTry(wall, run, off);
    const drill = drilled(size);
    const which =
      own.length === 1
        ? `The starter at ${say(first.at)} does not come up clear in a cell${blocked > 0 ? ', but under a web or a perp' : ''}. It wants`
        : `${off.length} of ${own.length} starters do not come up clear in a cell${blocked > 0 ? `, ${blocked} under a web or a perp` : ''}; the first, at ${say(first.at)}, wants`;
    const ways = [
      shift
        ? `laying the wall out ${sayShift(wall, run.index, shift)} clears ${shift.clear} of ${shift.of}`
        : '',
      turn ? 'turning the sawn unit over one end for end' : '',
      `a bar may be brought over no more than 1 in 6, ${say(wall.unitHeight * MOST_SLOPE)} in a course, never heated`,
      `else cut it off and drill beside it: hole ${say(drill.hole)}, ${say(drill.depth)} deep, ${say(drill.edge)} from an edge, by the adhesive maker’s table`,
      'or ask the engineer',
    ].filter(Boolean);
    return [
      issue({
        code: 'starter-off',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        run: run.index,
        at: first.at,
        says: `${which} ${say(Math.abs(first.need))}${first.need === 0 ? ' across the wall' : ''}. To try: ${ways.join('; ')}.`,
        source: 'TMS 602 Art. 3.4 B, from memory; hole and depth: common practice',
        tries: () => [
          ...(shift ? [shiftTry(wall, run.index, shift)] : []),
          ...bondWays(wall)
            .filter((w) => w.edit.length > 0)
            .map((w) => ({ says: w.name, edit: w.edit })),
          ...(turn ? [turn] : []),
        ],
      }),
    ];
  });
}
