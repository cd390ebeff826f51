import { beginsGroup, type Hold, type Show } from '@even-tally/core';
import { DialogTitle } from '@headlessui/react';
import { useWords } from '../../state/words';
import { Typeset } from '../../ui/Typeset';
import { Card } from '../../ui/Card';
import { useState, type ReactNode } from 'react';
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
  const { say, lang } = useWords(show);
  const [seen, setSeen] = useState<ReadonlySet<string>>(new Set());
  const [by, setBy] = useState(lastSigner);
  const [note, setNote] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const tick = (id: string): void => {
    const next = new Set(seen);
    if (!next.delete(id)) next.add(id);
    setSeen(next);
  };
  const sign = (): void => {
    signedBy(by.trim());
    onSign(by.trim(), [...seen], note.trim()).then(onClose, (error: Error) => setTrouble(error.message));
  };
  return (
    <Card onClose={onClose} size="flex max-h-full w-full max-w-lg flex-col">
      <DialogTitle className="heading border-b-2 border-ink px-6 pt-5 pb-2 text-lg" lang={lang}>
        {say(hold.title)}
      </DialogTitle>
      <ul className="min-h-0 overflow-y-auto px-6" lang={lang} tabIndex={0} aria-label="To be seen">
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
          <Signer label="Seen by" value={by} onChange={setBy} />
          <label className="block text-small text-soft">
            Note, if there is one
            <input
              className="entry font-sans"
              value={note}
              maxLength={2000}
              onChange={(e) => setNote(e.currentTarget.value)}
            />
          </label>
        </div>
        <p role="alert" className="font-semibold text-fault">
          {trouble}
        </p>
        <p className="flex flex-wrap items-center gap-3">
          <button className="press" onClick={sign}>
            Sign it
          </button>
          <button className="press-plain" onClick={onClose}>
            Not yet
          </button>
          <span className="text-small text-soft" aria-live="polite">
            {seen.size} of {hold.checks.length} seen
          </span>
        </p>
      </div>
    </Card>
  );
}
