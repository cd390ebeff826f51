import { parseMeasured, showMm, writeLength, type Show, type Stated } from '@even-tally/core';
import { UI } from '@even-tally/words';
import { useId, useState, type ReactNode } from 'react';
import { useTell } from '../state/words';
import { sayUnread } from './unread';

interface Props {
  label: string;
  /** Millimetres. */
  values: readonly number[];
  show: Show;
  onChange: (values: Stated[]) => boolean;
}

/** A list of lengths, typed one after another or pasted from a note; kept when left. */
export function MeasuredField({ label, values, show, onChange }: Props): ReactNode {
  const tell = useTell();
  const id = useId();
  const shown = values.map((v) => showMm(v, show, 64)).join(', ');
  const [typed, setTyped] = useState<{ over: string; text: string } | null>(null);
  const text = typed?.over === shown ? typed.text : shown;
  const parsed = text === shown ? null : parseMeasured(text, show === 'mm' ? 'mm' : 'in');
  const keep = (): void => {
    if (!parsed?.ok) return;
    if (onChange(parsed.lengths.map((l) => writeLength(l, show)))) setTyped(null);
  };
  const bad = parsed !== null && !parsed.ok;
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-small text-soft">
        {label}
      </label>
      <textarea
        id={id}
        className="entry h-[46px] resize-y py-1 leading-5"
        value={text}
        placeholder={show === 'mm' ? '64, 65.5, 66' : '2 1/4, 2 5/16, 2 3/16'}
        aria-invalid={bad}
        aria-describedby={`${id}-m`}
        spellCheck={false}
        onChange={(e) => setTyped({ over: shown, text: e.currentTarget.value })}
        onBlur={keep}
      />
      <p id={`${id}-m`} className={`text-xs ${bad ? 'text-fault' : 'text-soft'}`}>
        {parsed === null
          ? ''
          : parsed.ok
            ? tell(UI.measured({ count: parsed.lengths.length }))
            : tell(UI.unreadNth({ n: parsed.nth, why: sayUnread(parsed) }))}
      </p>
    </div>
  );
}
