import type { Said } from '@even-tally/core';
import { UI } from '@even-tally/words';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';

/** Something failed, or nothing is there: said plainly, with the way back. */
export function Stumble({ missing = false, says }: { missing?: boolean; says?: Said }): ReactNode {
  const tell = useTell();
  return (
    <main className="mx-auto max-w-xl p-12">
      <h1 className="heading text-2xl">{missing ? tell(UI.nothingStandsHere) : tell(UI.somethingGaveWay)}</h1>
      <p className="mt-3 text-base">{tell(says ?? (missing ? UI.thereIsNoPage : UI.thisPageFailedWhat))}</p>
      <p className="mt-6">
        <a className="press inline-block" href="/yard">
          {tell(UI.backToTheYard)}
        </a>
      </p>
    </main>
  );
}
