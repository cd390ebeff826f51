import type { SteelStageWork } from '../steel/work.js';
import type { RunFill } from './fill.js';
import type { Pour } from './pours.js';

/** Which cells are filled, how much that takes, and in what pours. */
export interface Grouted {
  fills: RunFill[];
  pours: Pour[];
}

export type GroutStageWork = SteelStageWork & Grouted;
