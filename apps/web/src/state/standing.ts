import { createContext, use } from 'react';
import type { Standing } from './api';

interface Held {
  standing: Standing | null;
  setStanding: (standing: Standing) => void;
}

export const StandingContext = createContext<Held>({ standing: null, setStanding: () => undefined });
export const useStanding = (): Held => use(StandingContext);
