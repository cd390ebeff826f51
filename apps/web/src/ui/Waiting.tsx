import type { ReactNode } from 'react';

/** A course being laid while something is fetched. */
export function Waiting({ what }: { what: string }): ReactNode {
  return (
    <main className="flex h-full items-center justify-center p-8" aria-busy="true">
      <p className="heading" role="status">
        {what}…
      </p>
    </main>
  );
}
