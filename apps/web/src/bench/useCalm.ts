import { useEffect, useState } from 'react';
import type { BenchView } from '@even-tally/core';
import { useJob } from '../state/job';
import { shown } from '../state/shown';

/** A hand that has not moved the wall for so long rests, ms. */
const REST = 150;

/**
 * What is shown, for the parts that are many fields: while something is dragged it changes only when the hand rests,
 * so that the drawing, which follows every frame, does not wait for them.
 */
export function useCalm(): BenchView | null {
  const { store } = useJob();
  const [calm, setCalm] = useState(() => shown.getState().view);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const follow = (): void => setCalm(shown.getState().view);
    const stop = shown.subscribe(() => {
      clearTimeout(timer);
      if (store.getState().base === null) follow();
      else timer = setTimeout(follow, REST);
    });
    follow();
    return () => {
      stop();
      clearTimeout(timer);
    };
  }, [store]);
  return calm;
}
