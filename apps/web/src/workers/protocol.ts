import type { Edit, Job, JobDocument, PaperKind, RecordEntry, Show, Working } from '@even-tally/core';
import type { CardView } from './card';
import type { ViewChange } from './changes';

/** The job a planner works on: sent once, and then what is done to it. What is asked is of the job as it was told last. */
export type Told = { kind: 'job'; job: Job } | { kind: 'edit'; edit: Edit };

export type Ask =
  | { kind: 'bench'; seq: number; wall: number; run: number; show: Show }
  | { kind: 'working'; seq: number; key: string }
  | { kind: 'card'; seq: number; document: JobDocument; wall: number }
  | { kind: 'rows'; seq: number }
  | { kind: 'tape'; seq: number; wall: number; run: number; show: Show }
  | { kind: 'pole'; seq: number; wall: number; show: Show }
  | {
      kind: 'paper';
      seq: number;
      what: PaperKind;
      wall: number;
      run: number;
      show: Show;
      record: readonly RecordEntry[];
    }
  | { kind: 'svg'; seq: number; wall: number; run: number; show: Show };

export type Answer =
  | { kind: 'bench'; seq: number; change: ViewChange }
  | { kind: 'working'; seq: number; working: Working | null }
  | { kind: 'rows'; seq: number; rows: (string | number)[][] }
  | { kind: 'svg'; seq: number; svg: string }
  | { kind: 'card'; seq: number; card: CardView | null }
  | { kind: 'failed'; seq: number; says: string };
