import { format, formatDistanceToNow } from 'date-fns';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Navigate } from 'react-router';
import {
  listInvites,
  listMembers,
  makeInvite,
  removeMember,
  ROLES,
  setRole,
  takeInviteBack,
  type InviteLine,
  type Member,
  type Role,
} from '../state/api';
import { useSession } from '../state/session';
import { Confirm } from '../ui/Confirm';
import { Inside } from './Inside';
import { ROLE_NAMES, ROLE_SAYS } from './roles';

function RolePick({
  label,
  value,
  most,
  onChange,
}: {
  label: string;
  value: Role;
  most: Role;
  onChange: (role: Role) => void;
}): ReactNode {
  return (
    <select
      aria-label={label}
      className="entry w-auto font-sans"
      value={value}
      onChange={(e) => onChange(e.currentTarget.value as Role)}
    >
      {ROLES.filter((r) => ROLES.indexOf(r) <= ROLES.indexOf(most)).map((r) => (
        <option key={r} value={r}>
          {ROLE_NAMES[r]}
        </option>
      ))}
    </select>
  );
}

/** Who is in the yard and what each may do; and links by which others come in. */
export function Crew(): ReactNode {
  const { session } = useSession();
  const own = session?.yard?.role ?? 'reads';
  const owns = own === 'owns';
  const asks = owns || own === 'plans';
  const [members, setMembers] = useState<Member[]>([]);
  const [invites, setInvites] = useState<InviteLine[]>([]);
  const [says, setSays] = useState<string | null>(null);
  const [leaving, setLeaving] = useState<Member | null>(null);
  const show = useCallback((error: Error): void => setSays(error.message), []);
  const read = useCallback((): void => {
    listMembers().then(setMembers, show);
    if (asks) listInvites().then(setInvites, show);
  }, [asks, show]);
  useEffect(read, [read]);
  const does = (what: Promise<unknown>): void => {
    setSays(null);
    void what.catch(show).then(read);
  };
  if (session?.yard?.demo) return <Navigate to="/yard" replace />;
  return (
    <Inside title="Crew" says={says}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {['Who', 'Since', 'May', ''].map((head) => (
              <th
                key={head}
                scope="col"
                className={`py-2 pr-4 font-bold ${head === 'Since' ? 'hidden sm:table-cell' : ''}`}
              >
                {head || <span className="sr-only">Put out</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {members.map((m) => (
            <tr key={m.account} className="border-b border-rule align-middle">
              <th scope="row" className="py-2 pr-4 font-semibold break-all">
                {m.email}
                {m.you && <span className="font-normal text-soft"> (you)</span>}
              </th>
              <td className="hidden py-2 pr-4 whitespace-nowrap sm:table-cell">
                {format(new Date(m.since), 'd MMM yyyy')}
              </td>
              <td className="py-2 pr-4">
                {owns ? (
                  <RolePick
                    label={`What ${m.email} may do`}
                    value={m.role}
                    most="owns"
                    onChange={(role) => does(setRole(m.account, role))}
                  />
                ) : (
                  ROLE_NAMES[m.role]
                )}
              </td>
              <td className="py-2 text-right">
                {(owns || m.you) && (
                  <button className="min-h-7 px-2 text-soft hover:text-fault" onClick={() => setLeaving(m)}>
                    {m.you ? 'Leave' : 'Put out'}
                  </button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="mt-4 grid max-w-2xl grid-cols-[auto_1fr] gap-x-4 text-small text-soft">
        {ROLES.map((r) => (
          <div key={r} className="contents">
            <dt className="font-semibold">{ROLE_NAMES[r]}</dt>
            <dd>one who {ROLE_SAYS[r]}</dd>
          </div>
        ))}
      </dl>
      {asks && <Invites most={own} invites={invites} does={does} />}
      <Confirm
        open={leaving !== null}
        title={leaving?.you ? 'Leave the yard?' : `Put ${leaving?.email ?? ''} out?`}
        says="They are out at once, on every device. What they signed stays on record; a new link lets them in again."
        yes={leaving?.you ? 'Leave' : 'Put out'}
        onYes={() => {
          const gone = leaving;
          setLeaving(null);
          if (!gone) return;
          does(removeMember(gone.account).then(() => gone.you && location.assign('/')));
        }}
        onNo={() => setLeaving(null)}
      />
    </Inside>
  );
}

function Invites({
  most,
  invites,
  does,
}: {
  most: Role;
  invites: readonly InviteLine[];
  does: (what: Promise<unknown>) => void;
}): ReactNode {
  const [role, setRoleOf] = useState<Role>('logs');
  const [link, setLink] = useState<string | null>(null);
  const make = (): void =>
    does(makeInvite(role).then(({ invite }) => setLink(`${location.origin}/join#${invite}`)));
  return (
    <section aria-label="Ask somebody in" className="mt-8">
      <h2 className="heading border-b-2 border-ink pb-1">Ask somebody in</h2>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <RolePick label="As one who" value={role} most={most} onChange={setRoleOf} />
        <button className="press" onClick={make}>
          Make a link
        </button>
        <span className="text-small text-soft">
          Whoever has it joins with it, once, within three days. Send it to one person.
        </span>
      </p>
      {link && (
        <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-live bg-sheet p-3">
          <input
            readOnly
            aria-label="The link"
            className="entry min-w-0 flex-1 font-sans"
            value={link}
            onFocus={(e) => e.currentTarget.select()}
          />
          <button className="press-plain" onClick={() => void navigator.clipboard?.writeText(link)}>
            Copy it
          </button>
          <span className="w-full text-small text-soft">
            It is shown this once and kept nowhere: copy it before you go.
          </span>
        </p>
      )}
      {invites.length > 0 && (
        <ul className="mt-4">
          {invites.map((i) => (
            <li key={i.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
              <span className="font-semibold">{ROLE_NAMES[i.role]}</span>
              <span className="text-small text-soft">
                by {i.by ?? 'somebody who has left'}, runs out in {formatDistanceToNow(new Date(i.expires))}
              </span>
              <button
                className="ml-auto min-h-7 px-2 text-soft hover:text-fault"
                onClick={() => does(takeInviteBack(i.id))}
              >
                Take it back
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
