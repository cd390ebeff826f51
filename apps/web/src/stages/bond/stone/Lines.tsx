import type { LinesRead } from '@even-tally/core';
import { fromCsv } from '@even-tally/exports';
import { AT_STONE } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useTell } from '../../../state/words';

/** A list that is typed or pasted, one a line. What does not read is said, and nothing is changed. */
export function Lines<T>({
  label,
  name,
  value,
  read,
  onChange,
}: {
  label: string;
  name: string;
  value: string;
  read: (rows: string[][]) => LinesRead<T>;
  onChange: (list: T[]) => void;
}): ReactNode {
  const tell = useTell();
  const [typed, setTyped] = useState<string | null>(null);
  const [bad, setBad] = useState<{ line: number; got: string } | null>(null);
  const keep = (): void => {
    if (typed === null) return;
    const found = read(fromCsv(typed));
    setBad(found.ok ? null : found);
    if (!found.ok) return;
    setTyped(null);
    onChange(found.list);
  };
  return (
    <label className="block text-small text-soft">
      {label}
      <textarea
        className="entry h-20 resize-y py-1 font-mono leading-5"
        name={name}
        value={typed ?? value}
        spellCheck={false}
        aria-invalid={bad !== null}
        onChange={(e) => setTyped(e.currentTarget.value)}
        onBlur={keep}
      />
      <span role="alert" className="block font-semibold text-fault">
        {bad && tell(AT_STONE.lineUnread(bad))}
      </span>
    </label>
  );
}
