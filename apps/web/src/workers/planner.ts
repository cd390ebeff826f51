import { editOf, type BenchView, type Job, type Show, type Said } from '@even-tally/core';
import { Failure } from '../state/failure';
import { withChange } from './changes';
import type { Answer, Ask, Question, Questions, Told } from './protocol';
import { startPlanner } from './start';

/** A planner in a worker. Sheets are a stream, latest wins; the rest are questions with one answer. */
export interface Planner {
  bench(job: Job, wall: number, run: number, show: Show): void;
  onBench(listen: (view: BenchView) => void, failed: (says: Said) => void): void;
  /** `job`: what is asked about, where it is about one; `part` is told now and then how much is done, 0 to 1. */
  ask<Q extends Question>(
    what: Q,
    asks: Questions[Q]['asks'],
    job?: Job | null,
    part?: (done: number) => void,
  ): Promise<Questions[Q]['answers']>;
  close(): void;
}

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
  let failed: (says: Said) => void = () => undefined;
  const give = (): void => {
    cancelAnimationFrame(frame);
    frame = 0;
    if (view) listen(view);
  };
  /** What was asked for after the last plan has been drawn with its advice. */
  let drawing = false;
  const questions = new Map<
    number,
    { resolve: (answers: unknown) => void; reject: (e: Error) => void; part?: (done: number) => void }
  >();
  /**
   * Whether what is on the screen is still being worked out: said on the page itself, so that who waits need not guess.
   * A question whose parts are told is long, and shows for itself how far it is.
   */
  const behind = (is = drawing): void => {
    drawing = is;
    const asking = [...questions.values()].some((q) => !q.part);
    document.body.toggleAttribute('data-planning', drawing || asking);
  };
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
    if (data.kind === 'part') return one?.part?.(data.part);
    questions.delete(data.seq);
    behind();
    if (data.kind === 'answer') one?.resolve(data.answers);
    else if (one) one.reject(new Failure(data.says));
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
    ask: <Q extends Question>(
      what: Q,
      asks: Questions[Q]['asks'],
      job: Job | null = null,
      part?: (done: number) => void,
    ) =>
      new Promise<Questions[Q]['answers']>((resolve, reject) => {
        if (job) tell(job);
        seq += 1;
        questions.set(seq, {
          resolve: (answers) => resolve(answers as Questions[Q]['answers']),
          reject,
          ...(part ? { part } : {}),
        });
        behind();
        worker.postMessage({ kind: what, seq, asks });
      }),
    close: () => {
      cancelAnimationFrame(frame);
      worker.terminate();
      questions.clear();
      behind(false);
    },
  };
}
