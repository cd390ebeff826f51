import { issue, type Issue } from '../../../findings/issue.js';
import { LIFT_MOST } from '../../../tables/stoneWalls.js';
import { ashlarOf } from '../ashlar/lay.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { copeWeighs, throughWeighs } from '../sorted.js';
import { stoneWork } from '../work.js';
import { BOND, type At } from './at.js';

/** What is heavier than one person lifts: said once for each kind of stone. */
export function heavy(at: At): Issue[] {
  const { stone, wall, laid } = at;
  const note = (key: string, says: Issue['says']): Issue =>
    issue({
      ...BOND,
      code: 'stone-heavy',
      severity: 'note',
      key: `stone-heavy|${key}`,
      says,
      source: SAYS['safety-lifting'](),
    });
  const found: Issue[] = [];
  const cope = copeWeighs(wall);
  if (cope > LIFT_MOST) found.push(note('copes', SAYS['copes-heavy']({ mass: cope })));
  const longest = Math.max(0, ...stoneWork(wall, laid.gauge).throughs.map((t) => t.length));
  const through = throughWeighs(longest + 2 * stone.past, stone.stone.density);
  if (through > LIFT_MOST)
    found.push(note('throughs', SAYS['throughs-heavy']({ mass: through, length: longest + 2 * stone.past })));
  const { peaks, bridges } = stoneWork(wall, laid.gauge);
  for (const p of peaks.filter((p) => p.mass > LIFT_MOST))
    found.push(
      note(
        `peak|${p.run}|${Math.round(p.at)}`,
        SAYS['peak-heavy']({ mass: p.mass, width: p.left + p.right, height: p.top - p.foot }),
      ),
    );
  const [big] = bridges.filter((b) => b.mass > LIFT_MOST).sort((a, b) => b.mass - a.mass);
  if (big)
    found.push(
      note('bridges', SAYS['bridges-heavy']({ mass: big.mass, name: big.name, length: big.length })),
    );
  if (stone.kind === 'ashlar') {
    const over = ashlarOf(wall, laid.gauge).stones.filter((s) => s.mass > LIFT_MOST);
    if (over.length > 0)
      found.push(
        note(
          'ashlar',
          SAYS['stones-heavy']({
            count: over.length,
            mass: Math.max(...over.map((s) => s.mass)),
            most: LIFT_MOST,
          }),
        ),
      );
  }
  return found;
}
