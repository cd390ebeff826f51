import { UI } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';
import { Card } from './Card';

interface Props {
  open: boolean;
  title: string;
  says: string;
  yes: string;
  onYes: () => void;
  onNo: () => void;
}

export function Confirm({ open, title, says, yes, onYes, onNo }: Props): ReactNode {
  const tell = useTell();
  return (
    <Card open={open} onClose={onNo} size="max-w-md p-6">
      <DialogTitle className="heading text-lg break-words">{title}</DialogTitle>
      <p className="mt-2">{says}</p>
      <div className="mt-5 flex gap-3">
        <button className="press" onClick={onYes}>
          {yes}
        </button>
        <button className="press-plain" onClick={onNo}>
          {tell(UI.leaveIt)}
        </button>
      </div>
    </Card>
  );
}
