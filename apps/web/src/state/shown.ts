import type { BenchView, Said } from '@even-tally/core';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';

/** What the planner gave last for the sheet that is open, and why it gave nothing newer. */
interface Shown {
  view: BenchView | null;
  failure: Said | null;
}

const NOTHING: Shown = { view: null, failure: null };

export const shown = createStore<Shown>(() => NOTHING);
export const useShown = <T>(pick: (state: Shown) => T): T => useStore(shown, pick);

export function show(view: BenchView): void {
  // Until they have been weighed again, the choices shown are those before.
  const was = shown.getState().view;
  const kept =
    was && !view.weighed && was.wall.id === view.wall.id ? { ...view, choices: was.choices } : view;
  shown.setState({ view: kept, failure: null });
}
export const stumble = (failure: Said): void => shown.setState({ failure });
export const clear = (): void => shown.setState(NOTHING, true);
