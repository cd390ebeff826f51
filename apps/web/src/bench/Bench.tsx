import { CAUTION, type Show } from '@even-tally/core';
import { BENCH } from '@even-tally/words';
import { memo, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { PanelProps } from '../stages/panel';
import { stageNamed } from '../stages/registry';
import { JobContext, useJob, useOpenJob } from '../state/job';
import { createOpenJob } from '../state/openJob';
import { openRecord, watchRecord } from '../state/record';
import { useShown } from '../state/shown';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Stumble } from '../ui/Stumble';
import { Waiting } from '../ui/Waiting';
import { ClashDialog } from './ClashDialog';
import { KeysDialog } from './Dialogs';
import { Drawing } from './Drawing';
import { FootBar } from './FootBar';
import { Drawer } from './drawer/Drawer';
import { PrintSheet } from './PrintSheet';
import { RecordDialog } from './RecordDialog';
import { Says } from './Says';
import { SlipFrame } from './SlipFrame';
import { Top } from './Top';
import { VersionsDialog } from './VersionsDialog';
import { WorkingCard } from './WorkingCard';
import { onKey, type KeyPlace } from './keys';
import { LineOverDrawer } from './line/LineOverDrawer';
import { useCalm } from './useCalm';
import { usePlan } from './usePlan';

const Slip = memo(Says);
const Paper = memo(PrintSheet);
const Foot = memo(FootBar);
const Head = memo(Top);
const Tables = memo(Drawer);

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
  useEffect(() => {
    void openRecord(jobId);
    return watchRecord(jobId);
  }, [jobId]);
  return (
    <JobContext value={handle}>
      <Sheet />
    </JobContext>
  );
}

/** One run of a wall on one sheet that stays put, seen through the stages. */
function Sheet(): ReactNode {
  const tell = useTell();
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
    () => look({ letter: null, opening: null, figure: null, piece: null, cell: null }),
    [wallId, run],
  );
  useEffect(() => look({ course: 1, row: null, paper: null }), [wallId]);
  // A stage brings its own drawing forward.
  useEffect(() => look({ paper: null }), [stage]);
  const base = `/jobs/${jobId}/${encodeURIComponent(wallId)}`;
  const stem = `${base}/${run}`;
  const runs = view?.runs.length ?? 1;
  const courses = view?.courses.length ?? 1;
  const keyPlace = useMemo(
    (): KeyPlace => ({
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
    }),
    [stem, base, run, runs, stage, courses, show, navigate, undo, redo],
  );
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => onKey(event, keyPlace);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [keyPlace]);
  useEffect(() => {
    if (view)
      document.title = tell(
        BENCH.pageTitle({ what: `${view.wall.name}, ${view.runs[view.run]?.name ?? ''}` }),
      );
  }, [view, tell]);

  if (failed !== null) return <Stumble says={failed} />;
  if (job && wall < 0) return <Stumble says={tell(BENCH.thereIsNoSuch)} />;
  if (failure !== null && !view) return <Stumble says={failure} />;
  const at = stageNamed(stage);
  if (!at) return <Stumble missing />;
  if (!job || !view || !slip.job || !slip.view) return <Waiting what={tell(BENCH.settingOutTheWall)} />;
  if (view.wall.id !== wallId || slip.view.wall.id !== wallId)
    return <Waiting what={tell(BENCH.settingOutTheWall)} />;
  const panel: PanelProps = { job: slip.job, view: slip.view, show, stem, planner };
  return (
    <>
      <div className="no-print flex h-full flex-col">
        <Head title={job.name} sub={view.wall.name} stem={stem} show={show} />
        <div className="relative flex min-h-0 grow max-[699px]:pb-11">
          <div className="flex min-h-0 min-w-0 grow flex-col">
            <Drawing
              wallId={wallId}
              job={slip.job}
              show={show}
              stage={at.key}
              stem={stem}
              planner={planner}
            />
            <LineOverDrawer
              job={slip.job}
              wall={view.wall.index}
              run={view.run}
              show={show}
              planner={planner}
              base={base}
              stage={at.key}
              view={slip.view}
              keyPlace={keyPlace}
            />
            <Tables
              job={slip.job}
              wall={view.wall.index}
              run={view.run}
              show={show}
              planner={planner}
              base={base}
              stage={at.key}
            />
          </div>
          <SlipFrame summary={tell(BENCH.theWallSays)}>
            <Slip view={slip.view} stage={at.key} stem={stem} show={show} />
            <at.Panel {...panel} />
            <p className="px-4 pt-4 text-small text-soft">{tell(CAUTION)}</p>
          </SlipFrame>
        </div>
        <Foot view={slip.view} show={show} />
      </div>
      <Paper job={slip.job} view={slip.view} show={show} planner={planner} />
      <KeysDialog />
      <RecordDialog planner={planner} />
      <VersionsDialog />
      <ClashDialog toYard={() => void navigate('/yard')} />
      <WorkingCard job={job} planner={planner} show={show} />
    </>
  );
}
