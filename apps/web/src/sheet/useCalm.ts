import { useEffect, useRef, useState } from 'react';

/** A finger that has not moved the wall for so long rests, ms: then the slip catches up. */
const REST = 150;
/** And while it never rests the slip follows so often, ms: it is many fields, and the drawing must not wait for it. */
const AT_LEAST = 2000;

/**
 * A value that, while something is being dragged, changes only when the hand rests; at once when it is let go. The
 * drawing follows every frame.
 */
export function useCalm<T>(value: T, moving: boolean): T {
  const [calm, setCalm] = useState(value);
  const since = useRef(0);
  useEffect(() => {
    if (!moving || value === calm) {
      since.current = 0;
      return undefined;
    }
    const now = performance.now();
    if (since.current === 0) since.current = now;
    const wait = Math.min(REST, Math.max(0, AT_LEAST - (now - since.current)));
    const timer = setTimeout(() => setCalm(value), wait);
    return () => clearTimeout(timer);
  }, [value, moving, calm]);
  if (!moving && calm !== value) setCalm(value);
  return moving ? calm : value;
}
