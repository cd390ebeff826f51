import { PAPER } from '@even-tally/words';
import { Maximize, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';
import { paperHold } from './paperHold';

const press =
  'inline-flex h-7 min-w-7 items-center justify-center border border-rule bg-sheet px-1 hover:bg-chalk-pale';

/** Nearer, farther, all of it, and as large as it is: the same that wheel, pinch and keys do. */
export function Near(): ReactNode {
  const tell = useTell();
  return (
    <div role="group" aria-label={tell(PAPER.nearAndFar)} className="no-print flex">
      <button className={press} onClick={() => paperHold()?.farther()} aria-label={tell(PAPER.farther)}>
        <Minus size={15} aria-hidden="true" />
      </button>
      <button
        className={press}
        onClick={() => paperHold()?.fit()}
        aria-label={tell(PAPER.fit)}
        title={tell(PAPER.fit)}
      >
        <Maximize size={14} aria-hidden="true" />
      </button>
      <button className={press} onClick={() => paperHold()?.nearer()} aria-label={tell(PAPER.nearer)}>
        <Plus size={15} aria-hidden="true" />
      </button>
      <button
        className={`${press} figures text-fine`}
        onClick={() => paperHold()?.actual()}
        aria-label={tell(PAPER.actual)}
        title={tell(PAPER.actual)}
      >
        1:1
      </button>
    </div>
  );
}
