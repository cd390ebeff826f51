import { readJob, sayFault, type JobDocument } from '@even-tally/core';
import { FileUp, Plus } from 'lucide-react';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import {
  addJob,
  listJobs,
  listPutAway,
  loadYard,
  putJobAway,
  ROLES,
  type JobLine,
  type Role,
} from '../state/api';
import { useSession } from '../state/session';
import { Waiting } from '../ui/Waiting';
import { openPlanner, type Planner } from '../workers/planner';
import { Inside } from './Inside';
import { JobRow } from './JobRow';
import { NEW_JOB } from './newJob';
import { PutAway } from './PutAway';

const MOST = 5 * 1024 * 1024;

/** All jobs, drawn as the walls they are. */
export function Yard(): ReactNode {
  const { session } = useSession();
  const navigate = useNavigate();
  const [jobs, setJobs] = useState<JobLine[] | null>(null);
  const [away, setAway] = useState<JobLine[]>([]);
  const [says, setSays] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [planner] = useState<Planner>(openPlanner);
  useEffect(() => () => planner.close(), [planner]);
  const show = useCallback(
    (error: unknown): void => setSays(error instanceof Error ? error.message : String(error)),
    [],
  );
  const read = useCallback((): void => {
    Promise.all([listJobs(), listPutAway()]).then(([now, put]) => {
      setJobs(now);
      setAway(put);
    }, show);
  }, [show]);
  useEffect(read, [read]);
  const may = (role: Role): boolean => ROLES.indexOf(session?.yard?.role ?? 'reads') >= ROLES.indexOf(role);

  /** A new wall is gone to at once: whoever asks for one means to draw it. */
  const begin = async (): Promise<void> => {
    setSays(null);
    try {
      const kept = await addJob(NEW_JOB);
      await navigate(`/jobs/${kept.id}/${NEW_JOB.walls[0]?.id ?? ''}/0/set-out`);
    } catch (error) {
      show(error);
    }
  };
  const add = async (document: JobDocument): Promise<void> => {
    await addJob(document).then(read, show);
  };
  /** A job, or all of a yard: a yard's file is read line by line where it is kept. */
  const load = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    setSays(null);
    if (chosen.name.endsWith('.ndjson')) return loadYard(chosen).then(read, show);
    if (chosen.size > MOST)
      return setSays(`${chosen.name}: wanted at most 5 MB, got ${(chosen.size / 1048576).toFixed(1)} MB.`);
    const given = readJob(await chosen.text());
    if (given.ok) return add(given.job);
    const [first, ...more] = given.faults;
    setSays(
      `${chosen.name}: ${first ? sayFault(first) : 'not a job file'}${more.length > 0 ? ` (and ${more.length} more)` : ''}. Nothing was changed.`,
    );
  };

  if (!jobs && !says) return <Waiting what="Opening the yard" />;
  const actions = may('plans') && (
    <>
      <button className="press inline-flex items-center gap-2" onClick={() => void begin()}>
        <Plus size={16} aria-hidden="true" /> New wall
      </button>
      <button className="press-plain inline-flex items-center gap-2" onClick={() => file.current?.click()}>
        <FileUp size={16} aria-hidden="true" /> Load a job file
      </button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json,.ndjson"
        className="sr-only"
        tabIndex={-1}
        aria-label="Job file to load"
        onChange={(e) => {
          void load(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
        }}
      />
    </>
  );
  return (
    <Inside title="Yard" actions={actions} says={says}>
      {jobs?.length === 0 && (
        <div className="border-t-2 border-ink py-12">
          <p className="heading text-lg">The yard is empty.</p>
          <p className="mt-2 max-w-md">
            {may('plans')
              ? 'Begin with a wall and change it to yours, or load a job file from another yard.'
              : 'Whoever plans in this yard has not begun a wall yet.'}
          </p>
        </div>
      )}
      {jobs?.map((line) => (
        <JobRow
          key={line.id}
          line={line}
          planner={planner}
          {...(may('plans') ? { onPutAway: () => void putJobAway(line.id).then(read, show) } : {})}
        />
      ))}
      <PutAway
        jobs={away}
        may={{ bringBack: may('plans'), remove: may('owns') }}
        onChange={read}
        onTrouble={show}
      />
    </Inside>
  );
}
