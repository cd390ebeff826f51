import { readJob, sayFault, type JobDocument } from '@even-tally/core';
import { formatDistanceToNow } from 'date-fns';
import { FileUp, LogOut, Plus, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { addJob, listJobs, removeJob, signOut, type KeptJob } from '../state/api';
import { useSession } from '../state/session';
import { Mark } from '../ui/Mark';
import { Waiting } from '../ui/Waiting';
import { Confirm } from '../ui/Confirm';
import { openPlanner, type Planner } from '../workers/planner';
import { NEW_JOB } from './newJob';
import { WallCard } from './WallCard';

function JobRow({
  kept,
  planner,
  onRemove,
}: {
  kept: KeptJob;
  planner: Planner;
  onRemove: () => void;
}): ReactNode {
  const { document: job } = kept;
  return (
    <section className="border-t-2 border-ink py-5" aria-label={job.name}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-narrow text-xl font-bold break-words">{job.name}</h2>
        <p className="text-soft">
          {job.walls.length === 1 ? 'one wall' : `${job.walls.length} walls`}, kept{' '}
          {formatDistanceToNow(new Date(kept.savedAt))} ago
        </p>
        <button
          className="ml-auto inline-flex min-h-7 items-center gap-1 px-2 text-soft hover:text-fault"
          onClick={onRemove}
        >
          <Trash2 size={15} aria-hidden="true" /> Throw away
          <span className="sr-only">{job.name}</span>
        </button>
      </div>
      <div className="mt-4 flex flex-wrap items-end gap-x-8 gap-y-6">
        {job.walls.map((wall, i) => (
          <WallCard key={wall.id} jobId={kept.id} job={job} index={i} planner={planner} />
        ))}
      </div>
    </section>
  );
}

/** All jobs, drawn as the walls they are. */
export function Yard(): ReactNode {
  const { session, setSession } = useSession();
  const navigate = useNavigate();
  const [jobs, setJobs] = useState<KeptJob[] | null>(null);
  const [says, setSays] = useState<string | null>(null);
  const [leaving, setLeaving] = useState<KeptJob | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [planner] = useState<Planner>(openPlanner);
  useEffect(() => () => planner.close(), [planner]);
  const show = (error: unknown): void => setSays(error instanceof Error ? error.message : String(error));
  useEffect(() => {
    document.title = 'Yard · Even Tally';
    listJobs().then(setJobs, show);
  }, []);

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
    setSays(null);
    try {
      const kept = await addJob(document);
      setJobs((now) => [...(now ?? []), kept]);
    } catch (error) {
      show(error);
    }
  };
  const load = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    if (chosen.size > 5 * 1024 * 1024)
      return setSays(`${chosen.name}: wanted at most 5 MB, got ${(chosen.size / 1048576).toFixed(1)} MB.`);
    const read = readJob(await chosen.text());
    if (read.ok) return add(read.job);
    const [first, ...more] = read.faults;
    setSays(
      `${chosen.name}: ${first ? sayFault(first) : 'not a job file'}${more.length > 0 ? ` (and ${more.length} more)` : ''}. Nothing was changed.`,
    );
  };
  const leave = async (): Promise<void> => {
    await signOut().catch(show);
    if (session) setSession({ ...session, signedIn: false, yard: null, email: null });
    await navigate('/');
  };
  const remove = async (kept: KeptJob): Promise<void> => {
    setLeaving(null);
    try {
      await removeJob(kept.id);
      setJobs((now) => (now ?? []).filter((j) => j.id !== kept.id));
    } catch (error) {
      show(error);
    }
  };

  if (!jobs && !says) return <Waiting what="Opening the yard" />;
  return (
    <div className="min-h-full">
      <header className="on-slate flex flex-wrap items-center gap-4 bg-slate px-5 py-4 text-white">
        <Link to="/yard" aria-label="Even Tally, the yard">
          <Mark />
        </Link>
        <p className="text-[#d8dcd9]">{session?.yard?.name}</p>
        <button
          className="ml-auto inline-flex min-h-7 items-center gap-2 px-2 hover:underline"
          onClick={() => void leave()}
        >
          <LogOut size={16} aria-hidden="true" /> {session?.yard?.demo ? 'Leave the demo' : 'Sign out'}
        </button>
      </header>
      <main className="mx-auto max-w-6xl px-5 py-6">
        <div className="mb-5 flex flex-wrap items-center gap-3">
          <h1 className="mr-auto font-narrow text-3xl font-bold">Yard</h1>
          <button className="press inline-flex items-center gap-2" onClick={() => void begin()}>
            <Plus size={16} aria-hidden="true" /> New wall
          </button>
          <button
            className="press-plain inline-flex items-center gap-2"
            onClick={() => file.current?.click()}
          >
            <FileUp size={16} aria-hidden="true" /> Load a job file
          </button>
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            className="sr-only"
            tabIndex={-1}
            aria-label="Job file to load"
            onChange={(e) => {
              void load(e.currentTarget.files?.[0]);
              e.currentTarget.value = '';
            }}
          />
        </div>
        <p
          role="alert"
          className={says ? 'mb-4 border-l-4 border-fault bg-sheet p-3 font-semibold text-fault' : ''}
        >
          {says}
        </p>
        {jobs?.length === 0 && (
          <div className="border-t-2 border-ink py-12">
            <p className="heading text-lg">The yard is empty.</p>
            <p className="mt-2 max-w-md">
              Begin with a wall and change it to yours, or load a job file from another yard.
            </p>
          </div>
        )}
        {jobs?.map((kept) => (
          <JobRow key={kept.id} kept={kept} planner={planner} onRemove={() => setLeaving(kept)} />
        ))}
      </main>
      <Confirm
        open={leaving !== null}
        title={`Throw away ${leaving?.document.name ?? ''}?`}
        says="The job and all its walls go. Download its file first if you may want it again."
        yes="Throw it away"
        onYes={() => leaving && void remove(leaving)}
        onNo={() => setLeaving(null)}
      />
    </div>
  );
}
