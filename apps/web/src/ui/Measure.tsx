import { sayInches, sayMm, showMm, type Mm, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { Typeset } from './Typeset';

/** A length as it is shown, in the measure face; `said` with its unit, as in a sentence. */
export function Measure({
  mm,
  show,
  said = false,
  spacing = false,
  per,
}: {
  mm: Mm;
  show: Show;
  said?: boolean;
  /** So far apart: said in inches where the trade does. */
  spacing?: boolean;
  /** Parts of an inch it is rounded to: 16 where it is left out. */
  per?: number;
}): ReactNode {
  return (
    <span className="figures">
      <Typeset words={spacing ? sayInches(mm, show) : said ? sayMm(mm, show) : showMm(mm, show, per)} />
    </span>
  );
}
