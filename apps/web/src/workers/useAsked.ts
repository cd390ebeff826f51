import { useEffect, useState } from 'react';
import type { Job } from '@even-tally/core';
import type { Planner } from './planner';
import type { Question, Questions } from './protocol';

/**
 * What the planner answers of the job as it stands, asked again whenever the job or the question changes: until the new
 * answer comes the last one stands. `asks` null asks nothing.
 */
export function useAsked<Q extends Question>(
  planner: Planner,
  what: Q,
  asks: Questions[Q]['asks'] | null,
  job: Job | null,
): Questions[Q]['answers'] | null {
  const [answer, setAnswer] = useState<Questions[Q]['answers'] | null>(null);
  const key = asks === null ? null : JSON.stringify(asks);
  useEffect(() => {
    if (key === null || job === null) return;
    let wanted = true;
    planner.ask(what, JSON.parse(key) as Questions[Q]['asks'], job).then(
      (a) => wanted && setAnswer(a),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [planner, what, key, job]);
  return asks === null ? null : answer;
}
