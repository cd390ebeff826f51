import { type Message } from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { type ReactNode } from 'react';
import { useTell } from '../../state/words';

export const HEADINGS: Record<string, number> = {
  ArrowRight: 0,
  ArrowUp: 90,
  ArrowLeft: 180,
  ArrowDown: 270,
};
export const SAYS: Record<number, Message> = {
  0: AT_SET_OUT.goRight,
  90: AT_SET_OUT.goUp,
  180: AT_SET_OUT.goLeft,
  270: AT_SET_OUT.goDown,
};

/** The four ways a run may go, as arrows are. */
export function Ways({ heading, go }: { heading: number; go: (way: number) => void }): ReactNode {
  const tell = useTell();
  return (
    <div role="group" aria-label={tell(AT_SET_OUT.way)} className="flex">
      {Object.entries(HEADINGS).map(([key, way]) => (
        <button
          key={key}
          className={`min-h-9 border border-ink px-3 ${heading === way ? 'bg-slate text-white' : 'bg-field'}`}
          aria-pressed={heading === way}
          onClick={() => go(way)}
        >
          {tell(SAYS[way] ?? '')}
        </button>
      ))}
    </div>
  );
}
