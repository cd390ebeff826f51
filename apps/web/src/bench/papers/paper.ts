import type { BenchView, Job, Show, StageName } from '@even-tally/core';
import type { Planner } from '../../workers/planner';

/** What every drawing on the paper is given. */
export interface PaperProps {
  job: Job;
  view: BenchView;
  show: Show;
  stage: StageName;
  stem: string;
  planner: Planner;
}
