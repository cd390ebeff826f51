import type { Message } from '@even-tally/core';
import type { ReactNode } from 'react';
import { useTell } from '../../../state/words';
import { Fold } from '../../../ui/Fold';

/** A part a wall may have or not: its fields while it has it, and one press to put it there or leave it out. */
export function Optional({
  title,
  has,
  add,
  leave,
  onAdd,
  onLeave,
  children,
}: {
  title: Message;
  has: boolean;
  add: Message;
  leave: Message;
  onAdd: () => void;
  onLeave: () => void;
  children: ReactNode;
}): ReactNode {
  const tell = useTell();
  return (
    <Fold title={tell(title)} open={has}>
      {has && children}
      <button className="press-plain mt-2 max-[699px]:min-h-11" onClick={has ? onLeave : onAdd}>
        {tell(has ? leave : add)}
      </button>
    </Fold>
  );
}
