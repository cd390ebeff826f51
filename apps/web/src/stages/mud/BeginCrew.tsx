import { WEEKDAYS, weekdayOf, type Job } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useJob } from '../../state/job';
import { useTell } from '../../state/words';

/** Nobody is there yet: one press puts two people there, to be changed. */
export function BeginCrew({ job, date }: { job: Job; date: string }): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const begin = (): void => {
    const hours = Object.fromEntries(
      WEEKDAYS.filter((d, i) => i < 5 || d === weekdayOf(date)).map((d) => [d, ['07:30', '16:00']]),
    );
    edit([
      {
        op: job.crew ? 'replace' : 'add',
        path: '/crew',
        value: {
          people: [
            { id: 'p1', name: tell(AT_MUD.aMason), does: 'lays' },
            { id: 'p2', name: tell(AT_MUD.aTender), does: 'tends' },
          ],
          hours,
          breaks: [['12:00', '12:30']],
          ...job.crew,
        },
      },
    ]);
  };
  return (
    <button className="press mt-2" onClick={begin}>
      {tell(AT_MUD.beginCrew)}
    </button>
  );
}
