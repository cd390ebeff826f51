import { Dialog, DialogPanel } from '@headlessui/react';
import type { ReactNode } from 'react';

interface Props {
  open?: boolean;
  onClose: () => void;
  /** How large it is and what is left round its words, as classes. */
  size: string;
  children: ReactNode;
}

/** A card laid over the page: what is behind it waits until it is taken up. */
export function Card({ open = true, onClose, size, children }: Props): ReactNode {
  return (
    <Dialog open={open} onClose={onClose} className="relative z-50">
      <div className="fixed inset-0 bg-black/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className={`border-2 border-ink bg-sheet ${size}`}>{children}</DialogPanel>
      </div>
    </Dialog>
  );
}
