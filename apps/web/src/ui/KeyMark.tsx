import type { ReactNode } from 'react';

/** A mark as it stands on the drawing, beside the words that say what it is. */
export const KeyMark = ({ children }: { children: ReactNode }): ReactNode => (
  <svg width="24" height="16" aria-hidden className="mt-[2px] shrink-0">
    {children}
  </svg>
);
