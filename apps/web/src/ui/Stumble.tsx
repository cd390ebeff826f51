import type { ReactNode } from 'react';

/** Something failed, or nothing is there: said plainly, with the way back. */
export function Stumble({ missing = false, says }: { missing?: boolean; says?: string }): ReactNode {
  return (
    <main className="mx-auto max-w-xl p-12">
      <h1 className="heading text-2xl">{missing ? 'Nothing stands here' : 'Something gave way'}</h1>
      <p className="mt-3 text-base">
        {says ??
          (missing
            ? 'There is no page under this address.'
            : 'This page failed. What you had built is kept.')}
      </p>
      <p className="mt-6">
        <a className="press inline-block" href="/yard">
          Back to the yard
        </a>
      </p>
    </main>
  );
}
