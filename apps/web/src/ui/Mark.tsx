import { UI } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';

/** The name and its sign: four strokes and the line through them. */
export function Mark(): ReactNode {
  const tell = useTell();
  return (
    <span className="inline-flex items-center gap-2 font-narrow text-xl font-bold">
      <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
        <path d="M6 1v18M13 1v18M20 1v18M27 1v18" stroke="currentColor" strokeWidth="2.4" />
        <path d="M0 10h34" stroke="var(--color-live)" strokeWidth="2.4" />
      </svg>
      {tell(UI.evenTally)}
    </span>
  );
}
