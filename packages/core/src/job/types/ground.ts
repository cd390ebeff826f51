import type { Stated } from './line.js';

export interface Footing {
  width: Stated;
  depth: Stated;
  past?: Stated;
  trench?: Stated;
  from?: 'bags' | 'ready-mix';
}

export interface PouredSpot {
  run: number;
  at: Stated;
  level: Stated;
  /** Shot with the simulated level, for practice. */
  simulated?: true;
}

export interface OldWall {
  height?: Stated;
  courses?: number;
  gap?: Stated;
  over?: Stated;
  wallHeight?: Stated;
  fade?: number;
}

export interface SitePoint {
  id: string;
  name: string;
  /** `ground` and `support` rule heights; a `mark` is only read. */
  is: 'ground' | 'support' | 'mark';
  level: Stated;
  /** What the staff read on it. */
  reading?: Stated;
}

export interface Site {
  datum?: string;
  clearance?: Stated;
  cover?: Stated;
  slab?: Stated;
  instrument?: Stated;
  layers?: { stated?: Stated; list: { name: string; thickness: Stated }[] };
  points?: SitePoint[];
}

/** Something taken for granted because nobody could say, kept on the job until somebody confirms it. */
export interface Assumed {
  id: string;
  says: string;
  confirmed?: string;
}
