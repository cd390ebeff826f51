import { SCHEMES, type Ink } from '@even-tally/core';

/** The inks of the scheme that is on. One so far on the screen; the theme has the others. */
export const useInks = (): Record<Ink, string> => SCHEMES.day;
