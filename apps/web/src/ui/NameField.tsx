import { useId, useState, type ReactNode } from 'react';

/** A name, kept when left or on Enter. */
export function NameField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => boolean;
}): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState<{ over: string; text: string } | null>(null);
  const text = typed?.over === value ? typed.text : value;
  const keep = (): void => {
    if (text !== value) onChange(text);
    setTyped(null);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-small text-soft">
        {label}
      </label>
      <input
        id={id}
        className="entry font-sans"
        value={text}
        maxLength={200}
        autoComplete="off"
        onChange={(e) => setTyped({ over: value, text: e.currentTarget.value })}
        onBlur={keep}
        onKeyDown={(e) => e.key === 'Enter' && keep()}
      />
    </div>
  );
}
