import type { HeaderBond } from './headerBond.js';

/** Header and stretcher by turns in every course, headers over the middle of stretchers. Common practice. */
export const flemish: HeaderBond = {
  headersIn: () => false,
  long: (b) => ({ lead: [], cycle: [b.stretcher, b.header] }),
  short: (b) => ({ lead: [b.header, b.closer], cycle: [b.stretcher, b.header] }),
  against: (b, _headers, through) => ({
    lead: [through, b.threeQuarter, b.header],
    cycle: [b.stretcher, b.header],
  }),
};

/** Three stretchers to a header in every course, headers over the middle one of three. Common practice. */
export const flemishGarden: HeaderBond = {
  headersIn: () => false,
  long: (b) => ({ lead: [], cycle: [b.stretcher, b.stretcher, b.stretcher, b.header] }),
  short: (b) => ({
    lead: [b.header, b.threeQuarter, b.header],
    cycle: [b.stretcher, b.stretcher, b.stretcher, b.header],
  }),
  against: (b, _headers, through) => ({
    lead: [through, b.closer, b.header],
    cycle: [b.stretcher, b.stretcher, b.stretcher, b.header],
  }),
};
