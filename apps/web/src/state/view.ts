import type { Show, Spot } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';

/** The drawings there are: a run's face, the plan, a course from above, every run side by side. */
export type PaperKind = 'wall' | 'plan' | 'course' | 'unfolded';

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
  /** The drawing on the paper, where another than the stage's own was asked for. */
  paper: PaperKind | null;
  /** The list in the drawer; null while it is shut. */
  drawer: string | null;
  /** The line of a list that was pressed, and everything on the wall it speaks of. */
  row: { list: string; id: string; spots: readonly Spot[]; near?: true } | null;
  /** A line is being said; something is being looked for. */
  saying: boolean;
  finding: boolean;
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
  paper: null,
  drawer: null,
  row: null,
  saying: false,
  finding: false,
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
