import { readJob, sayFault, type JobDocument, type Said } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import { FileUp, Plus } from 'lucide-react';
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
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
import { saidBy } from '../state/failure';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { Waiting } from '../ui/Waiting';
import { openPlanner, type Planner } from '../workers/planner';
import { Inside } from './Inside';
import { JobRow } from './JobRow';
import { PutAway } from './PutAway';

const MOST = 5 * 1024 * 1024;

/** All jobs, drawn as the walls they are. */
export function Yard(): ReactNode {
  const tell = useTell();
  const { session } = useSession();
  const [jobs, setJobs] = useState<JobLine[] | null>(null);
  const [away, setAway] = useState<JobLine[]>([]);
  const [says, setSays] = useState<Said | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [planner] = useState<Planner>(openPlanner);
  useEffect(() => () => planner.close(), [planner]);
  const show = useCallback((error: unknown): void => setSays(saidBy(error)), []);
  const read = useCallback((): void => {
    Promise.all([listJobs(), listPutAway()]).then(([now, put]) => {
      setJobs(now);
      setAway(put);
    }, show);
  }, [show]);
  useEffect(read, [read]);
  const may = (role: Role): boolean => ROLES.indexOf(session?.yard?.role ?? 'reads') >= ROLES.indexOf(role);

  const add = async (document: JobDocument): Promise<void> => {
    await addJob(document).then(read, show);
  };
  /** A job, or all of a yard: a yard's file is read line by line where it is kept. */
  const load = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    setSays(null);
    if (chosen.name.endsWith('.ndjson')) return loadYard(chosen).then(read, show);
    if (chosen.size > MOST)
      return setSays(tell(YARD.tooBig({ file: chosen.name, size: Math.ceil(chosen.size / 104857.6) / 10 })));
    const given = readJob(await chosen.text());
    if (given.ok) return add(given.job);
    const [first, ...more] = given.faults;
    setSays(
      tell(
        YARD.notRead({
          file: chosen.name,
          fault: first ? sayFault(first) : YARD.notAJob,
          more: more.length,
        }),
      ),
    );
  };

  if (!jobs && !says) return <Waiting what={tell(YARD.openingTheYard)} />;
  const actions = may('plans') && (
    <>
      <Link to="/yard/new" className="press inline-flex items-center gap-2">
        <Plus size={16} aria-hidden="true" /> {tell(YARD.newWall)}
      </Link>
      <button className="press-plain inline-flex items-center gap-2" onClick={() => file.current?.click()}>
        <FileUp size={16} aria-hidden="true" /> {tell(YARD.loadAJobFile)}
      </button>
      <input
        ref={file}
        type="file"
        accept=".json,application/json,.ndjson"
        className="sr-only"
        tabIndex={-1}
        aria-label={tell(YARD.jobFileToLoad)}
        onChange={(e) => {
          void load(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
        }}
      />
    </>
  );
  return (
    <Inside title={tell(YARD.yard)} actions={actions} says={says}>
      {jobs?.length === 0 && (
        <div className="border-t-2 border-ink py-12">
          <p className="heading text-lg">{tell(YARD.theYardIsEmpty)}</p>
          <p className="mt-2 max-w-md">
            {may('plans') ? tell(YARD.beginWithAWall) : tell(YARD.whoeverPlansInThis)}
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
