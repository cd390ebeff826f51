import { LANGUAGE_NAMES, SPOKEN, type Language } from '@even-tally/words';
import type { ReactNode } from 'react';
import { chooseLanguage, useLanguage } from '../state/words';

/** What the wall says is read in: the trade of the job’s profile, until somebody chooses. */
export function LanguagePick(): ReactNode {
  const language = useLanguage();
  return (
    <select
      aria-label="Words"
      title="What the wall says is read in"
      value={language}
      onChange={(e) => chooseLanguage(e.currentTarget.value as Language)}
      className="min-h-[26px] bg-slate px-2 underline underline-offset-4 hover:bg-slate-high"
    >
      {SPOKEN.map((l) => (
        <option key={l} value={l} lang={l.slice(0, 2)}>
          {LANGUAGE_NAMES[l]}
        </option>
      ))}
    </select>
  );
}
