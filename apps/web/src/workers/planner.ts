import {
  editOf,
  type Job,
  type JobDocument,
  type PaperKind,
  type RecordEntry,
  type BenchView,
  type Show,
  type Working,
} from '@even-tally/core';
import type { CardView } from './card';
import { withChange } from './changes';
import type { Answer, Ask, Told } from './protocol';
import { startPlanner } from './start';

/** A planner in a worker. Sheets are a stream, latest wins; the rest are questions with one answer. */
export interface Planner {
  bench(job: Job, wall: number, run: number, show: Show): void;
  onBench(listen: (view: BenchView) => void, failed: (says: string) => void): void;
  working(job: Job, key: string): Promise<Working | null>;
  rows(job: Job): Promise<(string | number)[][]>;
  pole(job: Job, wall: number, show: Show): Promise<(string | number)[][]>;
  tape(job: Job, wall: number, run: number, show: Show): Promise<(string | number)[][]>;
  /** `record`: what happened on site, for the holds. */
  paper(
    job: Job,
    what: PaperKind,
    wall: number,
    run: number,
    show: Show,
    record: readonly RecordEntry[],
  ): Promise<(string | number)[][]>;
  svg(job: Job, wall: number, run: number, show: Show): Promise<string>;
  /** A wall as the yard shows it; null where the document is not sound. */
  card(document: JobDocument, wall: number): Promise<CardView | null>;
  close(): void;
}

/** Whether what is on the screen is still being worked out: said on the page itself, so that who waits need not guess. */
const behind = (is: boolean): void => {
  document.body.toggleAttribute('data-planning', is);
};

export function openPlanner(): Planner {
  const worker = startPlanner();
  let seq = 0;
  let latest = 0;
  /** The view asked for, and the question from which on the answers are of it. */
  let asked = '';
  let since = 0;
  let view: BenchView | null = null;
  let frame = 0;
  let listen: (view: BenchView) => void = () => undefined;
  let failed: (says: string) => void = () => undefined;
  const give = (): void => {
    cancelAnimationFrame(frame);
    frame = 0;
    if (view) listen(view);
  };
  const questions = new Map<number, { resolve: (a: Answer) => void; reject: (e: Error) => void }>();
  worker.onmessage = ({ data }: MessageEvent<Answer>): void => {
    if (data.kind === 'bench') {
      // Every change is taken in, even of a view that has been left: later ones build on it.
      view = withChange(view, data.change);
      if (!view || data.seq < since) return;
      // Shown even when newer has been asked meanwhile, or a wall dragged without rest would not move at all; but
      // once a frame, however fast the answers come.
      if (!view.advised) frame ||= requestAnimationFrame(give);
      else {
        give();
        if (data.seq === latest) behind(false);
      }
      return;
    }
    const one = questions.get(data.seq);
    questions.delete(data.seq);
    if (data.kind !== 'failed') one?.resolve(data);
    else if (one) one.reject(new Error(data.says));
    else {
      failed(data.says);
      behind(false);
    }
  };
  /** The job the worker has. */
  let told: Job | null = null;
  const tell = (job: Job): void => {
    if (job === told) return;
    worker.postMessage(
      (told ? { kind: 'edit', edit: editOf(told, job) } : { kind: 'job', job }) satisfies Told,
    );
    told = job;
  };
  type Question = Ask extends infer A ? (A extends { seq: number } ? Omit<A, 'seq'> : never) : never;
  const question = (job: Job | null, q: Question): Promise<Answer> =>
    new Promise((resolve, reject) => {
      if (job) tell(job);
      seq += 1;
      questions.set(seq, { resolve, reject });
      worker.postMessage({ ...q, seq });
    });
  return {
    bench(job, wall, run, show) {
      latest = seq += 1;
      const view = JSON.stringify([wall, run, show]);
      if (view !== asked) [asked, since] = [view, latest];
      behind(true);
      tell(job);
      worker.postMessage({ kind: 'bench', seq, wall, run, show } satisfies Ask);
    },
    onBench(on, off) {
      listen = on;
      failed = off;
    },
    working: async (job, key) =>
      ((await question(job, { kind: 'working', key })) as Extract<Answer, { kind: 'working' }>).working,
    rows: async (job) => ((await question(job, { kind: 'rows' })) as Extract<Answer, { kind: 'rows' }>).rows,
    pole: async (job, wall, show) =>
      ((await question(job, { kind: 'pole', wall, show })) as Extract<Answer, { kind: 'rows' }>).rows,
    tape: async (job, wall, run, show) =>
      ((await question(job, { kind: 'tape', wall, run, show })) as Extract<Answer, { kind: 'rows' }>).rows,
    paper: async (job, what, wall, run, show, record) =>
      (
        (await question(job, { kind: 'paper', what, wall, run, show, record })) as Extract<
          Answer,
          { kind: 'rows' }
        >
      ).rows,
    svg: async (job, wall, run, show) =>
      ((await question(job, { kind: 'svg', wall, run, show })) as Extract<Answer, { kind: 'svg' }>).svg,
    card: async (document, wall) =>
      ((await question(null, { kind: 'card', document, wall })) as Extract<Answer, { kind: 'card' }>).card,
    close: () => {
      cancelAnimationFrame(frame);
      worker.terminate();
    },
  };
}
