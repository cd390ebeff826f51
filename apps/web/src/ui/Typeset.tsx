import { Fragment, type ReactNode } from 'react';

const FRACTION = /(\d+\u2044\d+)/u;

/** A line with each fraction in an element of its own. */
const set = (words: string, Part: 'span' | 'tspan'): ReactNode =>
  words.split(FRACTION).map((part, i) =>
    i % 2 === 1 ? (
      <Part key={i} className="fraction">
        {part}
      </Part>
    ) : (
      <Fragment key={i}>{part}</Fragment>
    ),
  );

/** Words as they are set: a fraction is drawn as one, and a whole number stays with its own where a line breaks. */
export const Typeset = ({ words }: { words: string }): ReactNode =>
  set(words.replace(/(\d) (?=\d+\u2044)/gu, '$1\u00a0'), 'span');

/** The same in a drawing, where lines do not break. */
export const TypesetInDrawing = ({ words }: { words: string }): ReactNode => set(words, 'tspan');
