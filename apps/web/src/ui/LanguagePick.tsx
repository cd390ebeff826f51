import { LANGUAGE_NAMES, SPOKEN, type Language, BENCH } from '@even-tally/words';
import { useEffect, type ReactNode } from 'react';
import { chooseLanguage } from '../state/reading';
import { useLanguage, useTell } from '../state/words';

/** What everything is read in: the trade of the job’s profile, or the browser’s own language, until somebody chooses. */
export function LanguagePick({ className = '' }: { className?: string }): ReactNode {
  const tell = useTell();
  const language = useLanguage();
  useEffect(() => {
    document.documentElement.lang = language.slice(0, 2);
  }, [language]);
  return (
    <select
      aria-label={tell(BENCH.words)}
      title={tell(BENCH.whatTheWallSays)}
      value={language}
      onChange={(e) => chooseLanguage(e.currentTarget.value as Language)}
      className={`min-h-[26px] px-2 underline underline-offset-4 ${className}`}
    >
      {SPOKEN.map((l) => (
        <option key={l} value={l} lang={l.slice(0, 2)}>
          {LANGUAGE_NAMES[l]}
        </option>
      ))}
    </select>
  );
}
