import type { JobDocument } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { paintElevation } from '../bench/paint';
import { useInks } from '../state/scheme';
import { useTell } from '../state/words';
import { Told } from '../ui/Told';
import type { CardView } from '../workers/card';
import type { Planner } from '../workers/planner';

/** Millimetres of wall to a pixel in the yard: every wall to one scale, so that big walls look big. */
const MM_PER_PIXEL = 26;

/** A wall that has not been drawn yet holds so much room, in pixels. */
const UNDRAWN = { width: 160, height: 90 };

/** How big a wall is drawn. */
function sizeOf(drawn: CardView | null): { width: number; height: number; scale: number } {
  if (!drawn) return { ...UNDRAWN, scale: 1 };
  const { w, h } = drawn.elevation.box;
  const width = Math.min(520, Math.max(60, w / MM_PER_PIXEL));
  const scale = width / (w || 1);
  return { width, height: Math.min(300, h * scale) + 8, scale };
}

/** A wall of the yard, planned in the worker: a yard full of big walls opens at once and they come in one by one. */
export function WallCard({
  jobId,
  job,
  index,
  planner,
}: {
  jobId: string;
  job: JobDocument;
  index: number;
  planner: Planner;
}): ReactNode {
  const canvas = useRef<HTMLCanvasElement>(null);
  // Undefined until the worker has answered; null where it cannot be drawn.
  const [drawn, setDrawn] = useState<CardView | null | undefined>(undefined);
  const wall = job.walls[index];
  const inks = useInks();
  const { width, height, scale } = sizeOf(drawn ?? null);
  useEffect(() => {
    let left = false;
    planner.ask('card', { document: job, wall: index }).then(
      (card) => left || setDrawn(card),
      () => left || setDrawn(null),
    );
    return () => {
      left = true;
    };
  }, [planner, job, index]);
  useEffect(() => {
    const c = canvas.current;
    if (c && drawn)
      paintElevation(
        c,
        drawn.elevation,
        { width, height, scale, left: 0, base: height - 6 },
        { inks, lite: true },
      );
  }, [drawn, width, height, scale, inks]);
  if (!wall) return null;
  return (
    <Link to={`/jobs/${jobId}/${encodeURIComponent(wall.id)}/0/bond`} className="group block max-w-full">
      <canvas ref={canvas} style={{ width, height }} aria-hidden="true" className="block" />
      <span className="mt-2 block font-semibold text-chalk underline-offset-2 group-hover:underline">
        {wall.name}
      </span>
      <Says drawn={drawn} job={job} />
    </Link>
  );
}

/** How big the wall is, and whether anything is wrong with it. */
function Says({ drawn, job }: { drawn: CardView | null | undefined; job: JobDocument }): ReactNode {
  const tell = useTell();
  if (drawn === undefined)
    return <span className="block text-small text-soft">{tell(YARD.layingItOut)}</span>;
  if (drawn === null) return <span className="block text-small text-soft">{tell(YARD.cannotBeDrawn)}</span>;
  return (
    <>
      <span className="block text-small text-soft">
        <Told
          said={YARD.wallSize({ length: drawn.length, height: drawn.height, runs: drawn.runs })}
          show={job.show}
        />
      </span>
      {drawn.faults > 0 ? (
        <span className="block text-small font-semibold text-fault">
          {tell(YARD.faultsToSee({ count: drawn.faults }))}
        </span>
      ) : (
        <span className="block text-small text-settled">{tell(YARD.noFaults)}</span>
      )}
    </>
  );
}
