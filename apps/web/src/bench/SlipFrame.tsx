import { BENCH, PAPER } from '@even-tally/words';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState, type CSSProperties, type ReactNode } from 'react';
import { keepNumber, keptNumber } from '../state/kept';
import { useTell } from '../state/words';
import { Edge } from './Edge';

const [LEAST, MOST, USUAL] = [260, 620, 330];

/**
 * The slip at the right: its width is pulled by its edge and found again. On a phone it lies under the paper, and comes
 * up over it when it is pressed.
 */
export function SlipFrame({ summary, children }: { summary: ReactNode; children: ReactNode }): ReactNode {
  const tell = useTell();
  const [wide, setWide] = useState(() => keptNumber('slip', USUAL));
  const [up, setUp] = useState(false);
  return (
    <aside
      style={{ '--slip': `${wide}px` } as CSSProperties}
      className={`flex min-h-0 shrink-0 border-rule bg-sheet max-[699px]:absolute max-[699px]:inset-x-0 max-[699px]:bottom-0 max-[699px]:z-30 max-[699px]:flex-col max-[699px]:border-t-2 min-[700px]:border-l ${up ? 'max-[699px]:top-16' : ''}`}
      aria-label={tell(BENCH.slip)}
    >
      <Edge
        className="max-[699px]:hidden"
        label={tell(PAPER.slipEdge)}
        upright
        value={wide}
        least={LEAST}
        most={MOST}
        onChange={(to) => {
          setWide(to);
          keepNumber('slip', to);
        }}
      />
      <button
        className="flex min-h-11 w-full shrink-0 items-center justify-between px-4 text-left min-[700px]:hidden"
        aria-expanded={up}
        onClick={() => setUp(!up)}
      >
        <span className="heading">{summary}</span>
        {up ? <ChevronDown aria-hidden="true" /> : <ChevronUp aria-hidden="true" />}
      </button>
      <div
        className={`relative overflow-y-auto pb-6 max-[699px]:min-h-0 max-[699px]:grow min-[700px]:w-(--slip) ${up ? '' : 'max-[699px]:hidden'}`}
        tabIndex={0}
      >
        {children}
      </div>
    </aside>
  );
}
