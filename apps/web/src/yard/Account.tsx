import type { Said } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import { useCallback, useEffect, useState, type FormEvent, type ReactNode } from 'react';
import { Navigate } from 'react-router';
import { Entry, textIn } from '../door/Entry';
import {
  changePassword,
  closeAccount,
  closeYard,
  endSession,
  listSessions,
  signOutEverywhere,
  type SessionLine,
} from '../state/api';
import { useDates } from '../state/dates';
import { saidBy } from '../state/failure';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { Inside } from './Inside';

/** What a browser says of itself, in the few words a person knows it by. */
export function agentSays(agent: string): Said {
  const browser = /Edg|OPR|Firefox|Chrome|Safari/.exec(agent)?.[0];
  const on = /Android|iPhone|iPad|Windows|Mac OS|Linux/.exec(agent)?.[0];
  const named = browser === undefined ? YARD.aBrowser : ({ Edg: 'Edge', OPR: 'Opera' }[browser] ?? browser);
  return on ? YARD.aBrowserOn({ browser: named, on }) : named;
}

function Sessions({ onTrouble }: { onTrouble: (error: Error) => void }): ReactNode {
  const tell = useTell();
  const dates = useDates();
  const [lines, setLines] = useState<SessionLine[]>([]);
  const read = useCallback((): void => void listSessions().then(setLines, onTrouble), [onTrouble]);
  useEffect(read, [read]);
  return (
    <section aria-label={tell(YARD.whereYouAreSigned)}>
      <h2 className="heading border-b-2 border-ink pb-1">{tell(YARD.whereYouAreSigned)}</h2>
      <ul>
        {lines.map((l) => (
          <li key={l.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-2">
            <span className="font-semibold">{tell(agentSays(l.agent))}</span>
            <span className="text-small text-soft">
              {tell(
                l.here
                  ? YARD.hereAndNow({ made: dates.since(l.made) })
                  : YARD.lastUsed({ seen: dates.since(l.seen), made: dates.since(l.made) }),
              )}
            </span>
            {!l.here && (
              <button
                className="ml-auto min-h-7 px-2 text-soft hover:text-fault"
                onClick={() => void endSession(l.id).then(read, onTrouble)}
              >
                {tell(YARD.signItOut)}
              </button>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-3">
        <button
          className="press-plain"
          onClick={() => void signOutEverywhere().then(() => location.assign('/'), onTrouble)}
        >
          {tell(YARD.signOutEverywhere)}
        </button>
      </p>
    </section>
  );
}

/** The account itself: where it is signed in, its password, and how it or its yard is closed. */
export function Account(): ReactNode {
  const tell = useTell();
  const { session, setSession } = useSession();
  const [says, setSays] = useState<Said | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const trouble = useCallback((error: Error): void => setSays(saidBy(error)), []);
  if (session?.yard?.demo) return <Navigate to="/yard" replace />;
  const change = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const form = event.currentTarget;
    const text = textIn(form);
    setSays(null);
    setDone(null);
    changePassword(text('old'), text('password')).then((now) => {
      setSession({ ...now, demo: session?.demo ?? false });
      setDone(tell(YARD.passwordChanged));
      form.reset();
    }, trouble);
  };
  const close = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const password = textIn(event.currentTarget)('again');
    const asked = (event.nativeEvent as SubmitEvent).submitter?.getAttribute('value');
    setSays(null);
    (asked === 'yard' ? closeYard(password) : closeAccount(password)).then(
      () => location.assign('/'),
      trouble,
    );
  };
  return (
    <Inside title={tell(YARD.account)} says={says}>
      <p className="mb-4 break-all">{session?.email}</p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Sessions onTrouble={trouble} />
        <div className="space-y-8">
          <form aria-label={tell(YARD.password)} className="space-y-3" onSubmit={change}>
            <h2 className="heading border-b-2 border-ink pb-1">{tell(YARD.password)}</h2>
            <Entry label={tell(YARD.theOldOne)} name="old" type="password" autoComplete="current-password" />
            <Entry
              label={tell(YARD.aNewOneAt)}
              name="password"
              type="password"
              autoComplete="new-password"
              minLength={12}
            />
            <button className="press">{tell(YARD.changeIt)}</button>
            <p role="status" className="text-settled">
              {done}
            </p>
          </form>
          <form aria-label={tell(YARD.closing)} className="space-y-3" onSubmit={close}>
            <h2 className="heading border-b-2 border-ink pb-1">{tell(YARD.closing)}</h2>
            <p className="text-small text-soft">{tell(YARD.whatWasSignedStays)}</p>
            <Entry
              label={tell(YARD.yourPasswordOnceMore)}
              name="again"
              type="password"
              autoComplete="current-password"
            />
            <p className="flex flex-wrap gap-3">
              {session?.yard?.role === 'owns' && (
                <>
                  <a className="press-plain inline-block" href="/api/yard/file" download>
                    {tell(YARD.theYardsFile)}
                  </a>
                  <button className="press-plain" value="yard">
                    {tell(YARD.closeTheYard)}
                  </button>
                </>
              )}
              <button className="press-plain" value="account">
                {tell(YARD.closeMyAccount)}
              </button>
            </p>
          </form>
        </div>
      </div>
    </Inside>
  );
}
