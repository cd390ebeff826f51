import type { Show } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';

/** What this viewer looks at and how: never part of the job. */
interface Viewing {
  /** Null: as the job says. */
  show: Show | null;
  course: number;
  letter: string | null;
  opening: string | null;
  /** A place along the live course, mm: the unit over it is the one that was pressed. */
  piece: number | null;
  /** The middle of the continuous cell that was pressed, mm along the run, and its foot. */
  cell: { at: number; bottom: number } | null;
  asList: boolean;
  keysOpen: boolean;
  recordOpen: boolean;
  versionsOpen: boolean;
  /** Key of the figure whose working is open. */
  figure: string | null;
}

const KEY = 'even-tally/show';
const remembered = (): Show | null => {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  return kept === 'mm' || kept === 'ft-in' ? kept : null;
};

export const viewing = createStore<Viewing>(() => ({
  show: remembered(),
  course: 1,
  letter: null,
  opening: null,
  piece: null,
  cell: null,
  asList: false,
  keysOpen: false,
  recordOpen: false,
  versionsOpen: false,
  figure: null,
}));
export const useViewing = <T>(pick: (state: Viewing) => T): T => useStore(viewing, pick);
export const look = (change: Partial<Viewing>): void => viewing.setState(change);

export function chooseShow(show: Show): void {
  localStorage.setItem(KEY, show);
  look({ show });
}
