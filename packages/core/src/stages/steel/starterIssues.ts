import { SAYS } from './messages.js';
import { bondWays } from '../../walling/units/judging/ways.js';
import { issue, type Issue } from '../../findings/issue.js';
import type { ReinforcedWall } from './steel.js';
import { bestShift, shiftSaid, shiftTry, type Shift } from './shift.js';
import { judgeStarters, MOST_SLOPE } from './starters.js';
import { drilled } from './steel.js';
import { turnTry } from './turning.js';

/** Starters as they were found: what is in the way, and the ways out a mason has, in the order to try them. */
export function starterIssues({ wall, steel, runs }: ReinforcedWall): Issue[] {
  const size = wall.steel?.vertical?.bar;
  const judged = judgeStarters(wall, steel);
  if (size === undefined || judged.length === 0) return [];
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
        ? SAYS['one-starter-off']({ at: first.at, blocked: blocked > 0 ? 'yes' : 'no' })
        : SAYS['starters-off']({ off: off.length, of: own.length, blocked, at: first.at });
    const ways = [
      ...(shift
        ? [SAYS['way-shift']({ shift: shiftSaid(wall, run.index, shift), clear: shift.clear, of: shift.of })]
        : []),
      ...(turn ? [SAYS['way-turn']()] : []),
      SAYS['way-bend']({ by: wall.unitHeight * MOST_SLOPE }),
      SAYS['way-drill'](drill),
      SAYS['way-engineer'](),
    ];
    return [
      issue({
        code: 'starter-off',
        stage: 'steel',
        severity: 'fault',
        course: 1,
        run: run.index,
        at: first.at,
        says: SAYS['starter-off']({
          which,
          need: Math.abs(first.need),
          across: first.need === 0 ? 'yes' : 'no',
          ways,
        }),
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
