import { holdStates, refusalOf, type Hold, type HoldState, type NewEntry } from '@even-tally/core';
import { useEffect, useState, type ReactNode } from 'react';
import { useOpenJob } from '../../state/openJob';
import { addEntry, openRecord, useRecord } from '../../state/record';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { SignHold } from './SignHold';

const clock = (at: string): string =>
  new Date(at).toLocaleString(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

/** Points that may not be passed until somebody signs, and the steps they hold. */
export function Holds({ view }: PanelProps): ReactNode {
  const { holds } = view.steel;
  const job = useOpenJob((s) => s.id);
  const entries = useRecord((s) => s.entries);
  const failure = useRecord((s) => s.failure);
  const [signing, setSigning] = useState<Hold | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (job !== null) void openRecord(job);
  }, [job]);
  if (holds.length === 0) return null;
  const wall = view.wall.id;
  const states = holdStates(holds, entries, wall);
  const put = async (entry: NewEntry): Promise<void> => {
    // The same rule the server keeps, so that the answer comes at once.
    const why = refusalOf(holds, entries, entry);
    if (why !== null) throw new Error(why);
    await addEntry(entry);
  };
  // Whoever signed the hold answers for the step behind it; unsigned, it is refused.
  const done = ({ hold, signed }: HoldState): void => {
    setTrouble(null);
    const by = signed?.by ?? 'nobody';
    put({ kind: 'step-done', wall, step: hold.step, by }).catch((error: Error) => setTrouble(error.message));
  };
  return (
    <Section
      title="Holds"
      aside={
        <span className="text-[13px]">
          {states.filter((s) => s.signed).length} of {states.length} signed
        </span>
      }
    >
      <p role="alert" className="font-semibold text-fault">
        {trouble ?? failure}
      </p>
      <ol className="space-y-3">
        {states.map((s) => (
          <li key={s.hold.id} className="border-b border-rule pb-3">
            <p className="flex items-baseline justify-between gap-2">
              <b>{s.hold.title}</b>
              <span className={`text-[13px] font-semibold ${s.signed ? 'text-settled' : 'text-fault'}`}>
                {s.signed ? 'SIGNED' : 'HELD'}
              </span>
            </p>
            <p className="text-[13px] text-soft">
              {s.signed
                ? `Seen by ${s.signed.by}, ${clock(s.signed.at)}.`
                : `${s.hold.checks.length} ${s.hold.checks.length === 1 ? 'thing' : 'things'} to be seen.`}{' '}
              {s.done && `${s.hold.stepSays}: ${clock(s.done.at)}.`}
            </p>
            {!s.done && (
              <p className="mt-1 flex flex-wrap gap-2">
                {!s.signed && (
                  <button className="press" onClick={() => setSigning(s.hold)}>
                    Look and sign
                  </button>
                )}
                <button className={s.signed ? 'press' : 'press-plain'} onClick={() => done(s)}>
                  {s.hold.stepSays}
                </button>
              </p>
            )}
          </li>
        ))}
      </ol>
      {signing && (
        <SignHold
          hold={signing}
          onClose={() => setSigning(null)}
          onSign={(by, seen, note) => {
            setTrouble(null);
            return put({
              kind: 'hold-signed',
              wall,
              hold: signing.id,
              by,
              seen,
              ...(note === '' ? {} : { note }),
            });
          }}
        />
      )}
    </Section>
  );
}
