import type { Hold } from '@even-tally/core';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import { lastSigner, signedBy } from './signer';

interface Props {
  hold: Hold;
  /** Records it; throws what stands against it. */
  onDone: (by: string) => Promise<void>;
  onClose: () => void;
}

/** The step behind a hold, and the name of whoever did it: not the name of whoever signed the hold. */
export function SignStep({ hold, onDone, onClose }: Props): ReactNode {
  const [by, setBy] = useState(lastSigner);
  const [trouble, setTrouble] = useState<string | null>(null);
  const done = (): void => {
    if (by.trim() !== '') signedBy(by.trim());
    onDone(by.trim()).then(onClose, (error: Error) => setTrouble(error.message));
  };
  return (
    <Dialog open onClose={onClose} className="relative z-50">
      <div className="fixed inset-0 bg-ink/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className="w-[420px] border-2 border-ink bg-sheet p-6">
          <DialogTitle className="heading text-lg">{hold.stepSays}</DialogTitle>
          <label className="mt-3 block text-[13px] text-soft">
            Done by
            <input
              className="entry font-sans"
              value={by}
              maxLength={200}
              autoComplete="name"
              onChange={(e) => setBy(e.currentTarget.value)}
            />
          </label>
          <p role="alert" className="mt-2 font-semibold text-fault">
            {trouble}
          </p>
          <p className="mt-3 flex gap-3">
            <button className="press" onClick={done}>
              Put it on record
            </button>
            <button className="press-plain" onClick={onClose}>
              Not yet
            </button>
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
