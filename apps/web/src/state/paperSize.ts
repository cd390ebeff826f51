import { PAPER_SIZES, type PaperSize } from '@even-tally/core';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';

const KEY = 'even-tally/paper-size';
const isSize = (text: string | null): text is PaperSize =>
  text !== null && Object.keys(PAPER_SIZES).includes(text);

const kept = (): PaperSize | null => {
  const text = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  return isSize(text) ? text : null;
};

/** What this viewer’s printer takes; null: as the measure goes. */
const sizes = createStore<{ size: PaperSize | null }>(() => ({ size: kept() }));

export const usePaperSize = (): PaperSize | null => useStore(sizes, (s) => s.size);

export function choosePaperSize(size: PaperSize | null): void {
  if (size === null) localStorage.removeItem(KEY);
  else localStorage.setItem(KEY, size);
  sizes.setState({ size });
}
