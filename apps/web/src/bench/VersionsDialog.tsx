import type { Said } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useEffect, useState, type ReactNode } from 'react';
import { listVersions, readVersion, type VersionLine } from '../state/api';
import { useDates } from '../state/dates';
import { saidBy } from '../state/failure';
import { useJob, useOpenJob } from '../state/job';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Card } from '../ui/Card';

/** What the job was before: who saved it, when, and what changed. One taken back is a step like any other. */
export function VersionsDialog(): ReactNode {
  const open = useViewing((s) => s.versionsOpen);
  return open && <Lines />;
}

function Lines(): ReactNode {
  const tell = useTell();
  const id = useOpenJob((s) => s.id);
  const job = useOpenJob((s) => s.job);
  const revision = useOpenJob((s) => s.revision);
  const { takeBack } = useJob();
  const [lines, setLines] = useState<VersionLine[] | null>(null);
  const [says, setSays] = useState<Said | null>(null);
  useEffect(() => {
    if (id !== null) listVersions(id).then(setLines, (error: Error) => setSays(saidBy(error)));
    // What is kept meanwhile is on the list too.
  }, [id, revision]);
  const close = (): void => look({ versionsOpen: false });
  const back = async (revision: number): Promise<void> => {
    if (id === null) return;
    try {
      const { document } = await readVersion(id, revision);
      if (takeBack(document)) close();
      else setSays(tell(BENCH.versionNoWall));
    } catch (error) {
      setSays(saidBy(error));
    }
  };
  const [now, ...before] = lines ?? [];
  return (
    <Card onClose={close} size="flex max-h-full w-[760px] flex-col">
      <DialogTitle className="heading border-b-2 border-ink px-6 pt-5 pb-2 text-lg">
        {tell(BENCH.versionsOf({ job: job?.name ?? '' }))}
      </DialogTitle>
      <div
        className="min-h-0 overflow-y-auto px-6"
        tabIndex={0}
        role="region"
        aria-label={tell(BENCH.versions)}
      >
        <ul>
          {now && <Line line={now} />}
          {before.map((line) => (
            <Line key={line.revision} line={line} onBack={() => void back(line.revision)} />
          ))}
        </ul>
        {lines && before.length === 0 && <p className="py-4 text-soft">{tell(BENCH.nothingOlderYetA)}</p>}
        {!lines && !says && <p className="py-4 text-soft">{tell(BENCH.lookingThroughWhatWas)}</p>}
      </div>
      <p role="alert" className="px-6 pt-2 font-semibold text-fault">
        {says && tell(says)}
      </p>
      <p className="px-6 pt-3 pb-5">
        <button className="press" onClick={close}>
          {tell(BENCH.close)}
        </button>
      </p>
    </Card>
  );
}

function Line({ line, onBack }: { line: VersionLine; onBack?: () => void }): ReactNode {
  const dates = useDates();
  const tell = useTell();
  return (
    <li className="grid grid-cols-[9rem_1fr_auto] items-baseline gap-x-4 border-b border-rule py-2">
      <span className="figures whitespace-nowrap">{dates.moment(line.at)}</span>
      <span className="min-w-0">
        <span className="font-semibold break-words">{tell(line.says ?? BENCH.asFirstKept)}</span>
        <span className="block text-small break-all text-soft">{line.by ?? tell(BENCH.aVisitor)}</span>
      </span>
      {onBack ? (
        <button className="press-plain" onClick={onBack}>
          {tell(BENCH.takeItBack)}
        </button>
      ) : (
        <span className="text-small text-soft">{tell(BENCH.asItStands)}</span>
      )}
    </li>
  );
}
