import {
  millimetres,
  moduleSizes,
  parseTyped,
  sayMm,
  toMillimetres,
  type ModuleForm,
} from '@even-tally/core';
import { AT_SET_OUT } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { newId } from '../../state/newId';
import { useTell } from '../../state/words';
import { sayUnread } from '../../ui/unread';
import { Fold } from '../../ui/Fold';
import { NameField } from '../../ui/NameField';
import { Pick } from '../../ui/Pick';
import { Typeset } from '../../ui/Typeset';
import type { PanelProps } from '../panel';

const FORMS = [
  ['pier', AT_SET_OUT.pierForm],
  ['opening', AT_SET_OUT.anOpening],
  ['return', AT_SET_OUT.returnForm],
] as const;

/** A dimension the drawing left out: what it can be in whole and half units, and what was taken. */
export function AssumedPart({ job, view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { edit } = useJob();
  const [form, setForm] = useState<ModuleForm>('opening');
  const [guess, setGuess] = useState('');
  const list = job.assumed ?? [];
  const open = list.filter((a) => a.confirmed === undefined).length;
  const read = parseTyped(guess, show === 'mm' ? 'mm' : 'in', {
    length: millimetres(view.wall.module),
    course: millimetres(view.wall.pitch),
  });
  const near = read.ok ? toMillimetres(read.length) : 0;
  const sizes = near > 0 ? moduleSizes(form, near, view.wall.module, view.wall.head) : [];
  const take = (says: string): void => {
    const { id } = newId('A', list);
    edit([
      job.assumed
        ? { op: 'add', path: '/assumed/-', value: { id, says } }
        : { op: 'add', path: '/assumed', value: [{ id, says }] },
    ]);
  };
  return (
    <Fold
      title={tell(AT_SET_OUT.leftOutOfThe)}
      aside={open > 0 ? tell(AT_SET_OUT.notConfirmed({ count: open })) : tell(AT_SET_OUT.nothingAssumed)}
    >
      <div className="grid grid-cols-2 gap-3">
        <Pick label={tell(AT_SET_OUT.whatIsMissing)} value={form} options={FORMS} onChange={setForm} />
        <label className="block text-small text-soft">
          {tell(AT_SET_OUT.about)}
          <input
            className="entry"
            value={guess}
            placeholder={show === 'mm' ? '900' : "3'"}
            onChange={(e) => setGuess(e.currentTarget.value)}
          />
        </label>
      </div>
      {guess !== '' && !read.ok && <p className="text-xs text-fault">{tell(sayUnread(read))}</p>}
      <ul className="flex flex-wrap gap-2">
        {sizes.map((s) => (
          <li key={s.length}>
            <button
              className="press-plain"
              onClick={() =>
                take(
                  tell(
                    AT_SET_OUT.takenAs({
                      what: FORMS.find(([f]) => f === form)?.[1] ?? '',
                      length: s.length,
                    }),
                  ),
                )
              }
            >
              <b className="figures">
                <Typeset words={sayMm(s.length, show)} />
              </b>{' '}
              <span className="font-normal">{tell(s.says)}</span>
            </button>
          </li>
        ))}
      </ul>
      <ul>
        {list.map((a, i) => (
          <li key={a.id} className="border-t border-rule py-2">
            <p className="break-words">{a.says}</p>
            {a.confirmed !== undefined ? (
              <p className="text-small font-bold text-settled">
                {tell(AT_SET_OUT.confirmedWho({ who: a.confirmed }))}
              </p>
            ) : (
              <NameField
                label={tell(AT_SET_OUT.confirmedBy)}
                value=""
                onChange={(v) =>
                  v.trim() !== '' && edit([{ op: 'add', path: `/assumed/${i}/confirmed`, value: v }])
                }
              />
            )}
          </li>
        ))}
      </ul>
    </Fold>
  );
}
