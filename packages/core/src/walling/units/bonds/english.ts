import type { HeaderBond } from './headerBond.js';

/** Courses all of headers and courses all of stretchers, these so many to one of those. Common practice. */
const courses = (headersIn: HeaderBond['headersIn']): HeaderBond => ({
  headersIn,
  long: (b) => ({ lead: [], cycle: [b.stretcher] }),
  short: (b, headers) =>
    headers ? { lead: [b.header, b.closer], cycle: [b.header] } : { lead: [b.header], cycle: [b.stretcher] },
  against: (b, headers, through) =>
    headers
      ? { lead: [through, b.closer], cycle: [b.header] }
      : { lead: [through, b.half], cycle: [b.stretcher] },
});

/** One of headers to one of stretchers. */
export const english = courses(() => true);

/** One of headers to three of stretchers. */
export const englishGarden = courses((course) => course < 2);
