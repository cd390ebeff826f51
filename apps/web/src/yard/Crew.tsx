import type { Said } from '@even-tally/core';
import { YARD } from '@even-tally/words';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Navigate } from 'react-router';
import {
  listInvites,
  listMembers,
  removeMember,
  ROLES,
  setRole,
  type InviteLine,
  type Member,
} from '../state/api';
import { useDates } from '../state/dates';
import { saidBy } from '../state/failure';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { Confirm } from '../ui/Confirm';
import { Inside } from './Inside';
import { ROLE_NAMES, ROLE_SAYS } from './roles';
import { RolePick } from './RolePick';
import { Invites } from './Invites';

/** Who is in the yard and what each may do; and links by which others come in. */
export function Crew(): ReactNode {
  const tell = useTell();
  const { session } = useSession();
  const own = session?.yard?.role ?? 'reads';
  const owns = own === 'owns';
  const asks = owns || own === 'plans';
  const dates = useDates();
  const [members, setMembers] = useState<Member[]>([]);
  const [invites, setInvites] = useState<InviteLine[]>([]);
  const [says, setSays] = useState<Said | null>(null);
  const [leaving, setLeaving] = useState<Member | null>(null);
  const show = useCallback((error: Error): void => setSays(saidBy(error)), []);
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
    <Inside title={tell(YARD.crew)} says={says}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            {[tell(YARD.who), tell(YARD.since), tell(YARD.may), ''].map((head) => (
              <th
                key={head}
                scope="col"
                className={`py-2 pr-4 font-bold ${head === tell(YARD.since) ? 'hidden sm:table-cell' : ''}`}
              >
                {head || <span className="sr-only">{tell(YARD.putOut)}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {members.map((m) => (
            <tr key={m.account} className="border-b border-rule align-middle">
              <th scope="row" className="py-2 pr-4 font-semibold break-all">
                {m.email}
                {m.you && <span className="font-normal text-soft"> {tell(YARD.you)}</span>}
              </th>
              <td className="hidden py-2 pr-4 whitespace-nowrap sm:table-cell">{dates.day(m.since)}</td>
              <td className="py-2 pr-4">
                {owns ? (
                  <RolePick
                    label={tell(YARD.whatOneMay({ who: m.email ?? '' }))}
                    value={m.role}
                    most="owns"
                    onChange={(role) => does(setRole(m.account, role))}
                  />
                ) : (
                  tell(ROLE_NAMES[m.role])
                )}
              </td>
              <td className="py-2 text-right">
                {(owns || m.you) && (
                  <button className="min-h-7 px-2 text-soft hover:text-fault" onClick={() => setLeaving(m)}>
                    {m.you ? tell(YARD.leave) : tell(YARD.putOut)}
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
            <dt className="font-semibold">{tell(ROLE_NAMES[r])}</dt>
            <dd>{tell(YARD.oneWho({ does: ROLE_SAYS[r] }))}</dd>
          </div>
        ))}
      </dl>
      {asks && <Invites most={own} invites={invites} does={does} />}
      <Confirm
        open={leaving !== null}
        title={leaving?.you ? tell(YARD.leaveTheYard) : tell(YARD.putOneOut({ who: leaving?.email ?? '' }))}
        says={tell(YARD.theyAreOutAt)}
        yes={leaving?.you ? tell(YARD.leave) : tell(YARD.putOut)}
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
