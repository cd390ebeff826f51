import type { CutList, Wanted } from '@even-tally/core';
import { startCutter } from './start';

export interface CutAsk {
  wanted: readonly Wanted[];
  stock: readonly number[];
}
export type CutAnswer = { kind: 'list'; cut: CutList; done: boolean } | { kind: 'going'; part: number };

/** Works a cut list out in a worker of its own, so that it can be stopped. Gives back what stops it. */
export function cutInWorker(ask: CutAsk, listen: (answer: CutAnswer) => void): () => void {
  const worker = startCutter();
  worker.onmessage = ({ data }: MessageEvent<CutAnswer>): void => {
    listen(data);
    if (data.kind === 'list' && data.done) worker.terminate();
  };
  worker.postMessage(ask);
  return () => worker.terminate();
}
