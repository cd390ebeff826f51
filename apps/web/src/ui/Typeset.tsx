import { Fragment, type ReactNode } from 'react';

const FRACTION = /(\d+\u2044\d+)/u;

/** Words as they are set: a fraction is drawn as one, and a whole number stays with its own. */
export function Typeset({ words }: { words: string }): ReactNode {
  const kept = words.replace(/(\d) (?=\d+\u2044)/gu, '$1\u00a0');
  return kept.split(FRACTION).map((part, i) =>
    i % 2 === 1 ? (
      <span key={i} className="fraction">
        {part}
      </span>
    ) : (
      <Fragment key={i}>{part}</Fragment>
    ),
  );
}

/** The same in a drawing. */
export function TypesetInDrawing({ words }: { words: string }): ReactNode {
  return words.split(FRACTION).map((part, i) =>
    i % 2 === 1 ? (
      <tspan key={i} className="fraction">
        {part}
      </tspan>
    ) : (
      <Fragment key={i}>{part}</Fragment>
    ),
  );
}
