import { YARD } from '@even-tally/words';
import { useState, type ReactNode } from 'react';
import { makeInvite, takeInviteBack, type InviteLine, type Role } from '../state/api';
import { useDates } from '../state/dates';
import { useTell } from '../state/words';
import { ROLE_NAMES } from './roles';
import { RolePick } from './RolePick';

export function Invites({
  most,
  invites,
  does,
}: {
  most: Role;
  invites: readonly InviteLine[];
  does: (what: Promise<unknown>) => void;
}): ReactNode {
  const tell = useTell();
  const dates = useDates();
  const [role, setRoleOf] = useState<Role>('logs');
  const [link, setLink] = useState<string | null>(null);
  const make = (): void =>
    does(makeInvite(role).then(({ invite }) => setLink(`${location.origin}/join#${invite}`)));
  return (
    <section aria-label={tell(YARD.askSomebodyIn)} className="mt-8">
      <h2 className="heading border-b-2 border-ink pb-1">{tell(YARD.askSomebodyIn)}</h2>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <RolePick label={tell(YARD.asOneWho)} value={role} most={most} onChange={setRoleOf} />
        <button className="press" onClick={make}>
          {tell(YARD.makeALink)}
        </button>
        <span className="text-small text-soft">{tell(YARD.whoeverHasItJoins)}</span>
      </p>
      {link && (
        <p className="mt-3 flex flex-wrap items-center gap-3 border-l-4 border-live bg-sheet p-3">
          <input
            readOnly
            aria-label={tell(YARD.theLink)}
            className="entry min-w-0 flex-1 font-sans"
            value={link}
            onFocus={(e) => e.currentTarget.select()}
          />
          <button className="press-plain" onClick={() => void navigator.clipboard?.writeText(link)}>
            {tell(YARD.copyIt)}
          </button>
          <span className="w-full text-small text-soft">{tell(YARD.itIsShownThis)}</span>
        </p>
      )}
      {invites.length > 0 && (
        <ul className="mt-4">
          {invites.map((i) => (
            <li key={i.id} className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-1">
              <span className="font-semibold">{tell(ROLE_NAMES[i.role])}</span>
              <span className="text-small text-soft">
                {tell(YARD.inviteLine({ by: i.by ?? YARD.somebodyGone, when: dates.since(i.expires) }))}
              </span>
              <button
                className="ml-auto min-h-7 px-2 text-soft hover:text-fault"
                onClick={() => does(takeInviteBack(i.id))}
              >
                {tell(YARD.takeItBack)}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
