import type { Said } from '@even-tally/core';
import { useId, type ReactNode } from 'react';
import { useTell } from '../state/words';

interface Props<T extends string> {
  label: string;
  value: T;
  /** Each with its words, or a name that is somebody’s own. */
  options: readonly (readonly [T, Said])[];
  onChange: (value: T) => void;
}

export function Pick<T extends string>({ label, value, options, onChange }: Props<T>): ReactNode {
  const tell = useTell();
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-small text-soft">
        {label}
      </label>
      <select
        id={id}
        className="entry font-sans"
        value={value}
        onChange={(e) => onChange(e.currentTarget.value as T)}
      >
        {options.map(([key, name]) => (
          <option key={key} value={key}>
            {tell(name)}
          </option>
        ))}
      </select>
    </div>
  );
}
