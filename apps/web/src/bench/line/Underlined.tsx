import type { Phrase } from '@even-tally/core';
import type { ReactNode } from 'react';

/** The same words under those that are typed, each phrase underlined as it was taken: whole where it was understood, waved where not. */
export function Underlined({ text, phrases }: { text: string; phrases: readonly Phrase[] }): ReactNode {
  const parts: ReactNode[] = [];
  let at = 0;
  for (const p of phrases) {
    if (p.from < at) continue;
    parts.push(text.slice(at, p.from));
    parts.push(
      <span
        key={p.from}
        className={`underline decoration-2 underline-offset-4 ${p.understood ? 'decoration-settled' : 'decoration-fault decoration-wavy'}`}
      >
        {text.slice(p.from, p.to)}
      </span>,
    );
    at = p.to;
  }
  parts.push(text.slice(at));
  return (
    <div
      aria-hidden="true"
      className="entry absolute inset-0 overflow-hidden border-transparent whitespace-pre text-transparent"
    >
      {parts}
    </div>
  );
}
