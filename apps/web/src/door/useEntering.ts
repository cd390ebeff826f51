import type { Said } from '@even-tally/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Session } from '../state/api';
import { saidBy } from '../state/failure';
import { useSession } from '../state/session';

/** Goes into the yard by whatever way in is given, and says why not where it is refused. */
export function useEntering(): {
  enter: (how: () => Promise<Session>) => Promise<void>;
  busy: boolean;
  says: Said | null;
  setSays: (says: Said | null) => void;
} {
  const { session, setSession } = useSession();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [says, setSays] = useState<Said | null>(null);
  const enter = async (how: () => Promise<Session>): Promise<void> => {
    setBusy(true);
    setSays(null);
    try {
      setSession({ ...(await how()), demo: session?.demo ?? false });
      await navigate('/yard');
    } catch (error) {
      setSays(saidBy(error));
    } finally {
      setBusy(false);
    }
  };
  return { enter, busy, says, setSays };
}
