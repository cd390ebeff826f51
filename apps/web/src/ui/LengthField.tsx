import { sayUnread } from './unread';
import {
  parseCounted,
  parseTyped,
  toMillimetres,
  writeLength,
  millimetres,
  showMm,
  type Counted,
  type Length,
  type Parsed,
  type Show,
  type Stated,
} from '@even-tally/core';
import { UI } from '@even-tally/words';
import { useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useTell } from '../state/words';

interface Props {
  label: string;
  /** Millimetres. */
  value: number;
  show: Show;
  /** Unit plus joint along and up, mm: what "3 bricks" and "12 courses" mean here. */
  module: number;
  pitch: number;
  /** False when the wall cannot be so; the reason is shown by the page. */
  onChange: (value: Stated) => boolean;
  name?: string;
  /** A level: it may lie below what it is measured from. */
  signed?: boolean;
  /** What may be counted here and is kept as it was said: "5 bricks" along the wall, "12 courses" up it. */
  counts?: Counted['of'];
  /** It stands on a drawing: its name is read out and not shown, and what it means only while it is typed. */
  bare?: boolean;
}

/** Reads a level: the sign first, then the length. */
function parseSigned(text: string, signed: boolean, parse: (text: string) => Parsed): Parsed {
  const below = signed ? /^\s*[-−]\s*/.exec(text)?.[0] : undefined;
  if (below === undefined) return parse(text);
  const read = parse(text.slice(below.length));
  return read.ok ? { ok: true, length: (0 - read.length) as Length } : read;
}

/** A length typed the way it is said. What it was taken for is shown while typing; Enter or leaving keeps it. */
export function LengthField({
  label,
  value,
  show,
  module,
  pitch,
  onChange,
  name,
  signed = false,
  counts,
  bare = false,
}: Props): ReactNode {
  const tell = useTell();
  const id = useId();
  // What is being typed goes with the length it was typed over: when that changes, it is gone.
  const over = `${value}|${show}`;
  const [typed, setTyped] = useState<{ over: string; text: string; refused: boolean } | null>(null);
  const { text, refused } = typed?.over === over ? typed : { text: null, refused: false };
  const setText = (next: string | null): void =>
    setTyped(next === null ? null : { over, text: next, refused: false });
  const setRefused = (next: boolean): void => setTyped(text === null ? null : { over, text, refused: next });
  const leaving = useRef(false);
  const entered = useRef(false);
  // Typed as it is read back: a field cannot set a fraction.
  const shown = showMm(value, show, 64).replaceAll('\u2044', '/');
  const parsed =
    text === null || text === shown
      ? null
      : parseSigned(text, signed, (t) =>
          parseTyped(t, show === 'mm' ? 'mm' : 'in', {
            length: millimetres(module),
            course: millimetres(pitch),
          }),
        );
  const counted = text === null ? null : parseCounted(text);
  const said = counted && counted.of === counts ? text : null;
  const keep = (): void => {
    if (leaving.current || parsed === null) return setText(null);
    if (said !== null) return onChange(said.trim()) ? setText(null) : setRefused(true);
    if (!parsed.ok) return setRefused(true);
    if (Math.abs(toMillimetres(parsed.length) - value) < 1e-6) return setText(null);
    const kept = onChange(writeLength(parsed.length, show));
    if (kept) setText(null);
    else setRefused(true);
  };
  const onKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (event.key === 'Enter') keep();
    if (event.key === 'Escape') {
      leaving.current = true;
      setText(null);
      event.currentTarget.blur();
      leaving.current = false;
    }
  };
  const bad = parsed !== null && (!parsed.ok || refused);
  const meaning =
    said !== null && !refused
      ? tell(UI.keptAsSaid({ typed: said.trim() }))
      : parsed?.ok
        ? tell(UI.takenAs({ length: toMillimetres(parsed.length) }))
        : parsed
          ? tell(sayUnread(parsed))
          : '';
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={bare ? 'sr-only' : 'block text-small text-soft'}>
        {label}
      </label>
      <input
        id={id}
        name={name}
        className={bare ? 'entry text-center' : 'entry'}
        value={text ?? shown}
        aria-invalid={bad}
        aria-describedby={`${id}-m`}
        autoComplete="off"
        spellCheck={false}
        onFocus={(e) => {
          entered.current = true;
          e.currentTarget.select();
        }}
        onClick={(e) => {
          // The caret lands after the focus: the first press takes the whole length, the next places the caret.
          if (entered.current) e.currentTarget.select();
          entered.current = false;
        }}
        onChange={(e) => setText(e.currentTarget.value)}
        onBlur={keep}
        onKeyDown={onKey}
      />
      <p
        id={`${id}-m`}
        className={`text-xs ${bad ? 'text-fault' : 'text-soft'} ${bare ? 'bg-sheet px-1 empty:hidden' : ''}`}
      >
        {meaning}
      </p>
    </div>
  );
}
