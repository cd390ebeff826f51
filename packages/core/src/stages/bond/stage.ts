import { wallingOf } from '../../walling/registry.js';
import type { Laid } from '../../walling/walling.js';
import type { GaugeWork } from '../gauge/stage.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { courseList, cutList } from './lists.js';

/** The wall laid: its runs as the face has them, its leaves, and how course 1 begins where the file left that open. */
export type BondWork = Pick<Laid, 'wall' | 'runs' | 'ways' | 'leaves'>;

export const bond = stage<'bond', SetOutWork & GaugeWork, BondWork>({
  id: 'bond',
  shown: 'bond',
  needs: ['set-out', 'gauge'],
  work: ({ wall, gauge }, { job, walling, weigh, before }) => {
    const laid = walling.lay(job, wall, gauge, weigh, before);
    return { wall: laid.wall, runs: laid.runs, ways: laid.ways, leaves: laid.leaves };
  },
  // Stone has levels and lists of its own.
  lists: (work) => (work.wall.stone ? [] : [courseList(work), cutList(work)]),
  issues: (job, work) => wallingOf(work.wall).issues(job, work),
});
