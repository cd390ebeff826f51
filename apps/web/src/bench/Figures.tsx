import { sayQuantity, type Figure, type Show } from '@even-tally/core';
import type { ReactNode } from 'react';
import { look } from '../state/view';
import { useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';

/** Figures, each of which opens into how it came about. */
export function Figures({
  title,
  figures,
  show,
  aside,
}: {
  title: string;
  figures: Figure[];
  show: Show;
  aside?: string;
}): ReactNode {
  const tell = useTell();
  return (
    <section aria-label={title}>
      <div className="flex items-baseline justify-between border-b-2 border-ink px-4 pt-4 pb-1">
        <h2 className="heading">{title}</h2>
        <p className="figures text-small">
          <Typeset words={aside ?? ''} />
        </p>
      </div>
      <ul>
        {figures.map((f) => (
          <li key={f.key} className="border-b border-dotted border-mortar">
            <button
              className="flex min-h-[30px] w-full items-center justify-between px-4 text-left hover:bg-chalk-pale"
              onClick={() => look({ figure: f.key })}
              aria-haspopup="dialog"
            >
              <span className="underline decoration-dotted underline-offset-4">{tell(f.name)}</span>
              <span className="figures font-semibold">
                <Typeset words={sayQuantity(f.value, f.quantity, show)} />
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
