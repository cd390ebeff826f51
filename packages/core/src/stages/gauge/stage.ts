import { stage } from '../stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { gaugeIssues } from './issues.js';
import type { GaugeSolution } from './solve.js';
import { bedWorking } from './workings.js';

/** The heights its courses come to. */
export interface GaugeWork {
  gauge: GaugeSolution;
}

export const gauge = stage<'gauge', SetOutWork, GaugeWork>({
  id: 'gauge',
  shown: 'gauge',
  of: 'units',
  needs: ['set-out'],
  work: ({ wall }, { walling }) => ({ gauge: walling.levels(wall) }),
  issues: (_, work) => gaugeIssues(work.wall, work.gauge),
  working: (work, figure) => (figure === 'bed' ? bedWorking(work) : null),
});
