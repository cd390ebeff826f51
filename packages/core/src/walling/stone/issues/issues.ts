import { issue, type Issue } from '../../../findings/issue.js';
import type { JobDocument } from '../../../job/types.js';
import type { Laid } from '../../walling.js';
import { intoOld } from '../intoOld.js';
import { STONES_SAY as SAYS } from '../messages.js';
import { stoneIn } from '../stretches.js';
import { stoneWork } from '../work.js';
import type { At } from './at.js';
import { apart, boundAsUsual } from './bound.js';
import { dry } from './dry.js';
import { fitted } from './fitted.js';
import { gap } from './gap.js';
import { heavy } from './lifting.js';
import { ashlar, byLaying, mortared } from './mortared.js';

/** Where it ends on another wall, and what holds its end there. */
function endsOn({ job, wall, laid }: At): Issue[] {
  const into = intoOld(job, wall, stoneWork(wall, laid.gauge).runs);
  if (!into) return [];
  return [
    issue({
      code: 'wall-meets',
      stage: 'set-out',
      severity: 'note',
      run: into.run,
      at: wall.runs[into.run]?.length ?? 0,
      key: 'wall-meets|stone',
      says: SAYS['ends-on-old'](into),
      source: 'common practice',
    }),
  ];
}

/** What a wall of stone says of itself. */
export function stoneIssues(job: JobDocument, laid: Laid): Issue[] {
  const { wall } = laid;
  const at: At = { job, wall, stone: stoneIn(wall), laid };
  return [
    ...boundAsUsual(at),
    ...apart(at),
    ...dry(at),
    ...mortared(at),
    ...byLaying(at),
    ...ashlar(at),
    ...gap(at),
    ...fitted(at),
    ...endsOn(at),
    ...heavy(at),
  ];
}
