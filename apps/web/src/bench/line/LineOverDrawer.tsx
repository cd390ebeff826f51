import type { BenchView, Job, Show } from '@even-tally/core';
import { lazy, Suspense, type ReactNode } from 'react';
import { useViewing } from '../../state/view';
import type { Planner } from '../../workers/planner';
import type { KeyPlace } from '../keys';

const SayLine = lazy(() => import('./SayLine'));
const FindLine = lazy(() => import('./FindLine'));

export interface LineProps {
  job: Job;
  view: BenchView;
  wall: number;
  run: number;
  show: Show;
  planner: Planner;
  base: string;
  stage: string;
  keyPlace: KeyPlace;
}

/** One line under the paper: a wall is said in it, or something is found by its name. */
export function LineOverDrawer(props: LineProps): ReactNode {
  const saying = useViewing((s) => s.saying);
  const finding = useViewing((s) => s.finding);
  return (
    <Suspense>
      {saying && <SayLine {...props} />}
      {finding && <FindLine {...props} />}
    </Suspense>
  );
}
