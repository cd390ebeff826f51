import { useEffect, useRef, useState } from 'react';

/** How often the slip follows while a finger drags, ms: it is many fields, and the drawing must not wait for it. The drawing follows every frame. */
const EVERY = 700;

/** A value that changes only every so often while something is being dragged, and at once when it is let go. */
export function useCalm<T>(value: T, moving: boolean): T {
  const [calm, setCalm] = useState(value);
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  });
  useEffect(() => {
    if (!moving) return undefined;
    const timer = setInterval(() => setCalm(latest.current), EVERY);
    return () => clearInterval(timer);
  }, [moving]);
  if (!moving && calm !== value) setCalm(value);
  return moving ? calm : value;
}
