import type {
  CourseAbove,
  Edit,
  Job,
  JobDocument,
  MudDayView,
  MudView,
  PaperSize,
  RecordEntry,
  Said,
  Section,
  SetOutPlan,
  Show,
  Unfolded,
  WallDayAsk,
  WallDays,
  Working,
  WorkList,
} from '@even-tally/core';
import type { ExportLine } from '@even-tally/exports';
import type { Language } from '@even-tally/words';
import type { CardView } from './card';
import type { ViewChange } from './changes';

/** The job a planner works on: sent once, and then what is done to it. What is asked is of the job as it was told last. */
export type Told = { kind: 'job'; job: Job } | { kind: 'edit'; edit: Edit };

/** Every question with one answer: what it asks and what it answers. The planner's side and the asker's follow from it. */
export interface Questions {
  working: { asks: { key: string }; answers: Working | null };
  /** A course round the whole wall, seen from above; `px` is millimetres to a pixel. */
  course: { asks: { wall: number; course: number; show: Show; px: number }; answers: CourseAbove };
  /** Every run of a wall side by side. */
  unfolded: { asks: { wall: number; show: Show }; answers: Unfolded };
  /** A wall as it is set out, with what of it can be taken hold of. */
  setOut: { asks: { wall: number; show: Show }; answers: SetOutPlan };
  /** What a wall is laid in: its mixes and their batches. */
  mud: { asks: { wall: number }; answers: MudView };
  /** A day of a wall: its courses, and the batches that serve them. */
  mudDay: { asks: WallDayAsk & { wall: number }; answers: MudDayView | null };
  /** A wall’s mud day by day, until it is up. */
  mudDays: { asks: WallDayAsk & { wall: number }; answers: WallDays };
  /** A run cut through; `at` null where it shows most. */
  section: { asks: { wall: number; run: number; show: Show; at: number | null }; answers: Section };
  /** What a wall comes to, line by line. */
  lists: { asks: { wall: number; record: readonly RecordEntry[] }; answers: WorkList[] };
  /** One of them as the text of a spreadsheet. */
  listCsv: {
    asks: { wall: number; record: readonly RecordEntry[]; kind: string; words: Language; show: Show };
    answers: string;
  };
  /** A wall as the yard shows it; null where the document is not sound. */
  card: { asks: { document: JobDocument; wall: number }; answers: CardView | null };
  /** What there is to take away. */
  exports: { asks: null; answers: ExportLine[] };
  /** One of them, as the text of its file. */
  export: {
    asks: {
      kind: string;
      wall: number | null;
      run: number | null;
      show: Show;
      words: Language;
      record: readonly RecordEntry[];
      paper?: PaperSize | null;
    };
    answers: string;
  };
}
export type Question = keyof Questions;

/** A view of a run, for the stream of views: latest wins. */
export type BenchAsk = { kind: 'bench'; seq: number; wall: number; run: number; show: Show };

export type Ask =
  BenchAsk | { [Q in Question]: { kind: Q; seq: number; asks: Questions[Q]['asks'] } }[Question];

export type Answer =
  | { kind: 'bench'; seq: number; change: ViewChange }
  /** How much of a long one is done, 0 to 1. */
  | { kind: 'part'; seq: number; part: number }
  | { kind: 'answer'; seq: number; answers: Questions[Question]['answers'] }
  | { kind: 'failed'; seq: number; says: Said };
