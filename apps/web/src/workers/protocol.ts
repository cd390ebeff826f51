import type { Job, JobDocument, PaperKind, RecordEntry, Show, Working } from '@even-tally/core';
import type { CardView } from './card';
import type { ViewChange } from './changes';

export type Ask =
  | { kind: 'bench'; seq: number; job: Job; wall: number; run: number; show: Show }
  | { kind: 'working'; seq: number; job: Job; key: string }
  | { kind: 'card'; seq: number; document: JobDocument; wall: number }
  | { kind: 'rows'; seq: number; job: Job }
  | { kind: 'tape'; seq: number; job: Job; wall: number; run: number; show: Show }
  | { kind: 'pole'; seq: number; job: Job; wall: number; show: Show }
  | {
      kind: 'paper';
      seq: number;
      job: Job;
      what: PaperKind;
      wall: number;
      run: number;
      show: Show;
      record: readonly RecordEntry[];
    }
  | { kind: 'svg'; seq: number; job: Job; wall: number; run: number; show: Show };

export type Answer =
  | { kind: 'bench'; seq: number; change: ViewChange }
  | { kind: 'working'; seq: number; working: Working | null }
  | { kind: 'rows'; seq: number; rows: (string | number)[][] }
  | { kind: 'svg'; seq: number; svg: string }
  | { kind: 'card'; seq: number; card: CardView | null }
  | { kind: 'failed'; seq: number; says: string };
