import { BENCH } from '@even-tally/words';
import { DialogTitle } from '@headlessui/react';
import type { ReactNode } from 'react';
import { look, useViewing } from '../state/view';
import { useTell } from '../state/words';
import { Card } from '../ui/Card';
import { KEYS } from './keys';

export function KeysDialog(): ReactNode {
  const tell = useTell();
  const open = useViewing((s) => s.keysOpen);
  return (
    <Card open={open} onClose={() => look({ keysOpen: false })} size="w-[460px] p-6">
      <DialogTitle className="heading text-lg">{tell(BENCH.keys)}</DialogTitle>
      <dl className="mt-3">
        {KEYS.map((k) => (
          <div key={k.keys} className="flex border-t border-rule py-1">
            <dt className="figures w-36 font-semibold">{k.keys}</dt>
            <dd>{tell(k.says)}</dd>
          </div>
        ))}
      </dl>
      <button className="press mt-4" onClick={() => look({ keysOpen: false })}>
        {tell(BENCH.close)}
      </button>
    </Card>
  );
}
