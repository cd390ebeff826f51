import { copiedWall, type JobDocument, type Said } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useEffect, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { listJobs, readJobById, Refused, saveJob, type JobLine } from '../../state/api';
import { saidBy } from '../../state/failure';
import { useJob, useOpenJob } from '../../state/job';
import { copyId } from '../../state/newId';
import { useTell } from '../../state/words';
import { Fold } from '../../ui/Fold';
import { Pick } from '../../ui/Pick';
import type { PanelProps } from '../panel';

/** Somebody may be saving that job too: so often it is tried again on what they saved. */
const TRIES = 5;

async function intoJob(
  id: string,
  from: JobDocument,
  index: number,
): Promise<{ name: string; lost: Said[] }> {
  for (let n = 1; ; n++) {
    const { revision, document } = await readJobById(id);
    const { job, lost } = copiedWall(from, index, document, copyId);
    try {
      await saveJob(id, revision, job);
      return { name: document.name, lost };
    } catch (error) {
      if (!(error instanceof Refused) || error.newer === null || n === TRIES) throw error;
    }
  }
}

/** The wall once more: beside itself, or in another job of the yard, with the units it is built of. */
export function CopyWall({ job, view, stem }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const navigate = useNavigate();
  const own = useOpenJob((s) => s.id);
  const [jobs, setJobs] = useState<JobLine[]>([]);
  const [to, setTo] = useState('');
  const [says, setSays] = useState<{ trouble: boolean; text: Said } | null>(null);
  useEffect(() => {
    listJobs().then(setJobs, () => setJobs([]));
  }, []);
  const others = jobs.filter((j) => j.id !== own);
  const chosen = others.find((j) => j.id === to) ?? others[0];
  const here = (): void => {
    const copy = copiedWall(job, view.wall.index, job, copyId);
    if (!edit(copy.job)) return;
    const [, , id] = stem.split('/');
    void navigate(`/jobs/${id}/${encodeURIComponent(copy.id)}/0/set-out`);
  };
  const there = (): void => {
    if (!chosen) return;
    setSays(null);
    intoJob(chosen.id, job, view.wall.index).then(
      ({ name, lost }) =>
        setSays({
          trouble: false,
          text: AT_SET_OUT.copiedTo({
            wall: view.wall.name,
            job: name,
            lost: lost.length === 0 ? '' : AT_SET_OUT.leftBehind({ what: lost }),
          }),
        }),
      (error: Error) => setSays({ trouble: true, text: saidBy(error) }),
    );
  };
  return (
    <Fold title={tell(AT_SET_OUT.copyThisWall)} aside="">
      <button className="press-plain" onClick={here}>
        {tell(AT_SET_OUT.anotherLikeItIn)}
      </button>
      {chosen && (
        <>
          <Pick
            label={tell(AT_SET_OUT.intoAnotherJob)}
            value={chosen.id}
            options={others.map((j) => [j.id, j.name] as const)}
            onChange={setTo}
          />
          <button className="press-plain" onClick={there}>
            {tell(AT_SET_OUT.copyItThere)}
          </button>
        </>
      )}
      {says && (
        <p
          role={says.trouble ? 'alert' : 'status'}
          className={`text-small ${says.trouble ? 'font-semibold text-fault' : 'text-soft'}`}
        >
          {tell(says.text)}
        </p>
      )}
    </Fold>
  );
}
