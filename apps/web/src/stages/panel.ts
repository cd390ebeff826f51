import type { Job, BenchView, Show } from '@even-tally/core';
import type { Planner } from '../workers/planner';

/** What every stage's panel is given. */
export interface PanelProps {
  job: Job;
  view: BenchView;
  show: Show;
  stem: string;
  planner: Planner;
}
