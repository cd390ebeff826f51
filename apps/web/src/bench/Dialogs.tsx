import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { KEYS } from './keys';

export function KeysDialog(): ReactNode {
  const open = useViewing((s) => s.keysOpen);
  return (
    <Dialog open={open} onClose={() => look({ keysOpen: false })} className="relative z-50">
      <div className="fixed inset-0 bg-ink/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className="w-[460px] border-2 border-ink bg-sheet p-6">
          <DialogTitle className="heading text-lg">Keys</DialogTitle>
          <dl className="mt-3">
            {KEYS.map((k) => (
              <div key={k.keys} className="flex border-t border-rule py-1">
                <dt className="figures w-36 font-semibold">{k.keys}</dt>
                <dd>{k.says}</dd>
              </div>
            ))}
          </dl>
          <button className="press mt-4" onClick={() => look({ keysOpen: false })}>
            Close
          </button>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
