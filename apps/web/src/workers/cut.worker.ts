import { cutBars } from '@even-tally/core';
import type { CutAnswer, CutAsk } from './cutter';

const answer = (message: CutAnswer): void =>
  (self as unknown as { postMessage(m: unknown): void }).postMessage(message);

/** The plain list first, so that there is something to keep; then the one that is proved. */
self.onmessage = ({ data }: MessageEvent<CutAsk>): void => {
  const { wanted, stock } = data;
  answer({ kind: 'list', cut: cutBars(wanted, stock, { going: () => false }), done: false });
  let told = 0;
  const going = (part: number): boolean => {
    if (part - told >= 0.02) answer({ kind: 'going', part: (told = part) });
    return true;
  };
  answer({ kind: 'list', cut: cutBars(wanted, stock, { going }), done: true });
};
