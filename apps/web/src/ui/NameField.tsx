import { useEffect, useId, useState, type ReactNode } from 'react';

/** A name, kept when left or on Enter. */
export function NameField({ label, value, onChange }: { label: string; value: string; onChange: (value: string) => boolean }): ReactNode {
  const id = useId();
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  const keep = (): void => {
    if (text !== value && !onChange(text)) setText(value);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-[13px] text-soft">
        {label}
      </label>
      <input
        id={id} className="entry font-sans" value={text} maxLength={200} autoComplete="off"
        onChange={(e) => setText(e.currentTarget.value)} onBlur={keep} onKeyDown={(e) => e.key === 'Enter' && keep()}
      />
    </div>
  );
}
