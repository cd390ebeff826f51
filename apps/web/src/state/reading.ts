import { LANGUAGES, learn, type Language } from '@even-tally/words';
import { createStore } from 'zustand/vanilla';

const KEY = 'even-tally/words';
const isLanguage = (text: string | null): text is Language => LANGUAGES.some((language) => language === text);

const remembered = (): Language | null => {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(KEY);
  return isLanguage(kept) ? kept : null;
};

/** What this viewer reads in; null: as the trade of the job’s profile speaks. */
export const reading = createStore<{ language: Language | null }>(() => ({ language: remembered() }));

export function chooseLanguage(language: Language): void {
  const speak = (): void => {
    localStorage.setItem(KEY, language);
    reading.setState({ language });
  };
  const coming = learn(language);
  // Without the net it stays as it was.
  if (coming) void coming.then(speak, () => undefined);
  else speak();
}

/** Before any job says whose trade it is: as the browser’s own reader has it. */
export const ofReader = (): Language => {
  const asked = typeof navigator === 'undefined' ? '' : navigator.language;
  return asked.startsWith('es') ? 'es' : asked === 'en-US' ? 'en-us' : 'en-uk';
};

/** What is asked of the server in. */
export const asked = (): string => {
  const language = reading.getState().language ?? ofReader();
  return { 'en-uk': 'en-GB', 'en-us': 'en-US', es: 'es', pseudo: 'en-GB' }[language];
};

/** The texts this page begins in, before anything is said; in English where they do not come. */
export const begin = (): Promise<void> =>
  (learn(reading.getState().language ?? ofReader()) ?? Promise.resolve()).catch(() =>
    reading.setState({ language: 'en-us' }),
  );
