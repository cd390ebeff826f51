import { useSyncExternalStore } from 'react';

/** Whether the screen is narrower than so many px, followed as it is turned or pulled. */
export function useNarrow(than: number): boolean {
  const query = `(max-width: ${than - 1}px)`;
  return useSyncExternalStore(
    (changed) => {
      const media = globalThis.matchMedia?.(query);
      media?.addEventListener('change', changed);
      return () => media?.removeEventListener('change', changed);
    },
    () => globalThis.matchMedia?.(query).matches ?? false,
    () => false,
  );
}
