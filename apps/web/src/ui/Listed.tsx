import type { Message } from '@even-tally/core';
import { UI } from '@even-tally/words';
import { Plus, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useTell } from '../state/words';
import { Fold } from './Fold';

interface Props<T> {
  title: string;
  /** What one of them is called. */
  one: Message;
  /** Words of the press that adds one. */
  add: Message;
  /** What is said while there are none. */
  none: string;
  items: readonly T[];
  keyOf: (item: T) => string;
  onAdd: () => void;
  onRemove: (item: T) => void;
  children: (item: T) => ReactNode;
  after?: ReactNode;
}

/** A list that opens when it is wanted: its entries, each with its fields, and a press to add one. */
export function Listed<T>(props: Props<T>): ReactNode {
  const tell = useTell();
  const { title, one, add, none, items } = props;
  return (
    <Fold
      title={title}
      aside={items.length === 0 ? tell(UI.none) : String(items.length)}
      open={items.length > 0}
    >
      {items.length === 0 && <p className="text-soft">{none}</p>}
      <ul className="space-y-3">
        {items.map((item) => (
          <li key={props.keyOf(item)} className="relative border-b border-rule pb-3">
            {props.children(item)}
            <button
              className="mt-1 inline-flex min-h-7 items-center gap-1 text-small text-soft hover:text-fault"
              onClick={() => props.onRemove(item)}
            >
              <Trash2 size={14} aria-hidden="true" /> {tell(UI.takeOut({ one }))}
            </button>
          </li>
        ))}
      </ul>
      <button className="press-plain inline-flex items-center gap-1" onClick={props.onAdd}>
        <Plus size={15} aria-hidden="true" /> {tell(add)}
      </button>
      {props.after}
    </Fold>
  );
}
