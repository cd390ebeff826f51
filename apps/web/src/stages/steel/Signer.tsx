import type { ReactNode } from 'react';

const NAME = 'even-tally/name';

/** The name this device signed with last, to be read over and not taken on trust. */
export const lastSigner = (): string => localStorage.getItem(NAME) ?? '';
export const signedBy = (name: string): void => localStorage.setItem(NAME, name);

/** Whose name an entry goes under. */
export function Signer({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (name: string) => void;
}): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input
        className="entry font-sans"
        value={value}
        maxLength={200}
        autoComplete="name"
        onChange={(e) => onChange(e.currentTarget.value)}
      />
    </label>
  );
}
