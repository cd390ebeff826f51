import { formatDistanceToNow } from 'date-fns';
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
import { useSession } from '../state/session';
import { Inside } from './Inside';

/** What a browser says of itself, in the few words a person knows it by. */
export function agentSays(agent: string): string {
  const browser = /Edg|OPR|Firefox|Chrome|Safari/.exec(agent)?.[0] ?? 'A browser';
  const on = /Android|iPhone|iPad|Windows|Mac OS|Linux/.exec(agent)?.[0];
  return `${{ Edg: 'Edge', OPR: 'Opera' }[browser] ?? browser}${on ? ` on ${on}` : ''}`;
}

function Sessions({ onTrouble }: { onTrouble: (error: Error) => void }): ReactNode {
  const [lines, setLines] = useState<SessionLine[]>([]);
  const read = useCallback((): void => void listSessions().then(setLines, onTrouble), [onTrouble]);
  useEffect(read, [read]);
  return (
    <section aria-label="Where you are signed in">
      <h2 className="heading border-b-2 border-ink pb-1">Where you are signed in</h2>
      <ul>
        {lines.map((l) => (
          <li key={l.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-2">
            <span className="font-semibold">{agentSays(l.agent)}</span>
            <span className="text-small text-soft">
              {l.here ? 'here and now' : `last used ${formatDistanceToNow(new Date(l.seen))} ago`}, signed in{' '}
              {formatDistanceToNow(new Date(l.made))} ago
            </span>
            {!l.here && (
              <button
                className="ml-auto min-h-7 px-2 text-soft hover:text-fault"
                onClick={() => void endSession(l.id).then(read, onTrouble)}
              >
                Sign it out
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
          Sign out everywhere
        </button>
      </p>
    </section>
  );
}

/** The account itself: where it is signed in, its password, and how it or its yard is closed. */
export function Account(): ReactNode {
  const { session, setSession } = useSession();
  const [says, setSays] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const trouble = useCallback((error: Error): void => setSays(error.message), []);
  if (session?.yard?.demo) return <Navigate to="/yard" replace />;
  const change = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const form = event.currentTarget;
    const text = textIn(form);
    setSays(null);
    setDone(null);
    changePassword(text('old'), text('password')).then((now) => {
      setSession({ ...now, demo: session?.demo ?? false });
      setDone('Changed. Every other session of this account has ended.');
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
    <Inside title="Account" says={says}>
      <p className="mb-4 break-all">{session?.email}</p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Sessions onTrouble={trouble} />
        <div className="space-y-8">
          <form aria-label="Password" className="space-y-3" onSubmit={change}>
            <h2 className="heading border-b-2 border-ink pb-1">Password</h2>
            <Entry label="The old one" name="old" type="password" autoComplete="current-password" />
            <Entry
              label="A new one, at least 12 characters"
              name="password"
              type="password"
              autoComplete="new-password"
              minLength={12}
            />
            <button className="press">Change it</button>
            <p role="status" className="text-settled">
              {done}
            </p>
          </form>
          <form aria-label="Closing" className="space-y-3" onSubmit={close}>
            <h2 className="heading border-b-2 border-ink pb-1">Closing</h2>
            <p className="text-small text-soft">
              What was signed stays on record under the name it was signed with. A closed yard is kept for a
              month and then swept; take its file first.
            </p>
            <Entry
              label="Your password, once more"
              name="again"
              type="password"
              autoComplete="current-password"
            />
            <p className="flex flex-wrap gap-3">
              {session?.yard?.role === 'owns' && (
                <>
                  <a className="press-plain inline-block" href="/api/yard/file" download>
                    The yard’s file
                  </a>
                  <button className="press-plain" value="yard">
                    Close the yard
                  </button>
                </>
              )}
              <button className="press-plain" value="account">
                Close my account
              </button>
            </p>
          </form>
        </div>
      </div>
    </Inside>
  );
}
