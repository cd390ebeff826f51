import type { ReactNode } from 'react';

/** A line to be filled in at the door: who, and with what. */
export function Entry({
  label,
  ...rest
}: {
  label: string;
  name: string;
  type: string;
  autoComplete: string;
  minLength?: number;
}): ReactNode {
  return (
    <label className="block text-small text-soft">
      {label}
      <input className="entry mt-1 font-sans text-ink" required maxLength={200} {...rest} />
    </label>
  );
}

/** The text of a form's lines, by their names. */
export function textIn(form: HTMLFormElement): (name: string) => string {
  const data = new FormData(form);
  return (name) => {
    const value = data.get(name);
    return typeof value === 'string' ? value : '';
  };
}
