import type { Said } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import { saidBy } from '../../state/failure';
import { useTell } from '../../state/words';
import { Card } from '../../ui/Card';
import { lastSigner, Signer, signedBy } from './Signer';

interface Props {
  /** The step, in words. */
  says: string;
  /** Records it; throws what stands against it. */
  onDone: (by: string) => Promise<void>;
  onClose: () => void;
}

/** The step behind a hold, and the name of whoever did it: not the name of whoever signed the hold. */
export function SignStep({ says, onDone, onClose }: Props): ReactNode {
  const tell = useTell();
  const [by, setBy] = useState(lastSigner);
  const [trouble, setTrouble] = useState<Said | null>(null);
  const done = (): void => {
    if (by.trim() !== '') signedBy(by.trim());
    onDone(by.trim()).then(onClose, (error: Error) => setTrouble(saidBy(error)));
  };
  return (
    <Card onClose={onClose} size="w-[420px] p-6">
      <DialogTitle className="heading text-lg">{says}</DialogTitle>
      <div className="mt-3">
        <Signer label={tell(AT_STEEL.doneBy)} value={by} onChange={setBy} />
      </div>
      <p role="alert" className="mt-2 font-semibold text-fault">
        {trouble && tell(trouble)}
      </p>
      <p className="mt-3 flex gap-3">
        <button className="press" onClick={done}>
          {tell(AT_STEEL.putItOnRecord)}
        </button>
        <button className="press-plain" onClick={onClose}>
          {tell(AT_STEEL.notYet)}
        </button>
      </p>
    </Card>
  );
}
