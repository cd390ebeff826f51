import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { createBrowserRouter, Navigate, Outlet, RouterProvider } from 'react-router';
import { Door } from './door/Door';
import { readStanding, type Standing } from './state/api';
import { StandingContext, useStanding } from './state/standing';
import { Waiting } from './ui/Waiting';
import { Stumble } from './ui/Stumble';

const Yard = lazy(() => import('./yard/Yard').then((m) => ({ default: m.Yard })));
const Sheet = lazy(() => import('./sheet/Sheet').then((m) => ({ default: m.Sheet })));

/** Pages of a yard, for those who are in one. */
function Inside(): ReactNode {
  const { standing } = useStanding();
  if (!standing) return <Waiting what="Opening the yard" />;
  if (!standing.signedIn) return <Navigate to="/" replace />;
  return (
    <Suspense fallback={<Waiting what="Fetching" />}>
      <Outlet />
    </Suspense>
  );
}

const router = createBrowserRouter([
  { path: '/', element: <Door />, errorElement: <Stumble /> },
  {
    element: <Inside />,
    errorElement: <Stumble />,
    children: [
      { path: '/yard', element: <Yard /> },
      { path: '/jobs/:jobId/:wallId/:run/:stage', element: <Sheet /> },
    ],
  },
  { path: '*', element: <Stumble missing /> },
]);

export function App(): ReactNode {
  const [standing, setStanding] = useState<Standing | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    readStanding().then(setStanding, (error: Error) => setFailed(error.message));
  }, []);
  if (failed !== null) return <Stumble says={failed} />;
  return (
    <StandingContext value={{ standing, setStanding }}>
      <RouterProvider router={router} />
    </StandingContext>
  );
}
