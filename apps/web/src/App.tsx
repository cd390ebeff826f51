import type { Said } from '@even-tally/core';
import { UI } from '@even-tally/words';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { Door } from './door/Door';
import { readSession, type Session } from './state/api';
import { saidBy } from './state/failure';
import { SessionContext, useSession } from './state/session';
import { Stumble } from './ui/Stumble';
import { Waiting } from './ui/Waiting';

const Yard = lazy(() => import('./yard/Yard').then((m) => ({ default: m.Yard })));
const Begin = lazy(() => import('./yard/Begin').then((m) => ({ default: m.Begin })));
const Crew = lazy(() => import('./yard/Crew').then((m) => ({ default: m.Crew })));
const Account = lazy(() => import('./yard/Account').then((m) => ({ default: m.Account })));
const Join = lazy(() => import('./door/Join').then((m) => ({ default: m.Join })));
const Bench = lazy(() => import('./bench/Bench').then((m) => ({ default: m.Bench })));

/** Pages of a yard, for those who are in one. */
function Inside(): ReactNode {
  const { session } = useSession();
  if (!session) return <Waiting what={UI.openingTheYard} />;
  if (!session.signedIn) return <Navigate to="/" replace />;
  return (
    <Suspense fallback={<Waiting what={UI.fetching} />}>
      <Outlet />
    </Suspense>
  );
}

const router = createBrowserRouter([
  { path: '/', element: <Door />, errorElement: <Stumble /> },
  {
    path: '/join',
    element: (
      <Suspense fallback={<Waiting what={UI.openingTheLink} />}>
        <Join />
      </Suspense>
    ),
    errorElement: <Stumble />,
  },
  {
    element: <Inside />,
    errorElement: <Stumble />,
    children: [
      { path: '/yard', element: <Yard /> },
      { path: '/yard/new', element: <Begin /> },
      { path: '/crew', element: <Crew /> },
      { path: '/account', element: <Account /> },
      { path: '/jobs/:jobId/:wallId/:run/:stage', element: <Bench /> },
    ],
  },
  { path: '*', element: <Stumble missing /> },
]);

export function App(): ReactNode {
  const [session, setSession] = useState<Session | null>(null);
  const [failed, setFailed] = useState<Said | null>(null);
  useEffect(() => {
    readSession().then(setSession, (error: Error) => setFailed(saidBy(error)));
  }, []);
  if (failed !== null) return <Stumble says={failed} />;
  return (
    <SessionContext value={{ session, setSession }}>
      <RouterProvider router={router} />
    </SessionContext>
  );
}
