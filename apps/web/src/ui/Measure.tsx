import { sayMm, showMm, type Mm, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Typeset } from './Typeset';

/** A length as it is shown, in the measure face; `said` with its unit, as in a sentence. */
export function Measure({
  mm,
  show,
  said = false,
  per,
}: {
  mm: Mm;
  show: Show;
  said?: boolean;
  /** Parts of an inch it is rounded to: 16 where it is left out. */
  per?: number;
}): ReactNode {
  return (
    <span className="figures">
      <Typeset words={said ? sayMm(mm, show) : showMm(mm, show, per)} />
    </span>
  );
}
