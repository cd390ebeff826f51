import type { BondWork } from '../bond/stage.js';
import type { Grouted } from '../grout/work.js';
import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { backfillHold } from './holds.js';
import { retainIssues } from './issues.js';

/** Ground the wall holds back: nothing is designed, and what must be seen before it is filled is held. */
export const retain = stage<'retain', SetOutWork & BondWork & Grouted, object>({
  id: 'retain',
  shown: 'steel',
  needs: ['set-out', 'bond', 'grout'],
  work: () => ({}),
  issues: (_, work) => retainIssues(work),
  holds: backfillHold,
});
