import { PAPER } from '@even-tally/words';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { History } from 'lucide-react';
import type { ReactNode } from 'react';
import { useJob, useOpenJob } from '../state/job';
import { useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';

/** So many steps are listed: older ones are taken back one by one. */
const LISTED = 20;

/** What was done, the last first: pressed, everything since is taken back, and can be done again. */
export function StepsBack({ className }: { className: string }): ReactNode {
  const tell = useTell();
  const { undo } = useJob();
  const done = useOpenJob((s) => s.done);
  const steps = done.slice(-LISTED).reverse();
  return (
    <Menu as="div" className="relative">
      <MenuButton
        className={className}
        disabled={steps.length === 0}
        aria-label={tell(PAPER.stepsBack)}
        title={tell(PAPER.stepsBack)}
      >
        <History size={17} aria-hidden="true" />
      </MenuButton>
      <MenuItems
        modal={false}
        className="absolute top-full right-0 z-50 max-h-96 w-80 overflow-auto border-2 border-ink bg-sheet text-ink"
        aria-label={tell(PAPER.stepsBack)}
      >
        {steps.map((step, i) => (
          <MenuItem key={done.length - i}>
            <button
              className="flex min-h-8 w-full items-center gap-2 px-3 py-1 text-left text-small data-focus:bg-chalk-pale"
              onClick={() => {
                for (let k = 0; k <= i; k++) undo();
              }}
            >
              <Typeset words={tell(step.says)} />
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
