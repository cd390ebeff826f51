import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useState, type ReactNode } from 'react';
import { settle, useOpenJob } from '../state/openJob';
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

/** A stale write: nothing is lost until somebody says which is to stand. */
export function StaleWrite({ toYard }: { toYard: () => void }): ReactNode {
  const newer = useOpenJob((s) => s.newer);
  const [says, setSays] = useState<string | null>(null);
  const choose = (how: 'mine' | 'theirs' | 'copy') => () => {
    settle(how).then(
      (copy) => copy && toYard(),
      (error: Error) => setSays(error.message),
    );
  };
  return (
    <Dialog open={newer !== null} onClose={() => undefined} className="relative z-50">
      <div className="fixed inset-0 bg-ink/50" aria-hidden="true" />
      <div className="fixed inset-0 flex items-center justify-center p-6">
        <DialogPanel className="max-w-lg border-2 border-ink bg-sheet p-6">
          <DialogTitle className="heading text-lg">
            Somebody saved this job while you worked on it
          </DialogTitle>
          <p className="mt-2">Both are here. Nothing is thrown away until you say which one is to stand.</p>
          <div className="mt-5 flex flex-wrap gap-3">
            <button className="press" onClick={choose('mine')}>
              Mine stands
            </button>
            <button className="press-plain" onClick={choose('theirs')}>
              Theirs stands
            </button>
            <button className="press-plain" onClick={choose('copy')}>
              Keep mine as a copy
            </button>
          </div>
          <p role="alert" className="mt-3 font-semibold text-fault">
            {says}
          </p>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
