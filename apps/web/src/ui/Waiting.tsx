import type { Said } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';

/** A course being laid while something is fetched. */
export function Waiting({ what }: { what: Said }): ReactNode {
  const tell = useTell();
  return (
    <main className="flex h-full items-center justify-center p-8" aria-busy="true">
      <p className="heading" role="status">
        {tell(what)}…
      </p>
    </main>
  );
}
