import type { Job } from '@even-tally/core';
import type { ReactNode, RefObject } from 'react';
import type { ScenePlacing } from './useScenePaper';

/** A paper with a drawing that is held near or far, and what stands over it and stays. */
export function ScenePaper({
  paper: { ref, inner },
  job,
  drawing,
  children,
}: {
  paper: { ref: (node: HTMLElement | null) => void; inner: RefObject<HTMLDivElement | null> };
  job: Job;
  /** What is carried with the hand; false while there is nothing to draw. */
  drawing: ReactNode;
  children: ReactNode;
}): ReactNode {
  return (
    <main ref={ref} className="relative min-h-0 min-w-0 grow touch-none overflow-hidden" data-job={job.name}>
      {drawing && (
        <div ref={inner} className="absolute inset-0 origin-top-left">
          {drawing}
        </div>
      )}
      {children}
    </main>
  );
}

/** The drawing itself: a picture that is read out in one sentence, or a group of what can be taken hold of. */
export function SceneSheet({
  at,
  role,
  says,
  children,
  ...data
}: {
  at: ScenePlacing;
  role: 'img' | 'group';
  says: string;
  children: ReactNode;
} & Record<`data-${string}`, string | number | boolean | undefined>): ReactNode {
  return (
    <svg
      className="absolute inset-0"
      width={at.width}
      height={at.height}
      role={role}
      aria-label={says}
      {...data}
    >
      {children}
    </svg>
  );
}
