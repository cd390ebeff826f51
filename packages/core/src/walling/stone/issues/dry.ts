import { issue, type Issue, type Try } from '../../../findings/issue.js';
import { STONE_RULES } from '../../../tables/stoneWalls.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { batterOf } from '../section.js';
import { endOf, stoneWork } from '../work.js';
import { BOND, set, written, type At } from './at.js';

/** A dry wall against the rules of thumb: its base, how its faces lean, how high it is, and whether anything goes through it. */
export function dry(at: At): Issue[] {
  const { stone, wall, laid } = at;
  if (stone.kind !== 'dry') return [];
  const found: Issue[] = [];
  const { runs } = stoneWork(wall, laid.gauge);
  const ends = runs.flatMap((r) => [endOf(r, 0), endOf(r, 1)]);
  const high = Math.max(...ends.map((e) => e.height));
  const least = STONE_RULES.baseToHeight * high;
  if (stone.base < least - 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'stone-base-narrow',
        severity: 'choice',
        key: 'stone-base-narrow',
        says: SAYS['base-narrow']({ base: stone.base, height: high, least }),
        source: SAYS['rule-of-thumb'](),
        tries: () => {
          const base = Math.ceil(least / 10) * 10;
          return [{ says: SAYS['base-wider']({ base }), edit: set(at, 'base', written(at, base)) }];
        },
      }),
    );
  const [tallest] = ends.filter((e) => e.height === high);
  const batter = tallest ? batterOf(tallest) : Infinity;
  const { flat, steep } = STONE_RULES.batter;
  if (stone.base >= least - 0.5 && (batter < flat || batter > steep)) {
    // In the middle of what is usual for weak and for flat stone: one in eight.
    const top = Math.max(50, Math.round(stone.base - (2 * high) / 8));
    const tries = (): Try[] =>
      top < stone.base && stone.base / 4 < top
        ? [{ says: SAYS['top-narrower']({ top }), edit: set(at, 'top', written(at, top)) }]
        : [];
    found.push(
      issue({
        ...BOND,
        code: 'stone-batter',
        severity: 'choice',
        key: 'stone-batter',
        says:
          batter > steep
            ? SAYS['batter-steep']({ batter: Number.isFinite(batter) ? batter : 0 })
            : SAYS['batter-flat']({ batter }),
        source: SAYS.handbooks(),
        tries,
      }),
    );
  }
  if (high > STONE_RULES.dryHigh + 0.5)
    found.push(
      issue({
        ...BOND,
        code: 'engineer-needed',
        severity: 'fault',
        key: 'engineer-needed|dry',
        says: SAYS['dry-high']({ height: high }),
        source: SAYS.handbooks(),
      }),
    );
  if (stone.throughs.length === 0 && high > 600)
    found.push(
      issue({
        ...BOND,
        code: 'stone-no-throughs',
        severity: 'fault',
        key: 'stone-no-throughs',
        says: SAYS['no-throughs']({ height: high }),
        source: SAYS.handbooks(),
        tries: () => [
          {
            says: SAYS['set-apart']({ most: STONE_RULES.apart }),
            edit: set(at, 'throughs', [{ at: written(at, high / 2), every: written(at, STONE_RULES.apart) }]),
          },
        ],
      }),
    );
  for (const run of runs) {
    const [a, b] = [endOf(run, 0), endOf(run, 1)];
    if (Math.abs(a.height - b.height) < 10 || stone.base - stone.top < 1) continue;
    found.push(
      issue({
        ...BOND,
        code: 'stone-ends-unlike',
        severity: 'note',
        run: run.run,
        key: `stone-ends-unlike|${run.run}`,
        says: SAYS['ends-unlike']({
          run: wall.runs[run.run]?.name ?? '',
          left: batterOf(a),
          right: batterOf(b),
        }),
        source: 'geometry',
      }),
    );
  }
  return found;
}
