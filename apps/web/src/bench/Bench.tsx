import { CAUTION, type BenchView, type Show, type StageName } from '@even-tally/core';
import { memo, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { JobContext, useJob, useOpenJob } from '../state/job';
import { createOpenJob } from '../state/openJob';
import { useShown } from '../state/shown';
import { look, useViewing } from '../state/view';
import type { PanelProps } from '../stages/panel';
import { stageNamed } from '../stages/registry';
import { Measure } from '../ui/Measure';
import { Stumble } from '../ui/Stumble';
import { Waiting } from '../ui/Waiting';
import { AsList } from './AsList';
import { ClashDialog } from './ClashDialog';
import { KeysDialog } from './Dialogs';
import { LanguagePick } from './LanguagePick';
import { Elevation } from './Elevation';
import { onKey } from './keys';
import { layOut, sameLayout, type Layout } from './layout';
import { Pole } from './Pole';
import { PrintSheet } from './PrintSheet';
import { RecordDialog } from './RecordDialog';
import { VersionsDialog } from './VersionsDialog';
import { Says } from './Says';
import { Tape } from './Tape';
import { Top } from './Top';
import { useCalm } from './useCalm';
import { usePlan } from './usePlan';
import { WorkingCard } from './WorkingCard';

const Slip = memo(Says);
const Paper = memo(PrintSheet);
const Foot = memo(FootBar);
const Head = memo(Top);

function useSize(): [(node: HTMLElement | null) => void, { width: number; height: number }] {
  const [node, setNode] = useState<HTMLElement | null>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!node) return;
    const watch = new ResizeObserver(() => setSize({ width: node.clientWidth, height: node.clientHeight }));
    watch.observe(node);
    return () => watch.disconnect();
  }, [node]);
  return [setNode, size];
}

function FootBar({ view, show }: { view: BenchView; show: Show }): ReactNode {
  const live = useViewing((s) => s.course);
  const asList = useViewing((s) => s.asList);
  const course = view.courses[Math.min(live, view.courses.length) - 1];
  const button = 'min-h-[26px] px-2 underline underline-offset-4 hover:bg-[#3b454c]';
  return (
    <footer className="on-slate no-print flex min-h-[36px] flex-wrap items-center gap-x-5 bg-slate px-4 text-white">
      {course && (
        <p className="flex flex-wrap gap-x-5" aria-live="polite">
          <span>
            Course <b>{course.number}</b> of {view.courses.length}
          </span>
          <span>
            top <Measure mm={course.top} show={show} />
          </span>
          <span>
            bed <Measure mm={course.bed} show={show} />
          </span>
          <span className="text-[#d8dcd9]">{view.picks[course.number - 1]}</span>
        </p>
      )}
      <span className="ml-auto flex">
        <LanguagePick />
        <button className={button} onClick={() => look({ asList: !asList })}>
          {asList ? 'Back to the drawing' : 'Read as a list'}
        </button>
        <button className={button} onClick={() => look({ recordOpen: true })}>
          On record
        </button>
        <button className={button} onClick={() => look({ versionsOpen: true })}>
          Versions
        </button>
        <button className={button} onClick={() => look({ keysOpen: true })}>
          keys <b>?</b>
        </button>
      </span>
    </footer>
  );
}

function useLayout(view: BenchView, size: { width: number; height: number }): Layout | null {
  const [layout, setLayout] = useState<Layout | null>(null);
  const now = useMemo(() => (size.width > 0 ? layOut(view, size.width, size.height) : null), [view, size]);
  const shared = now && sameLayout(layout, now);
  if (shared !== layout) setLayout(shared);
  return shared;
}

const Drawing = memo(DrawnSheet);

/** Pole, elevation and tape: what follows the hand every frame. */
function DrawnSheet(asked: { wallId: string } & Facing): ReactNode {
  const view = useShown((s) => s.view);
  return view?.wall.id === asked.wallId && <Faces {...asked} view={view} />;
}

interface Facing {
  jobName: string;
  show: Show;
  stage: StageName;
}

function Faces({ view, jobName, show, stage }: Facing & { view: BenchView }): ReactNode {
  const [ref, size] = useSize();
  const asList = useViewing((s) => s.asList);
  const layout = useLayout(view, size);
  const run = view.runs[view.run];
  const how = view.wall.freeStart
    ? `begins on a ${view.wall.start} ${view.wall.family}`
    : `corners ${view.wall.corners === 'in-turn' ? 'in turn' : 'in pairs'}`;
  return (
    <>
      <aside className="border-r border-rule bg-shade" aria-label="Story pole">
        {layout && <Pole view={view} layout={layout} show={show} />}
      </aside>
      <main ref={ref} className="relative min-h-[420px] min-w-0 overflow-hidden" data-job={jobName}>
        {layout && (
          <>
            <Elevation view={view} layout={layout} show={show} stage={stage} />
            <Tape view={view} layout={layout} show={show} />
          </>
        )}
        <div className="pointer-events-none absolute top-3 right-5 left-5 flex items-baseline justify-between gap-4">
          <h1 className="truncate font-narrow text-xl font-bold">{run?.name}, seen from outside</h1>
          <p className="shrink-0 text-[13px] text-soft">
            {view.wall.bondName}, {how}; <Measure mm={run?.length ?? 0} show={show} said />
          </p>
        </div>
        {asList && <AsList view={view} show={show} />}
      </main>
    </>
  );
}

/** The job of the address, open for as long as the page is of it. */
export function Bench(): ReactNode {
  const { jobId = '' } = useParams();
  return <OpenBench key={jobId} jobId={jobId} />;
}

function OpenBench({ jobId }: { jobId: string }): ReactNode {
  const [handle] = useState(createOpenJob);
  useEffect(() => {
    void handle.open(jobId);
    return handle.close;
  }, [handle, jobId]);
  return (
    <JobContext value={handle}>
      <Sheet />
    </JobContext>
  );
}

/** One run of a wall on one sheet that stays put, seen through the stages. */
function Sheet(): ReactNode {
  const { undo, redo } = useJob();
  const { jobId = '', wallId = '', run: runText = '0', stage } = useParams();
  const navigate = useNavigate();
  // While something is dragged, the document it began with: what is tried on it is the planner's affair.
  const job = useOpenJob((s) => (s.id === jobId ? (s.base ?? s.job) : null));
  const failed = useOpenJob((s) => s.failure);
  const chosen = useViewing((s) => s.show);
  const wall = job?.walls.findIndex((w) => w.id === wallId) ?? -1;
  const show: Show = chosen ?? job?.show ?? 'ft-in';
  const run = Math.max(0, Number(runText) || 0);
  const planner = usePlan(job, wall, run, show);
  const failure = useShown((s) => s.failure);
  const view = useCalm();
  // The slip is many fields: it is drawn after the wall, and gives way to whatever the hand does next.
  const slip = useDeferredValue(useMemo(() => ({ job, view }), [job, view]));
  useEffect(
    () => look({ course: 1, letter: null, opening: null, figure: null, piece: null, cell: null }),
    [wallId, run],
  );
  const base = `/jobs/${jobId}/${encodeURIComponent(wallId)}`;
  const stem = `${base}/${run}`;
  const runs = view?.runs.length ?? 1;
  const courses = view?.courses.length ?? 1;
  useEffect(() => {
    const listen = (event: KeyboardEvent): void =>
      onKey(event, {
        stem,
        base,
        run,
        runs,
        stage: stage ?? 'bond',
        courses,
        show,
        go: (to) => void navigate(to),
        undo,
        redo,
      });
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [stem, base, run, runs, stage, courses, show, navigate, undo, redo]);
  useEffect(() => {
    if (view) document.title = `${view.wall.name}, ${view.runs[view.run]?.name ?? ''} · Even Tally`;
  }, [view]);

  if (failed !== null) return <Stumble says={failed} />;
  if (job && wall < 0) return <Stumble says="There is no such wall in this job." />;
  if (failure !== null && !view) return <Stumble says={failure} />;
  const at = stageNamed(stage);
  if (!at) return <Stumble missing />;
  if (!job || !view || !slip.job || !slip.view) return <Waiting what="Setting out the wall" />;
  if (view.wall.id !== wallId || slip.view.wall.id !== wallId) return <Waiting what="Setting out the wall" />;
  const panel: PanelProps = { job: slip.job, view: slip.view, show, stem, planner };
  return (
    <>
      <div className="no-print flex h-full min-h-[640px] min-w-[1000px] flex-col">
        <Head title={job.name} sub={view.wall.name} stem={stem} show={show} />
        <div className="grid min-h-0 grow grid-cols-[184px_minmax(0,1fr)_322px]">
          <Drawing wallId={wallId} jobName={job.name} show={show} stage={at.key} />
          <aside
            className="relative overflow-y-auto border-l border-rule bg-sheet pb-6"
            aria-label="Slip"
            tabIndex={0}
          >
            <Slip view={slip.view} stage={at.key} stem={stem} show={show} />
            <at.Panel {...panel} />
            <p className="px-4 pt-4 text-[13px] text-soft">{CAUTION}</p>
          </aside>
        </div>
        <Foot view={slip.view} show={show} />
      </div>
      <Paper job={slip.job} view={slip.view} show={show} planner={planner} />
      <KeysDialog />
      <RecordDialog planner={planner} />
      <VersionsDialog />
      <ClashDialog show={show} toYard={() => void navigate('/yard')} />
      <WorkingCard job={job} planner={planner} show={show} />
    </>
  );
}
