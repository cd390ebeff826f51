import { SCHEMES, type Ink } from '@even-tally/core';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

const KEY = 'even-tally/scheme';
/** What the screen is looked at in: the kitchen by day, by night, and the scaffold in the sun. */
export const SCREEN_SCHEMES = ['day', 'night', 'sun'] as const;
export type ScreenScheme = (typeof SCREEN_SCHEMES)[number];

const isScheme = (text: string | null): text is ScreenScheme => SCREEN_SCHEMES.some((s) => s === text);

/** As chosen before, else as the device says it is used. */
function remembered(): ScreenScheme {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  if (isScheme(kept)) return kept;
  if (typeof matchMedia === 'undefined') return 'day';
  if (matchMedia('(prefers-contrast: more)').matches) return 'sun';
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day';
}

const scheme = createStore<{ scheme: ScreenScheme }>(() => ({ scheme: remembered() }));

/** The page’s own colours follow from this; those of drawings from `useInks`. */
function show(): void {
  if (typeof document !== 'undefined') document.documentElement.dataset.scheme = scheme.getState().scheme;
}
show();
scheme.subscribe(show);

export function chooseScheme(to: ScreenScheme): void {
  localStorage.setItem(KEY, to);
  scheme.setState({ scheme: to });
}

export const useScheme = (): ScreenScheme => useStore(scheme, (s) => s.scheme);

/** The inks of the scheme that is on. */
export const useInks = (): Record<Ink, string> => SCHEMES[useScheme()];
