import { beginsGroup, type Hold, type Show, type Said } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import { saidBy } from '../../state/failure';
import { useWords, useTell } from '../../state/words';
import { Card } from '../../ui/Card';
import { Typeset } from '../../ui/Typeset';
import { lastSigner, Signer, signedBy } from './Signer';

interface Props {
  hold: Hold;
  show: Show;
  /** Records it; throws what stands against it. */
  onSign: (by: string, seen: string[], note: string) => Promise<void>;
  onClose: () => void;
}

/** Everything a hold asks to be seen, ticked one by one, and the name of whoever saw it. */
export function SignHold({ hold, show, onSign, onClose }: Props): ReactNode {
  const tell = useTell();
  const { say, lang } = useWords(show);
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const [by, setBy] = useState(lastSigner);
  const [note, setNote] = useState('');
  const [trouble, setTrouble] = useState<Said | null>(null);
  const tick = (id: string): void => {
    const next = new Set(seen);
    if (!next.delete(id)) next.add(id);
    setSeen(next);
  };
  const sign = (): void => {
    signedBy(by.trim());
    onSign(by.trim(), [...seen], note.trim()).then(onClose, (error: Error) => setTrouble(saidBy(error)));
  };
  return (
    <Card onClose={onClose} size="flex max-h-full w-full max-w-lg flex-col">
      <DialogTitle className="heading border-b-2 border-ink px-6 pt-5 pb-2 text-lg" lang={lang}>
        {say(hold.title)}
      </DialogTitle>
      <ul
        className="min-h-0 overflow-y-auto px-6"
        lang={lang}
        tabIndex={0}
        aria-label={tell(AT_STEEL.toBeSeen)}
      >
        {hold.checks.map((c, i) => (
          <li key={c.id} className="border-b border-rule">
            {beginsGroup(hold.checks, i) && (
              <p className="border-b border-rule pt-3 pb-1 font-semibold">{say(c.of ?? '')}</p>
            )}
            <label className="flex min-h-11 cursor-pointer items-center gap-3 py-1">
              <input
                type="checkbox"
                className="h-5 w-5 shrink-0 accent-chalk"
                checked={seen.has(c.id)}
                onChange={() => tick(c.id)}
              />
              <Typeset words={say(c.says)} />
            </label>
          </li>
        ))}
      </ul>
      <div className="space-y-3 px-6 pt-3 pb-5">
        <div className="grid grid-cols-2 gap-3">
          <Signer label={tell(AT_STEEL.seenBy)} value={by} onChange={setBy} />
          <label className="block text-small text-soft">
            {tell(AT_STEEL.noteIfThereIs)}
            <input
              className="entry font-sans"
              value={note}
              maxLength={2000}
              onChange={(e) => setNote(e.currentTarget.value)}
            />
          </label>
        </div>
        <p role="alert" className="font-semibold text-fault">
          {trouble && tell(trouble)}
        </p>
        <p className="flex flex-wrap items-center gap-3">
          <button className="press" onClick={sign}>
            {tell(AT_STEEL.signIt)}
          </button>
          <button className="press-plain" onClick={onClose}>
            {tell(AT_STEEL.notYet)}
          </button>
          <span className="text-small text-soft" aria-live="polite">
            {tell(AT_STEEL.seenOf({ seen: seen.size, all: hold.checks.length }))}
          </span>
        </p>
      </div>
    </Card>
  );
}
