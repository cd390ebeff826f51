import type { Show } from '@even-tally/core';
import { createWords, languageOf, SPOKEN, type Language, type Words } from '@even-tally/words';
import { useMemo } from 'react';
import { createStore } from 'zustand/vanilla';
import { useStore } from 'zustand';
import { useOpenJob } from './job';

const KEY = 'even-tally/words';
const isSpoken = (text: string | null): text is (typeof SPOKEN)[number] =>
  SPOKEN.some((language) => language === text);

const remembered = (): Language | null => {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  return isSpoken(kept) ? kept : null;
};

/** What this viewer reads in; null: as the trade of the job’s profile speaks. */
const reading = createStore<{ language: Language | null }>(() => ({ language: remembered() }));

export function chooseLanguage(language: Language): void {
  localStorage.setItem(KEY, language);
  reading.setState({ language });
}

/** The language of the open job’s sheet. */
export function useLanguage(): Language {
  const chosen = useStore(reading, (s) => s.language);
  const profile = useOpenJob((s) => s.job?.profile ?? 'uk');
  return chosen ?? languageOf(profile);
}

/** Words for what the core says, lengths as they are shown. */
export function useWords(show: Show): Words & { lang: string } {
  const language = useLanguage();
  return useMemo(() => ({ ...createWords(language, show), lang: language.slice(0, 2) }), [language, show]);
}
