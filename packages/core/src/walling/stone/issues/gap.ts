import { issue, type Issue } from '../../../findings/issue.js';
import { KINK_SEEN } from '../../../tables/stoneWalls.js';
import { gapWork, purposeOf } from '../gap.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { BOND, type At } from './at.js';

/** A stretch to go up again: stone it will want, joints that would run up again, and a line that would kink. */
export function gap({ job, wall, laid }: At): Issue[] {
  const work = gapWork(job, wall, laid.gauge);
  if (!work) return [];
  const found: Issue[] = [];
  const at = { ...BOND, run: work.run, at: (work.from + work.to) / 2 };
  if (work.stock && work.bring > 0.5)
    found.push(
      issue({
        ...at,
        code: 'stone-short',
        severity: 'choice',
        key: 'stone-short',
        says: SAYS['gap-short']({
          share: Math.round(100 * work.stock.share),
          short: work.stock.short,
          bring: work.bring,
          few: work.stock.few ? 'yes' : 'no',
          looked: work.stock.looked,
        }),
        source: SAYS.sampled(),
      }),
    );
  if (work.joints && work.joints.count > 0)
    found.push(
      issue({
        ...at,
        code: 'stone-running-joints',
        severity: 'choice',
        key: 'stone-running-joints',
        says: SAYS['gap-joints']({
          count: work.joints.count,
          passed: work.joints.passed,
          purpose: purposeOf(wall),
        }),
        source: 'common practice',
      }),
    );
  const worst = work.kink ? Math.max(Math.abs(work.kink.left), Math.abs(work.kink.right)) : 0;
  if (worst > KINK_SEEN)
    found.push(
      issue({
        ...at,
        code: 'stone-kink',
        severity: 'choice',
        key: 'stone-kink',
        says: SAYS['gap-kink']({ by: worst, most: KINK_SEEN }),
        source: 'common practice',
      }),
    );
  return found;
}
