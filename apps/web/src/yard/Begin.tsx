import {
  beginning,
  BEGINNINGS,
  hear,
  PROFILES,
  type Beginning,
  type JobDocument,
  type Said,
  type Show,
} from '@even-tally/core';
import { BEGIN } from '@even-tally/words';
import { Radio, RadioGroup } from '@headlessui/react';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { ReadBack } from '../bench/line/ReadBack';
import { SaidField } from '../bench/line/SaidField';
import { addJob } from '../state/api';
import { saidBy } from '../state/failure';
import { useTell } from '../state/words';
import { Typeset } from '../ui/Typeset';
import { openPlanner, type Planner } from '../workers/planner';
import { Inside } from './Inside';
import { Small } from './Small';

type Profile = JobDocument['profile'];

const MEASURES: readonly (readonly [Show, Said])[] = [
  ['ft-in', BEGIN.feet],
  ['mm', BEGIN.millimetres],
];
/** The measure whoever builds by these rules most often works in. */
const USUAL: Record<Profile, Show> = { us: 'ft-in', uk: 'mm', earth: 'ft-in' };

/** A new job, on one screen: whose rules, which measure, and what it is; or the wall said in one line. */
export function Begin(): ReactNode {
  const tell = useTell();
  const navigate = useNavigate();
  const [profile, setProfile] = useState<Profile>('us');
  const [show, setShow] = useState<Show>('ft-in');
  const [says, setSays] = useState<Said | null>(null);
  const [busy, setBusy] = useState(false);
  const [planner] = useState<Planner>(openPlanner);
  useEffect(() => () => planner.close(), [planner]);
  const begun = useMemo(
    () =>
      BEGINNINGS.map((what) => ({
        what,
        ...beginning({ what, profile, show, job: tell(BEGIN.newJob), wall: tell(NAMES[what]) }),
      })),
    [profile, show, tell],
  );
  const begin = async (document: JobDocument): Promise<void> => {
    setSays(null);
    setBusy(true);
    try {
      const kept = await addJob(document);
      await navigate(`/jobs/${kept.id}/${document.walls[0]?.id ?? ''}/0/set-out`);
    } catch (error) {
      setSays(saidBy(error));
      setBusy(false);
    }
  };
  return (
    <Inside
      title={tell(BEGIN.aNewJob)}
      says={says}
      actions={
        <Link to="/yard" className="press-plain inline-flex items-center">
          {tell(BEGIN.backToTheYard)}
        </Link>
      }
    >
      <div className="grid gap-x-10 gap-y-5 border-t-2 border-ink py-5 md:grid-cols-2">
        <Choose
          label={tell(BEGIN.whoseRules)}
          value={profile}
          options={Object.values(PROFILES).map((p) => [p.id, p.name] as const)}
          onChange={(to) => {
            setProfile(to);
            setShow(USUAL[to]);
          }}
        />
        <Choose label={tell(BEGIN.whichMeasure)} value={show} options={MEASURES} onChange={setShow} />
      </div>
      <h2 className="heading text-lg">{tell(BEGIN.whatIsIt)}</h2>
      <ul className="mt-3 grid grid-cols-1 gap-4 sm:grid-cols-2 lg:grid-cols-3">
        {begun.map((b) => (
          <li key={b.what}>
            <button
              className="flex h-full w-full flex-col border border-rule bg-sheet p-4 text-left hover:border-chalk hover:bg-chalk-pale"
              disabled={busy}
              onClick={() => void begin(b.document)}
              data-begin={b.what}
            >
              <Small document={b.document} planner={planner} />
              <b className="mt-3 font-narrow text-lead">{tell(NAMES[b.what])}</b>
              <span className="mt-1 text-small text-soft">
                <Typeset words={b.says} />
              </span>
            </button>
          </li>
        ))}
      </ul>
      <SayOne profile={profile} busy={busy} begin={(d) => void begin(d)} />
    </Inside>
  );
}

const NAMES: Record<Beginning, (typeof BEGIN)['garden']> = {
  garden: BEGIN.garden,
  stone: BEGIN.stone,
  retaining: BEGIN.retaining,
  building: BEGIN.building,
  gate: BEGIN.gate,
  base: BEGIN.base,
  repair: BEGIN.repair,
};

function Choose<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, Said])[];
  onChange: (value: T) => void;
}): ReactNode {
  const tell = useTell();
  return (
    <div>
      <h2 className="heading" id={`begin-${label}`}>
        {label}
      </h2>
      <RadioGroup
        value={value}
        onChange={onChange}
        aria-labelledby={`begin-${label}`}
        className="mt-2 flex flex-wrap"
      >
        {options.map(([key, name]) => (
          <Radio
            key={key}
            value={key}
            className="-ml-px min-h-10 cursor-pointer border border-ink bg-sheet px-4 py-2 font-semibold first:ml-0 hover:bg-chalk-pale data-checked:bg-slate data-checked:text-white"
          >
            {tell(name)}
          </Radio>
        ))}
      </RadioGroup>
    </div>
  );
}

/** The wall said in one line, and the job begun with what was said. */
function SayOne({
  profile,
  busy,
  begin,
}: {
  profile: Profile;
  busy: boolean;
  begin: (document: JobDocument) => void;
}): ReactNode {
  const tell = useTell();
  const [text, setText] = useState('');
  const heard = useMemo(() => (text.trim() === '' ? null : hear(text, { profile })), [text, profile]);
  const document = heard?.document ?? null;
  const keep = (): void => {
    if (document) begin({ ...document, name: tell(BEGIN.newJob) });
  };
  return (
    <section aria-label={tell(BEGIN.orSayIt)} className="my-6 border-t-2 border-ink pt-4">
      <label htmlFor="begin-say" className="heading text-lg">
        {tell(BEGIN.orSayIt)}
      </label>
      <div className="mt-2 flex gap-2 max-[699px]:flex-col">
        <SaidField
          id="begin-say"
          text={text}
          phrases={heard?.phrases ?? []}
          hint={tell(BEGIN.sayHint)}
          readBack="begin-back"
          onChange={setText}
          onKey={(e) => e.key === 'Enter' && keep()}
        />
        <button className="press text-center" disabled={!document || busy} onClick={keep}>
          {tell(BEGIN.beginWithThis)}
        </button>
      </div>
      <div id="begin-back" aria-live="polite" className="mt-1 min-h-6 text-small">
        {heard && <ReadBack phrases={heard.phrases} />}
      </div>
    </section>
  );
}
