import type { Phrase } from '@even-tally/core';
import type { KeyboardEvent, ReactNode, RefObject } from 'react';
import { Underlined } from './Underlined';

/** Where a sentence is typed, each phrase of it underlined as it was taken. */
export function SaidField({
  id,
  text,
  phrases,
  hint,
  readBack,
  field,
  onChange,
  onKey,
}: {
  id: string;
  text: string;
  phrases: readonly Phrase[];
  /** What may be said, while nothing is. */
  hint: string;
  /** The id of what it is read back in. */
  readBack: string;
  field?: RefObject<HTMLInputElement | null>;
  onChange: (text: string) => void;
  onKey: (event: KeyboardEvent) => void;
}): ReactNode {
  return (
    <div className="relative min-w-0 grow">
      <Underlined text={text} phrases={phrases} />
      <input
        ref={field}
        id={id}
        className="entry relative bg-transparent"
        value={text}
        maxLength={2000}
        autoComplete="off"
        spellCheck={false}
        placeholder={hint}
        aria-describedby={readBack}
        onChange={(e) => onChange(e.target.value)}
        onKeyDown={onKey}
      />
    </div>
  );
}
