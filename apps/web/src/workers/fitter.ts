import type { Job, LayView, Wall } from '@even-tally/core';
import { startFitter } from './start';

export interface FitQuestion {
  job: Job;
  wall: number;
  fit: NonNullable<Wall['fit']>;
  seed: number;
}
export type FitAnswer =
  | {
      kind: 'lay';
      view: LayView;
      order: NonNullable<NonNullable<Wall['fit']>['order']>;
      done: boolean;
      part: number;
    }
  | { kind: 'going'; part: number };

/** Lays measured stones in a worker of its own, so that it can be stopped with the best so far. Gives back what stops it. */
export function fitInWorker(ask: FitQuestion, listen: (answer: FitAnswer) => void): () => void {
  const worker = startFitter();
  worker.onmessage = ({ data }: MessageEvent<FitAnswer>): void => {
    listen(data);
    if (data.kind === 'lay' && data.done) worker.terminate();
  };
  worker.postMessage(ask);
  return () => worker.terminate();
}
