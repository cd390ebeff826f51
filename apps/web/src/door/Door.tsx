import { DOOR } from '@even-tally/words';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Navigate } from 'react-router';
import { openAccount, openDemo, signIn } from '../state/api';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { LanguagePick } from '../ui/LanguagePick';
import { SchemePick } from '../ui/SchemePick';
import { Mark } from '../ui/Mark';
import { Waiting } from '../ui/Waiting';
import { DoorDrawing } from './DoorDrawing';
import { Entry, textIn } from './Entry';
import { useEntering } from './useEntering';

/** The way in: look round, sign in, or open a yard of one's own. */
export function Door(): ReactNode {
  const tell = useTell();
  const { session } = useSession();
  const { enter, busy, says, setSays } = useEntering();
  const [opening, setOpening] = useState(false);
  if (!session) return <Waiting what={tell(DOOR.openingTheDoor)} />;
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
          {tell(DOOR.everyCourseCutAnd)}
        </h1>
        <p className="mt-4 max-w-xl text-base">{tell(DOOR.sayWhatYouKnow)}</p>
        {session.demo && (
          <p className="mt-6">
            <button
              className="press px-5 py-3 text-base"
              disabled={busy}
              onClick={() => void enter(openDemo)}
            >
              {tell(DOOR.lookRoundTheDemo)}
            </button>
            <span className="ml-4 text-soft">{tell(DOOR.aCopyOfYour)}</span>
          </p>
        )}
        <DoorDrawing />
      </main>
      <aside className="border-l border-rule bg-sheet p-8 lg:p-12" aria-label={tell(DOOR.signIn)}>
        <h2 className="heading text-xl">{opening ? tell(DOOR.openAYard) : tell(DOOR.signIn)}</h2>
        <form className="mt-5 space-y-4" onSubmit={submit}>
          {opening && (
            <Entry label={tell(DOOR.nameOfTheYard)} name="yard" type="text" autoComplete="organization" />
          )}
          <Entry label={tell(DOOR.email)} name="email" type="email" autoComplete="email" />
          <Entry
            label={opening ? tell(DOOR.passwordAtLeast12) : tell(DOOR.password)}
            name="password"
            type="password"
            autoComplete={opening ? 'new-password' : 'current-password'}
            {...(opening ? { minLength: 12 } : {})}
          />
          <p role="alert" className="min-h-5 font-semibold text-fault">
            {says && tell(says)}
          </p>
          <button className="press" disabled={busy}>
            {opening ? tell(DOOR.openTheYard) : tell(DOOR.signIn)}
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
            {opening ? tell(DOOR.haveYard) : tell(DOOR.openAYardOf)}
          </button>
        </p>
        <p className="mt-8">
          <LanguagePick className="-ml-2 bg-sheet" />
          <SchemePick className="bg-sheet" />
        </p>
      </aside>
    </div>
  );
}
