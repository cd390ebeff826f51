import type { Said, Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useShow, useWords } from '../state/words';
import { Typeset } from './Typeset';

/** A sentence, the measures in it set in the measure face. `show` where it is not as the page shows them. */
export function Told({ said, show }: { said: Said; show?: Show }): ReactNode {
  const usual = useShow();
  return useWords(show ?? usual)
    .parts(said)
    .map((part, i) =>
      part.measure ? (
        <span key={i} className="figures">
          <Typeset words={part.text} />
        </span>
      ) : (
        <Typeset key={i} words={part.text} />
      ),
    );
}
