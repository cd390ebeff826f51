import { batchClocks, Folded, learnedFrom, type BatchClock, type Job, type Learned } from '@even-tally/core';
import { useEffect, useMemo, useState } from 'react';
import { useRecord } from '../../state/record';
import { trueNow } from '../../state/serverClock';

/** A batch that has ended or died so long ago is not on the boards any more, ms. */
const GONE = 12 * 3_600_000;

/** The batches of the last half day, what those of a mix have taught, and the moment it is: both by what is on record, so that they are the same on every screen. */
export function useClocks(job: Job, mix: string): { clocks: BatchClock[]; learned: Learned; now: number } {
  const entries = useRecord((s) => s.entries);
  const standing = useMemo(() => new Folded(entries).entries(), [entries]);
  const all = useMemo(() => batchClocks(job, standing), [job, standing]);
  const [now, setNow] = useState(trueNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(trueNow()), 1000);
    return () => clearInterval(timer);
  }, []);
  const clocks = all.filter((c) => now - (c.ended?.at ?? c.mixed) < GONE);
  const learned = useMemo(() => learnedFrom(all, standing, mix), [all, standing, mix]);
  return { clocks, learned, now };
}
