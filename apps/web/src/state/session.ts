import { createContext, use } from 'react';
import type { Session } from './api';

interface Held {
  session: Session | null;
  setSession: (session: Session) => void;
}

export const SessionContext = createContext<Held>({ session: null, setSession: () => undefined });
export const useSession = (): Held => use(SessionContext);
