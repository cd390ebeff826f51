import type { Phrase } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useTell } from '../../state/words';
import { Typeset } from '../../ui/Typeset';

/** What each phrase of a line was taken for, or what is wanted in its place. */
export function ReadBack({ phrases }: { phrases: readonly Phrase[] }): ReactNode {
  const tell = useTell();
  return (
    <ul className="flex flex-wrap gap-x-4">
      {phrases.map((p, i) => (
        <li
          key={i}
          data-understood={p.understood}
          className={p.understood ? 'text-settled' : 'font-semibold text-fault'}
        >
          <Typeset words={tell(p.says)} />
        </li>
      ))}
    </ul>
  );
}
