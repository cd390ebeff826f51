import { fitAsk, fitted, filedOrder, layView, fitOrder, setOutWall, STEPS } from '@even-tally/core';
import type { FitAnswer, FitQuestion } from './fitter';

const answer = (message: FitAnswer): void =>
  (self as unknown as { postMessage(m: unknown): void }).postMessage(message);

/** What is laid without looking ahead first, so that there is something to keep; then each better one, to the last step. */
self.onmessage = ({ data }: MessageEvent<FitQuestion>): void => {
  const { job, wall, fit, seed } = data;
  const ask = fitAsk(job, setOutWall(job, wall), fit);
  if (!ask) return;
  const start = fit.order ? fitOrder(ask, fit.order) : undefined;
  const steps = fitted(ask, { seed, ...(start ? { start } : {}), pins: fit.pins ?? [] });
  let done = 0;
  for (;;) {
    const step = steps.next();
    const best = step.value;
    if (best) {
      const view = layView(ask, best.lay);
      answer({
        kind: 'lay',
        view,
        order: filedOrder(best.order),
        done: step.done === true,
        part: done / STEPS,
      });
    } else if (done % 1000 === 0) answer({ kind: 'going', part: done / STEPS });
    if (step.done) return;
    done += 100;
  }
};
