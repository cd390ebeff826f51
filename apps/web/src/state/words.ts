import type { Said, Show } from '@even-tally/core';
import { createWords, languageOf, type Language, type Words } from '@even-tally/words';
import { use, useMemo } from 'react';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { JobContext } from './job';
import { ofReader, reading } from './reading';
import { viewing } from './view';

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
