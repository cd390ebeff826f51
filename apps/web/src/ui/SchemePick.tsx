import { UI } from '@even-tally/words';
import type { ReactNode } from 'react';
import { chooseScheme, SCREEN_SCHEMES, useScheme, type ScreenScheme } from '../state/scheme';
import { useTell } from '../state/words';

const NAMES = { day: UI.schemeDay, night: UI.schemeNight, sun: UI.schemeSun } as const;

/** The light the screen is read in. */
export function SchemePick({ className = '' }: { className?: string }): ReactNode {
  const tell = useTell();
  const scheme = useScheme();
  return (
    <select
      aria-label={tell(UI.scheme)}
      title={tell(UI.scheme)}
      value={scheme}
      onChange={(e) => chooseScheme(e.currentTarget.value as ScreenScheme)}
      className={`min-h-[26px] px-2 underline underline-offset-4 ${className}`}
    >
      {SCREEN_SCHEMES.map((s) => (
        <option key={s} value={s}>
          {tell(NAMES[s])}
        </option>
      ))}
    </select>
  );
}
