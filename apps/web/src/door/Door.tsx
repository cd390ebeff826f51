import { useState, type FormEvent, type ReactNode } from 'react';
import { Navigate } from 'react-router';
import { openAccount, openDemo, signIn } from '../state/api';
import { useSession } from '../state/session';
import { Mark } from '../ui/Mark';
import { Waiting } from '../ui/Waiting';
import { DoorDrawing } from './DoorDrawing';
import { Entry, textIn } from './Entry';
import { useEntering } from './useEntering';

/** The way in: look round, sign in, or open a yard of one's own. */
export function Door(): ReactNode {
  const { session } = useSession();
  const { enter, busy, says, setSays } = useEntering();
  const [opening, setOpening] = useState(false);
  if (!session) return <Waiting what="Opening the door" />;
  if (session.signedIn) return <Navigate to="/yard" replace />;

  const submit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const text = textIn(event.currentTarget);
    void enter(() =>
      opening
        ? openAccount(text('email'), text('password'), text('yard'))
        : signIn(text('email'), text('password')),
    );
  };

  return (
    <div className="grid min-h-full grid-cols-1 lg:grid-cols-[1fr_400px]">
      <main className="flex flex-col p-8 lg:p-12">
        <Mark />
        <h1 className="mt-10 max-w-2xl font-narrow text-4xl leading-tight font-bold">
          Every course, cut and bag worked out before the mud is wet.
        </h1>
        <p className="mt-4 max-w-xl text-base">
          Say what you know: the lines, the heights, the openings. The pole, the bond and the order follow
          while your finger is still down.
        </p>
        {session.demo && (
          <p className="mt-6">
            <button
              className="press px-5 py-3 text-base"
              disabled={busy}
              onClick={() => void enter(openDemo)}
            >
              Look round the demo yard
            </button>
            <span className="ml-4 text-soft">A copy of your own: nothing you do there harms another’s.</span>
          </p>
        )}
        <DoorDrawing />
      </main>
      <aside className="border-l border-rule bg-sheet p-8 lg:p-12" aria-label="Sign in">
        <h2 className="heading text-xl">{opening ? 'Open a yard' : 'Sign in'}</h2>
        <form className="mt-5 space-y-4" onSubmit={submit}>
          {opening && (
            <Entry label="Name of the yard or crew" name="yard" type="text" autoComplete="organization" />
          )}
          <Entry label="Email" name="email" type="email" autoComplete="email" />
          <Entry
            label={opening ? 'Password, at least 12 characters' : 'Password'}
            name="password"
            type="password"
            autoComplete={opening ? 'new-password' : 'current-password'}
            {...(opening ? { minLength: 12 } : {})}
          />
          <p role="alert" className="min-h-5 font-semibold text-fault">
            {says}
          </p>
          <button className="press" disabled={busy}>
            {opening ? 'Open the yard' : 'Sign in'}
          </button>
        </form>
        <p className="mt-8 border-t border-rule pt-5">
          <button
            className="press-plain"
            onClick={() => {
              setOpening(!opening);
              setSays(null);
            }}
          >
            {opening ? 'I have a yard already' : 'Open a yard of my own'}
          </button>
        </p>
      </aside>
    </div>
  );
}
