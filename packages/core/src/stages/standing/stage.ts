import type { SetOutWork } from '../set-out/stage.js';
import { stage } from '../stage.js';
import { standingIssues } from './issues.js';

/** Whether a wall may stand as it is said to be held: asked for, stopped where an engineer decides, never approved. */
export const standing = stage<'standing', SetOutWork, object>({
  id: 'standing',
  shown: 'set-out',
  needs: ['set-out'],
  work: () => ({}),
  issues: standingIssues,
});
