import { YARD } from '@even-tally/words';
import { ArchiveRestore, Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { bringJobBack, removeJob, type JobLine } from '../state/api';
import { useDates } from '../state/dates';
import { useTell } from '../state/words';
import { Confirm } from '../ui/Confirm';

/** Jobs that are put away: they come back as they were, or go for good where somebody who owns the yard says so. */
export function PutAway({
  jobs,
  may,
  onChange,
  onTrouble,
}: {
  jobs: readonly JobLine[];
  may: { bringBack: boolean; remove: boolean };
  onChange: () => void;
  onTrouble: (error: unknown) => void;
}): ReactNode {
  const tell = useTell();
  const dates = useDates();
  const [going, setGoing] = useState<JobLine | null>(null);
  const does = (what: Promise<void>): void => void what.then(onChange, onTrouble);
  if (jobs.length === 0) return null;
  const press = 'inline-flex min-h-7 items-center gap-1 px-2 text-soft';
  return (
    <section aria-label={tell(YARD.putAway)} className="mt-4 border-t-2 border-ink pt-4">
      <h2 className="heading">{tell(YARD.putAway)}</h2>
      <ul className="mt-2">
        {jobs.map((line) => (
          <li key={line.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
            <span className="font-semibold break-words">{line.name}</span>
            <span className="text-small text-soft">
              {tell(YARD.lastKept({ when: dates.since(line.savedAt) }))}
            </span>
            <span className="ml-auto flex">
              {may.bringBack && (
                <button className={`${press} hover:text-ink`} onClick={() => does(bringJobBack(line.id))}>
                  <ArchiveRestore size={15} aria-hidden="true" /> {tell(YARD.bringBack)}
                  <span className="sr-only">{line.name}</span>
                </button>
              )}
              {may.remove && (
                <button className={`${press} hover:text-fault`} onClick={() => setGoing(line)}>
                  <Trash2 size={15} aria-hidden="true" /> {tell(YARD.throwAway)}
                  <span className="sr-only">{line.name}</span>
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      <Confirm
        open={going !== null}
        title={tell(YARD.throwAwayJob({ job: going?.name ?? '' }))}
        says={tell(YARD.theJobGoesWith)}
        yes={tell(YARD.throwItAway)}
        onYes={() => {
          if (going) does(removeJob(going.id));
          setGoing(null);
        }}
        onNo={() => setGoing(null)}
      />
    </section>
  );
}
