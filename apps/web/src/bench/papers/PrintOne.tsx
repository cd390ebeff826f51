import type { Said } from '@even-tally/core';
import { AlarmClock, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTakeAway } from '../../stages/useTakeAway';
import { useTell } from '../../state/words';
import type { PaperProps } from './paper';

/** One of the things there are to take away, printed from where it is looked at. */
export function PrintOne({
  kind,
  says,
  job,
  view,
  show,
  planner,
}: Pick<PaperProps, 'job' | 'view' | 'show' | 'planner'> & { kind: string; says: Said }): ReactNode {
  const tell = useTell();
  const { lines, take, busy, trouble } = useTakeAway({
    job,
    planner,
    wall: view.wall,
    run: { index: view.run, name: view.wall.name },
    show,
  });
  const line = lines.find((l) => l.kind === kind);
  return (
    <>
      {trouble && <span className="text-small font-semibold text-fault">{tell(trouble)}</span>}
      <button
        className={`press-plain inline-flex items-center gap-2 ${kind === 'ics' ? 'max-[699px]:min-h-11' : 'max-[1180px]:hidden'}`}
        disabled={!line || busy !== null}
        onClick={() => line && take(line)}
      >
        {kind === 'ics' ? (
          <AlarmClock size={15} aria-hidden="true" />
        ) : (
          <Printer size={15} aria-hidden="true" />
        )}{' '}
        {tell(says)}
      </button>
    </>
  );
}
