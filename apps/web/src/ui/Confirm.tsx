import { DialogTitle } from '@headlessui/react';
import { Card } from './Card';
import type { ReactNode } from 'react';

interface Props {
  open: boolean;
  title: string;
  says: string;
  yes: string;
  onYes: () => void;
  onNo: () => void;
}

export function Confirm({ open, title, says, yes, onYes, onNo }: Props): ReactNode {
  return (
    <Card open={open} onClose={onNo} size="max-w-md p-6">
      <DialogTitle className="heading text-lg break-words">{title}</DialogTitle>
      <p className="mt-2">{says}</p>
      <div className="mt-5 flex gap-3">
        <button className="press" onClick={onYes}>
          {yes}
        </button>
        <button className="press-plain" onClick={onNo}>
          Leave it
        </button>
      </div>
    </Card>
  );
}
