import { format, formatDistanceToNow, parseISO } from 'date-fns';
import { es } from 'date-fns/locale/es';
import { useMemo } from 'react';
import { useLanguage } from './words';

interface Dates {
  /** How long it is since, or until: “two days”. */
  since: (iso: string) => string;
  day: (iso: string) => string;
  /** A day of the week and the month, of a date without an hour. */
  weekday: (date: string) => string;
  /** Day and hour by the clock of whoever wrote it, where it says so. */
  moment: (iso: string) => string;
  hour: (iso: string) => string;
}

/** Days and hours in the language of this page. */
export function useDates(): Dates {
  const language = useLanguage();
  return useMemo(() => {
    const options = language === 'es' ? { locale: es } : {};
    const as = (pattern: string) => (iso: string) => format(new Date(iso), pattern, options);
    return {
      since: (iso) => formatDistanceToNow(new Date(iso), options),
      day: as('d MMM yyyy'),
      weekday: (date) => format(parseISO(date), 'EEE d MMM', options),
      moment: as('d MMM HH:mm'),
      hour: as('HH:mm'),
    };
  }, [language]);
}
