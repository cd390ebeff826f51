import { setDeep, type PatchStep, type Job, type BenchView } from '@even-tally/core';
import { useJob } from '../state/job';

interface WallFields {
  /** Sets a key of the wall by its path under `/walls/<n>`, making what holds it where that is missing; false when refused. */
  set: (path: string, value: unknown) => boolean;
  /** Takes a key away; nothing happens where it is not there. */
  clear: (path: string) => boolean;
  path: string;
}

export function useWallFields(job: Job, view: BenchView): WallFields {
  const { edit } = useJob();
  const path = `/walls/${view.wall.index}`;
  return {
    path,
    set: (under, value) => {
      const step: PatchStep = setDeep(job, `${path}${under}`, value);
      return edit([step]);
    },
    clear: (under) => edit([{ op: 'remove', path: `${path}${under}` }]),
  };
}
