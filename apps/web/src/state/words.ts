import type { Said, Show } from '@even-tally/core';
import { createWords, languageOf, LANGUAGES, type Language, type Words } from '@even-tally/words';
import { use, useMemo } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { JobContext } from './job';
import { viewing } from './view';

const KEY = 'even-tally/words';
const isLanguage = (text: string | null): text is Language => LANGUAGES.some((language) => language === text);

const remembered = (): Language | null => {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  return isLanguage(kept) ? kept : null;
};

/** What this viewer reads in; null: as the trade of the job’s profile speaks. */
const reading = createStore<{ language: Language | null }>(() => ({ language: remembered() }));

export function chooseLanguage(language: Language): void {
  localStorage.setItem(KEY, language);
  reading.setState({ language });
}

/** Before any job says whose trade it is: as the browser’s own reader has it. */
const ofReader = (): Language => {
  const asked = typeof navigator === 'undefined' ? '' : navigator.language;
  return asked.startsWith('es') ? 'es' : asked === 'en-US' ? 'en-us' : 'en-uk';
};

const NO_JOB = createStore<{ job: null }>(() => ({ job: null }));
interface Profiled {
  job: { profile?: string; show?: Show } | null;
}

/** What is known of the job this page is about, if it is about one. */
function useTrade(): { profile: string | null; show: Show } {
  const open = use(JobContext);
  const store = (open?.store ?? NO_JOB) as typeof NO_JOB;
  const profile = useStore(store, (s: Profiled) => (s.job ? (s.job.profile ?? 'uk') : null));
  const asked = useStore(store, (s: Profiled) => s.job?.show ?? 'ft-in');
  const chosen = useStore(viewing, (s) => s.show);
  return { profile, show: chosen ?? asked };
}

/** The language of this page. */
export function useLanguage(): Language {
  const chosen = useStore(reading, (s) => s.language);
  const { profile } = useTrade();
  return chosen ?? (profile === null ? ofReader() : languageOf(profile));
}

/** Words for what the core says, lengths as they are shown. */
export function useWords(show: Show): Words & { lang: string } {
  const language = useLanguage();
  return useMemo(() => ({ ...createWords(language, show), lang: language.slice(0, 2) }), [language, show]);
}

/** How lengths are shown on this page. */
export const useShow = (): Show => useTrade().show;

/** Words for what this page says itself. */
export const useTell = (): ((said: Said) => string) => useWords(useShow()).say;
