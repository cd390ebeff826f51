import type { Message, Pin, Show, Spot } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';

/** The drawings there are: a run's face, the plan, the pole large, a section, a course from above, every run side by side. */
export type PaperKind = 'wall' | 'plan' | 'pole' | 'section' | 'course' | 'unfolded' | 'mud';

/** What this viewer looks at and how: never part of the job. */
interface Viewing {
  /** Null: as the job says. */
  show: Show | null;
  course: number;
  letter: string | null;
  opening: string | null;
  /** A place along the live course, mm: the unit over it is the one that was pressed. */
  piece: number | null;
  /** A place on a run that was pressed, mm: the line of the list in the drawer that speaks of it is marked. */
  pressed: { run: number; x: number; y: number } | null;
  /** The middle of the continuous cell that was pressed, mm along the run, and its foot. */
  cell: { at: number; bottom: number } | null;
  /** The drawing on the paper, where another than the stage's own was asked for. */
  paper: PaperKind | null;
  /** A line is being drawn on the plan: this wall's, or another wall's. */
  drawing: 'line' | 'wall' | null;
  /** What went with an edit, said while the job stands as that left it. */
  gone: { says: Message; of: unknown } | null;
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
  /** The day whose mud is planned, as job files have dates; null: today. And the most that is mixed at once then, m³. */
  day: string | null;
  mostMud: number | null;
  /** Batches of a day as a hand has put them, and which day of which wall that is. */
  pins: { of: string; pins: readonly Pin[] } | null;
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
  pressed: null,
  cell: null,
  paper: null,
  drawing: null,
  gone: null,
  drawer: null,
  row: null,
  saying: false,
  finding: false,
  asList: false,
  keysOpen: false,
  recordOpen: false,
  versionsOpen: false,
  figure: null,
  day: null,
  mostMud: null,
  pins: null,
}));
export const useViewing = <T>(pick: (state: Viewing) => T): T => useStore(viewing, pick);
export const look = (change: Partial<Viewing>): void => viewing.setState(change);

export function chooseShow(show: Show): void {
  localStorage.setItem(KEY, show);
  look({ show });
}
