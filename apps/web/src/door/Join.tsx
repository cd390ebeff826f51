import { DOOR } from '@even-tally/words';
import { useEffect, useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import { joinYard, lookAtInvite, openToJoin, signIn, type Role } from '../state/api';
import { saidBy } from '../state/failure';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { Mark } from '../ui/Mark';
import { Waiting } from '../ui/Waiting';
import { ROLE_WILL } from '../yard/roles';
import { Entry, textIn } from './Entry';
import { useEntering } from './useEntering';

interface Invite {
  yard: string;
  role: Role;
}

/** Where a link to a yard leads: what it is for, and in. What it carries stands after # and is sent nowhere but in the asking. */
export function Join(): ReactNode {
  const tell = useTell();
  const { session } = useSession();
  const { enter, busy, says, setSays } = useEntering();
  const [invite] = useState(() => location.hash.slice(1));
  const [found, setFound] = useState<Invite | null>(null);
  const [fresh, setFresh] = useState(true);
  useEffect(() => {
    document.title = tell(DOOR.joinAYardEven);
    lookAtInvite(invite).then(setFound, (error: Error) => setSays(saidBy(error)));
  }, [invite, setSays, tell]);
  const submit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const text = textIn(event.currentTarget);
    void enter(async () => {
      if (fresh) return openToJoin(text('email'), text('password'), invite);
      await signIn(text('email'), text('password'));
      return joinYard(invite);
    });
  };
  if (!session || (!found && says === null)) return <Waiting what={tell(DOOR.openingTheLink)} />;
  const own = session.signedIn && session.email !== null;
  return (
    <main className="mx-auto max-w-md p-8">
      <Mark />
      <h1 className="mt-8 font-narrow text-3xl font-bold break-words">
        {found ? tell(DOOR.joinYard({ yard: found.yard })) : tell(DOOR.thisLinkOpensNothing)}
      </h1>
      {found && <p className="mt-2">{tell(DOOR.youWill({ what: ROLE_WILL[found.role] }))}</p>}
      {found && own && (
        <p className="mt-6">
          <button className="press" disabled={busy} onClick={() => void enter(() => joinYard(invite))}>
            {tell(DOOR.joinAs({ who: session.email ?? '' }))}
          </button>
        </p>
      )}
      {found && !own && (
        <form className="mt-6 space-y-4" onSubmit={submit}>
          <Entry label={tell(DOOR.email)} name="email" type="email" autoComplete="email" />
          <Entry
            label={fresh ? tell(DOOR.passwordAtLeast12) : tell(DOOR.password)}
            name="password"
            type="password"
            autoComplete={fresh ? 'new-password' : 'current-password'}
            {...(fresh ? { minLength: 12 } : {})}
          />
          <p className="flex flex-wrap gap-3">
            <button className="press" disabled={busy}>
              {fresh ? tell(DOOR.openAnAccountAnd) : tell(DOOR.signInAndJoin)}
            </button>
            <button type="button" className="press-plain" onClick={() => setFresh(!fresh)}>
              {fresh ? tell(DOOR.haveAccount) : tell(DOOR.haveNone)}
            </button>
          </p>
        </form>
      )}
      <p role="alert" className="mt-4 font-semibold text-fault">
        {says && tell(says)}
      </p>
      {!found && (
        <p className="mt-4">
          <Link className="font-semibold text-chalk underline underline-offset-2" to="/">
            {tell(DOOR.toTheDoor)}
          </Link>
        </p>
      )}
    </main>
  );
}
