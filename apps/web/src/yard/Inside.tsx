import type { Said } from '@even-tally/core';
import { BENCH, YARD } from '@even-tally/words';
import { LogOut } from 'lucide-react';
import { useEffect, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { enterYard, signOut } from '../state/api';
import { useSession } from '../state/session';
import { useTell } from '../state/words';
import { LanguagePick } from '../ui/LanguagePick';
import { SchemePick } from '../ui/SchemePick';
import { Mark } from '../ui/Mark';

const PAGES = [
  ['/yard', YARD.yard],
  ['/crew', YARD.crew],
  ['/account', YARD.account],
] as const;

/** A page of the yard: whose it is, the other pages, and the way out. A visitor of the demo has the yard alone. */
export function Inside({
  title,
  actions,
  says = null,
  children,
}: {
  title: string;
  actions?: ReactNode;
  /** What went wrong, in a sentence. */
  says?: Said | null;
  children: ReactNode;
}): ReactNode {
  const tell = useTell();
  const { session, setSession } = useSession();
  const navigate = useNavigate();
  useEffect(() => {
    document.title = tell(BENCH.pageTitle({ what: title }));
  }, [title, tell]);
  const demo = session?.yard?.demo ?? true;
  const leave = async (): Promise<void> => {
    await signOut().catch(() => undefined);
    if (session) setSession({ ...session, signedIn: false, yard: null, email: null, yards: [] });
    await navigate('/');
  };
  const change = async (id: string): Promise<void> => {
    const now = await enterYard(id).catch(() => null);
    if (!now || !session) return;
    setSession({ ...now, demo: session.demo });
    await navigate('/yard');
    // Everything on the page is of the other yard.
    location.reload();
  };
  return (
    <div className="min-h-full">
      <header className="on-slate flex flex-wrap items-center gap-x-5 gap-y-2 bg-slate px-5 py-4 text-white">
        <Link to="/yard" aria-label={tell(YARD.evenTallyTheYard)}>
          <Mark />
        </Link>
        {session && session.yards.length > 1 ? (
          <select
            aria-label={tell(YARD.whichYard)}
            className="min-h-7 max-w-60 border border-slate-edge bg-slate px-2"
            value={session.yard?.id}
            onChange={(e) => void change(e.currentTarget.value)}
          >
            {session.yards.map((y) => (
              <option key={y.id} value={y.id}>
                {y.name}
              </option>
            ))}
          </select>
        ) : (
          <p className="max-w-80 truncate text-mist">{session?.yard?.name}</p>
        )}
        {!demo && (
          <nav aria-label={tell(YARD.pages)} className="flex gap-1">
            {PAGES.map(([to, name]) => (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) =>
                  `min-h-7 px-3 py-1 font-semibold ${isActive ? 'bg-sheet text-ink' : 'hover:bg-slate-high'}`
                }
              >
                {tell(name)}
              </NavLink>
            ))}
          </nav>
        )}
        <LanguagePick className="ml-auto bg-slate hover:bg-slate-high" />
        <SchemePick className="bg-slate hover:bg-slate-high" />
        <button
          className="inline-flex min-h-7 items-center gap-2 px-2 hover:underline"
          onClick={() => void leave()}
        >
          <LogOut size={16} aria-hidden="true" /> {demo ? tell(YARD.leaveTheDemo) : tell(YARD.signOut)}
        </button>
      </header>
      <main className="mx-auto max-w-6xl px-5 py-6">
        <div className="mb-5 flex flex-wrap items-center gap-3">
          <h1 className="mr-auto font-narrow text-3xl font-bold">{title}</h1>
          {actions}
        </div>
        <p
          role="alert"
          className={says ? 'mb-4 border-l-4 border-fault bg-sheet p-3 font-semibold text-fault' : ''}
        >
          {says && tell(says)}
        </p>
        {children}
      </main>
    </div>
  );
}
