import type { JobDocument, Said } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import { Archive } from 'lucide-react';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { readJobById, type JobLine } from '../state/api';
import { useDates } from '../state/dates';
import { saidBy } from '../state/failure';
import { useTell } from '../state/words';
import type { Planner } from '../workers/planner';
import { WallCard } from './WallCard';

/** Whether a part of the page has come near what is seen: from then on it stays. */
function useNear(part: React.RefObject<HTMLElement | null>): boolean {
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (near || !part.current) return;
    const observer = new IntersectionObserver((seen) => seen.some((s) => s.isIntersecting) && setNear(true), {
      rootMargin: '600px',
    });
    observer.observe(part.current);
    return () => observer.disconnect();
  }, [near, part]);
  return near;
}

/** A job as the walls it has. It is fetched when it comes near: a yard of years opens as soon as a new one. */
export function JobRow({
  line,
  planner,
  onPutAway,
}: {
  line: JobLine;
  planner: Planner;
  /** Left out for those who may not. */
  onPutAway?: () => void;
}): ReactNode {
  const tell = useTell();
  const dates = useDates();
  const part = useRef<HTMLElement>(null);
  const near = useNear(part);
  const [job, setJob] = useState<JobDocument | null>(null);
  const [failure, setFailure] = useState<Said | null>(null);
  useEffect(() => {
    if (!near) return;
    let left = false;
    readJobById(line.id).then(
      (kept) => left || setJob(kept.document),
      (error: Error) => left || setFailure(saidBy(error)),
    );
    return () => {
      left = true;
    };
  }, [near, line.id]);
  return (
    <section ref={part} className="border-t-2 border-ink py-5" aria-label={line.name}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-narrow text-xl font-bold break-words">{line.name}</h2>
        <p className="text-soft">
          {tell(YARD.jobLine({ walls: line.walls, when: dates.since(line.savedAt) }))}
        </p>
        {onPutAway && (
          <button
            className="ml-auto inline-flex min-h-7 items-center gap-1 px-2 text-soft hover:text-ink"
            onClick={onPutAway}
          >
            <Archive size={15} aria-hidden="true" /> {tell(YARD.putAway)}
            <span className="sr-only">{line.name}</span>
          </button>
        )}
      </div>
      <div className="mt-4 flex min-h-[110px] flex-wrap items-end gap-x-8 gap-y-6">
        {failure && <p className="text-fault">{tell(failure)}</p>}
        {job?.walls.map((wall, i) => (
          <WallCard key={wall.id} jobId={line.id} job={job} index={i} planner={planner} />
        ))}
      </div>
    </section>
  );
}
