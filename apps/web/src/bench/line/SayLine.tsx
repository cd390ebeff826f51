import { hear, sayWall, type Heard } from '@even-tally/core';
import { PAPER } from '@even-tally/words';
import { X } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useJob } from '../../state/job';
import { look } from '../../state/view';
import { useTell } from '../../state/words';
import type { LineProps } from './LineOverDrawer';
import { ReadBack } from './ReadBack';
import { SaidField } from './SaidField';

/** A hand that has not typed for so long rests, ms: then what is said is drawn. */
const REST = 220;

/** What is said of the wall, in one line: each phrase underlined as it was taken, the wall drawn so meanwhile, kept by Enter. */
export default function SayLine({ wall, run }: LineProps): ReactNode {
  const tell = useTell();
  const { store, drag, drop } = useJob();
  const [text, setText] = useState('');
  const field = useRef<HTMLInputElement>(null);
  /** The wall as it stood before anything was said: what is tried is always said of that. */
  const before = useMemo(() => {
    const { base, job } = store.getState();
    return base ?? job;
  }, [store]);
  const [stands, setStands] = useState(before);
  const heard = useMemo(
    (): Heard | null =>
      stands && text.trim() !== '' ? hear(text, { on: { job: stands, wall, run } }) : null,
    [stands, text, wall, run],
  );
  const back = useMemo(() => (stands ? sayWall(stands, wall) : null), [stands, wall]);
  const said = heard?.document?.walls[wall];
  useEffect(() => {
    const timer = setTimeout(() => {
      if (said) drag([{ op: 'replace', path: `/walls/${wall}`, value: said }]);
      else drop([]);
    }, REST);
    return () => clearTimeout(timer);
  }, [said, wall, drag, drop]);
  useEffect(() => {
    field.current?.focus();
    return () => drop([]);
  }, [drop]);
  const close = (): void => look({ saying: false });
  const keep = (): void => {
    if (!said) return;
    const patch = [{ op: 'replace' as const, path: `/walls/${wall}`, value: said }];
    if (drag(patch)) drop(patch);
    setStands(store.getState().job);
    setText('');
  };
  return (
    <section
      aria-label={tell(PAPER.sayIt)}
      className="no-print shrink-0 border-t-2 border-ink bg-sheet px-3 py-2"
      data-saying
    >
      <div className="flex items-center gap-2">
        <label htmlFor="say-line" className="heading shrink-0">
          {tell(PAPER.sayIt)}
        </label>
        <SaidField
          id="say-line"
          text={text}
          phrases={heard?.phrases ?? []}
          hint={tell(PAPER.sayHint)}
          readBack="say-back"
          field={field}
          onChange={setText}
          onKey={(e) => {
            if (e.key === 'Enter') keep();
            if (e.key === 'Escape') close();
          }}
        />
        <button className="press" disabled={!said} onClick={keep}>
          {tell(PAPER.keepIt)}
        </button>
        <button
          className="inline-flex h-7 w-7 items-center justify-center hover:bg-chalk-pale"
          aria-label={tell(PAPER.closeLine)}
          onClick={close}
        >
          <X size={16} aria-hidden="true" />
        </button>
      </div>
      <div id="say-back" aria-live="polite" className="mt-1 text-small">
        {heard ? <ReadBack phrases={heard.phrases} /> : <StandsSo says={back} take={setText} />}
      </div>
    </section>
  );
}

/** The wall as it stands, said in one line: pressed, it is there to be said otherwise. */
function StandsSo({ says, take }: { says: string | null; take: (text: string) => void }): ReactNode {
  const tell = useTell();
  if (says === null) return <p className="text-soft">{tell(PAPER.notSaidBack)}</p>;
  return (
    <p className="text-soft">
      {tell(PAPER.standsSo)}{' '}
      <button className="text-left text-chalk underline" onClick={() => take(says)}>
        {says}
      </button>
    </p>
  );
}
