import { readVolume } from '@even-tally/core';
import { AT_MUD } from '@even-tally/words';
import { useId, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTell } from '../state/words';

const withUnit = (text: string, bare: string | undefined): string =>
  bare !== undefined && /^[-−]?[\d.]+$/.test(text) ? `${text} ${bare}` : text;

/**
 * An amount typed with its unit ("6 ft3", "90 L", "78 F"): Enter or leaving keeps it, what is none is said and not kept. `bare` is the
 * unit of a number that comes without one.
 */
export function AmountField({
  label,
  name,
  value,
  reads = readVolume,
  bare,
  above = 0,
  onChange,
}: {
  label: string;
  name: string;
  value: string;
  reads?: (value: unknown) => { ok: true; value: number } | { ok: false; why: string };
  bare?: string;
  /** It must be more than this. */
  above?: number;
  onChange: (value: string) => boolean;
}): ReactNode {
  const tell = useTell();
  const id = useId();
  const [typed, setTyped] = useState<{ over: string; text: string } | null>(null);
  const text = typed?.over === value ? typed.text : null;
  const said = text === null || text.trim() === '' ? null : withUnit(text.trim(), bare);
  const read = said === null ? null : reads(said);
  const bad = text !== null && text.trim() !== value && !(read?.ok && read.value > above);
  const keep = (): void => {
    if (said === null || bad || !(read?.ok && read.value > above)) return;
    if (said === value || onChange(said)) setTyped(null);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') keep();
    if (event.key === 'Escape') setTyped(null);
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-small text-soft">
        {label}
      </label>
      <input
        id={id}
        name={name}
        className="entry"
        value={text ?? value}
        aria-invalid={bad}
        aria-describedby={`${id}-m`}
        autoComplete="off"
        spellCheck={false}
        onFocus={(e) => e.currentTarget.select()}
        onChange={(e) => setTyped({ over: value, text: e.currentTarget.value })}
        onBlur={() => (bad ? setTyped(null) : keep())}
        onKeyDown={onKey}
      />
      <p id={`${id}-m`} className="text-xs text-fault">
        {bad && read && tell(AT_MUD.wantedAmount({ says: read.ok ? '' : read.why.replace(/^wanted /, '') }))}
      </p>
    </div>
  );
}
