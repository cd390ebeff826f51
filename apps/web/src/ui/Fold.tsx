import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';
import { keepFlag, keptFlag } from '../state/kept';

/** A part of the slip that opens when it is wanted, and is found as it was left. `aside` says what it holds while it is shut. */
export function Fold({
  title,
  aside,
  open = false,
  children,
}: {
  title: string;
  aside?: ReactNode;
  open?: boolean;
  children: ReactNode;
}): ReactNode {
  const name = `fold/${title}`;
  return (
    <Disclosure as="section" className="px-4 pt-3" defaultOpen={keptFlag(name, open)} aria-label={title}>
      {({ open: isOpen }) => (
        <>
          <DisclosureButton
            className="group flex min-h-8 w-full items-center justify-between gap-2 border-b-2 border-ink pb-1 text-left"
            onClick={() => keepFlag(name, !isOpen)}
          >
            <h2 className="heading shrink-0">{title}</h2>
            <span className="flex min-w-0 items-center gap-1 text-small text-soft">
              <span className="truncate">{aside}</span>
              <ChevronDown
                size={16}
                aria-hidden="true"
                className="shrink-0 text-chalk group-data-[open]:rotate-180"
              />
            </span>
          </DisclosureButton>
          <DisclosurePanel className="space-y-3 pt-3">{children}</DisclosurePanel>
        </>
      )}
    </Disclosure>
  );
}
