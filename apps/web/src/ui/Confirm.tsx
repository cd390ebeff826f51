import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
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
    <Dialog open={open} onClose={onNo} className="relative z-50">
      <div className="fixed inset-0 bg-ink/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className="max-w-md border-2 border-ink bg-sheet p-6">
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
        </DialogPanel>
      </div>
    </Dialog>
  );
}
