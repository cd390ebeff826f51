import type { ReactNode } from 'react';

interface Props {
  label: string;
  value: number;
  least?: number;
  most?: number;
  onChange: (value: number) => void;
}

/** A whole number between two others; what is typed outside them is brought back. */
export function NumberField({ label, value, least = 1, most = 10_000, onChange }: Props): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input
        className="entry"
        type="number"
        min={least}
        max={most}
        value={value}
        onChange={(e) => {
          const n = Math.floor(Number(e.currentTarget.value));
          if (Number.isFinite(n)) onChange(Math.min(most, Math.max(least, n)));
        }}
      />
    </label>
  );
}
