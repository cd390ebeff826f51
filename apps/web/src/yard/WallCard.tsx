import {
  checkJob,
  letterFindings,
  plan,
  sayMm,
  sheetView,
  type JobDocument,
  type SheetView,
} from '@even-tally/core';
import { useEffect, useMemo, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { paintElevation } from '../sheet/paint';

/** Millimetres of wall to a pixel in the yard: every wall to one scale, so that big walls look big. */
const MM_PER_PIXEL = 26;

function viewOf(job: JobDocument, index: number): { view: SheetView; faults: number } | null {
  const checked = checkJob(job);
  if (!checked.ok) return null;
  const p = plan(checked.job, [], { advise: false, only: [index] }).walls[0];
  if (!p) return null;
  return {
    view: sheetView(p, 0, job.show, false),
    faults: letterFindings(p.findings).filter((l) => l.finding.severity === 'fault').length,
  };
}

export function WallCard({
  jobId,
  job,
  index,
}: {
  jobId: string;
  job: JobDocument;
  index: number;
}): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  const drawn = useMemo(() => viewOf(job, index), [job, index]);
  const wall = job.walls[index];
  const width = Math.min(520, Math.max(60, (drawn?.view.elevation.box.w ?? 0) / MM_PER_PIXEL));
  const scale = width / (drawn?.view.elevation.box.w || 1);
  const height = Math.min(300, (drawn?.view.elevation.box.h ?? 0) * scale) + 8;
  useEffect(() => {
    const c = canvas.current;
    if (c && drawn)
      paintElevation(
        c,
        drawn.view.elevation,
        { width, height, scale, left: 0, base: height - 6 },
        { live: null, lite: true },
      );
  }, [drawn, width, height, scale]);
  if (!wall) return null;
  return (
    <Link to={`/jobs/${jobId}/${encodeURIComponent(wall.id)}/0/bond`} className="group block max-w-full">
      <canvas ref={canvas} style={{ width, height }} aria-hidden="true" className="block" />
      <span className="mt-2 block font-semibold text-chalk underline-offset-2 group-hover:underline">
        {wall.name}
      </span>
      <span className="block text-[13px] text-soft">
        {drawn ? (
          <>
            <span className="figures">{sayMm(drawn.view.runs[0]?.length ?? 0, job.show)}</span> ×{' '}
            <span className="figures">{sayMm(drawn.view.wall.height, job.show)}</span>
            {drawn.view.runs.length > 1 ? `, ${drawn.view.runs.length} runs` : ''}
          </>
        ) : (
          'cannot be drawn'
        )}
      </span>
      {drawn && drawn.faults > 0 ? (
        <span className="block text-[13px] font-semibold text-fault">
          {drawn.faults === 1 ? 'one fault to see to' : `${drawn.faults} faults to see to`}
        </span>
      ) : (
        <span className="block text-[13px] text-settled">no faults</span>
      )}
    </Link>
  );
}
