import { useId, type ReactNode } from 'react';

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}

export function Pick<T extends string>({ label, value, options, onChange }: Props<T>): ReactNode {
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
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}
