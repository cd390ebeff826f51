import { useEffect, useState } from 'react';
import { minutesOf } from './clock';

/** The minute it is here, looked at again as it passes. */
export function useMinute(): number {
  const [minute, setMinute] = useState(() => minutesOf(new Date()));
  useEffect(() => {
    const timer = setInterval(() => setMinute(minutesOf(new Date())), 10_000);
    return () => clearInterval(timer);
  }, []);
  return minute;
}
