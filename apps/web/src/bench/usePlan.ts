import { useEffect, useState } from 'react';
import type { Job, Show } from '@even-tally/core';
import { useJob } from '../state/job';
import { clear, show as showView, stumble } from '../state/shown';
import { openPlanner, type Planner } from '../workers/planner';

/**
 * Keeps the plan of the open job up to date in the store of what is shown. What is dragged goes straight from the
 * job's store to the planner and its answers straight to the drawing: React draws once a frame, and only the drawing.
 */
export function usePlan(job: Job | null, wall: number, run: number, show: Show): Planner {
  const { store } = useJob();
  const [planner] = useState<Planner>(openPlanner);
  useEffect(() => {
    planner.onBench(showView, stumble);
    return () => {
      planner.close();
      clear();
    };
  }, [planner]);
  useEffect(() => {
    if (job && wall >= 0) planner.bench(job, wall, run, show);
    return store.subscribe((now, was) => {
      const letGo = was.base !== null && now.base === null;
      if (wall >= 0 && now.job && now.job !== was.job && (now.base !== null || letGo))
        planner.bench(now.job, wall, run, show);
    });
  }, [job, planner, wall, run, show, store]);
  return planner;
}
