import { lockEdit, type Locked } from '@even-tally/core';
import { UI } from '@even-tally/words';
import { Lock as Closed, LockOpen } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob } from '../state/job';
import { useTell } from '../state/words';
import type { PanelProps } from './panel';

/** Holds a stage's choice: nothing proposes to change it, and no default moves it, until it is let go. */
export function Lock({ job, view, stage }: PanelProps & { stage: Locked }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const locked = view.wall.locked.includes(stage);
  const now = { ...view.wall, courses: view.wall.count };
  return (
    <button
      className="inline-flex min-h-7 items-center gap-1 text-small font-semibold text-chalk"
      aria-pressed={locked}
      onClick={() => edit(lockEdit(job, view.wall.index, now, stage))}
    >
      {locked ? <Closed size={14} aria-hidden="true" /> : <LockOpen size={14} aria-hidden="true" />}
      {locked ? tell(UI.lockedLetItGo) : tell(UI.lockIt)}
    </button>
  );
}
