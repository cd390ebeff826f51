import { Folded, holdStates, refusalOf, type Hold, type NewEntry } from '@even-tally/core';
import { AT_STEEL } from '@even-tally/words';
import { useEffect, useState, type ReactNode } from 'react';
import { useDates } from '../../state/dates';
import { useJob, useOpenJob } from '../../state/job';
import { addEntry, openRecord, useRecord } from '../../state/record';
import { useWords, useTell } from '../../state/words';
import { Section } from '../../ui/Section';
import type { PanelProps } from '../panel';
import { SignHold } from './SignHold';
import { SignStep } from './SignStep';

/** Points that may not be passed until somebody signs, and the steps they hold. */
export function Holds({ view, show }: PanelProps): ReactNode {
  const tell = useTell();
  const { say, lang } = useWords(show);
  const { holds } = view.steel;
  const dates = useDates();
  const handle = useJob();
  const job = useOpenJob((s) => s.id);
  const entries = useRecord((s) => s.entries);
  const failure = useRecord((s) => s.failure);
  const [signing, setSigning] = useState<Hold | null>(null);
  const [stepping, setStepping] = useState<Hold | null>(null);
  useEffect(() => {
    if (job !== null) void openRecord(job);
  }, [job]);
  if (holds.length === 0) return null;
  const wall = view.wall.id;
  const record = new Folded(entries);
  const states = holdStates(holds, record, wall);
  const put = async (entry: NewEntry): Promise<void> => {
    // The same rule the server keeps, so that the answer comes at once.
    const why = refusalOf(holds, record, entry);
    if (why !== null) throw new Error(say(why));
    await addEntry(handle, entry);
  };
  return (
    <Section
      title={tell(AT_STEEL.holds)}
      aside={
        <span className="text-small">
          {tell(AT_STEEL.signedOf({ signed: states.filter((s) => s.signed).length, all: states.length }))}
        </span>
      }
    >
      <p role="alert" className="font-semibold text-fault">
        {failure && tell(failure)}
      </p>
      <ol className="space-y-3">
        {states.map((s) => (
          <li key={s.hold.id} className="border-b border-rule pb-3">
            <p className="flex items-baseline justify-between gap-2">
              <b lang={lang}>{say(s.hold.title)}</b>
              <span className={`text-small font-semibold ${s.signed ? 'text-settled' : 'text-fault'}`}>
                {tell(s.signed ? AT_STEEL.signed : AT_STEEL.held)}
              </span>
            </p>
            <p className="text-small text-soft">
              {tell(
                s.signed
                  ? AT_STEEL.seenByAt({ by: s.signed.by, when: dates.moment(s.signed.happened) })
                  : AT_STEEL.thingsToSee({ count: s.hold.checks.length }),
              )}{' '}
              {s.done &&
                tell(
                  AT_STEEL.stepBy({
                    step: s.hold.stepSays,
                    by: s.done.by,
                    when: dates.moment(s.done.happened),
                  }),
                )}
            </p>
            {!s.done && (
              <p className="mt-1 flex flex-wrap gap-2">
                {!s.signed && (
                  <button className="press" onClick={() => setSigning(s.hold)}>
                    {tell(AT_STEEL.lookAndSign)}
                  </button>
                )}
                <button className={s.signed ? 'press' : 'press-plain'} onClick={() => setStepping(s.hold)}>
                  {say(s.hold.stepSays)}
                </button>
              </p>
            )}
          </li>
        ))}
      </ol>
      {stepping && (
        <SignStep
          says={say(stepping.stepSays)}
          onClose={() => setStepping(null)}
          onDone={(by) => put({ kind: 'step-done', wall, step: stepping.step, by })}
        />
      )}
      {signing && (
        <SignHold
          hold={signing}
          show={show}
          onClose={() => setSigning(null)}
          onSign={(by, seen, note) => {
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
