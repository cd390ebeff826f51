import { millimetres, writeLength, type Show, type Stated } from '@even-tally/core';

/** Millimetres as the job writes them, a thousandth at the finest. */
export const written = (mm: number, show: Show): Stated =>
  writeLength(millimetres(Math.round(mm * 1000) / 1000), show);
