import { DialogTitle } from '@headlessui/react';
import { format } from 'date-fns';
import { useEffect, useState, type ReactNode } from 'react';
import { listVersions, readVersion, type VersionLine } from '../state/api';
import { useJob, useOpenJob } from '../state/job';
import { look, useViewing } from '../state/view';
import { Card } from '../ui/Card';

/** What the job was before: who saved it, when, and what changed. One taken back is a step like any other. */
export function VersionsDialog(): ReactNode {
  const open = useViewing((s) => s.versionsOpen);
  return open && <Lines />;
}

function Lines(): ReactNode {
  const id = useOpenJob((s) => s.id);
  const job = useOpenJob((s) => s.job);
  const revision = useOpenJob((s) => s.revision);
  const { takeBack } = useJob();
  const [lines, setLines] = useState<VersionLine[] | null>(null);
  const [says, setSays] = useState<string | null>(null);
  useEffect(() => {
    if (id !== null) listVersions(id).then(setLines, (error: Error) => setSays(error.message));
    // What is kept meanwhile is on the list too.
  }, [id, revision]);
  const close = (): void => look({ versionsOpen: false });
  const back = async (revision: number): Promise<void> => {
    if (id === null) return;
    try {
      const { document } = await readVersion(id, revision);
      if (takeBack(document)) close();
      else setSays('That version is no wall any more by what is checked now, and was left as it is.');
    } catch (error) {
      setSays((error as Error).message);
    }
  };
  const [now, ...before] = lines ?? [];
  return (
    <Card onClose={close} size="flex max-h-full w-[760px] flex-col">
      <DialogTitle className="heading border-b-2 border-ink px-6 pt-5 pb-2 text-lg">
        Versions of {job?.name}
      </DialogTitle>
      <div className="min-h-0 overflow-y-auto px-6" tabIndex={0} role="region" aria-label="Versions">
        <ul>
          {now && <Line line={now} />}
          {before.map((line) => (
            <Line key={line.revision} line={line} onBack={() => void back(line.revision)} />
          ))}
        </ul>
        {lines && before.length === 0 && (
          <p className="py-4 text-soft">
            Nothing older yet. A version is kept whenever somebody else saves, or the same person does after
            ten minutes.
          </p>
        )}
        {!lines && !says && <p className="py-4 text-soft">Looking through what was kept…</p>}
      </div>
      <p role="alert" className="px-6 pt-2 font-semibold text-fault">
        {says}
      </p>
      <p className="px-6 pt-3 pb-5">
        <button className="press" onClick={close}>
          Close
        </button>
      </p>
    </Card>
  );
}

function Line({ line, onBack }: { line: VersionLine; onBack?: () => void }): ReactNode {
  return (
    <li className="grid grid-cols-[9rem_1fr_auto] items-baseline gap-x-4 border-b border-rule py-2">
      <span className="figures whitespace-nowrap">{format(new Date(line.at), 'd MMM HH:mm')}</span>
      <span className="min-w-0">
        <span className="font-semibold break-words">{line.says ?? 'as it was first kept'}</span>
        <span className="block text-small break-all text-soft">{line.by ?? 'a visitor'}</span>
      </span>
      {onBack ? (
        <button className="press-plain" onClick={onBack}>
          Take it back
        </button>
      ) : (
        <span className="text-small text-soft">as it stands</span>
      )}
    </li>
  );
}
