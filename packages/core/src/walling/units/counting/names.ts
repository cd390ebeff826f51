import type { Kind } from '../laying/kinds.js';

/** What a tally calls each kind. */
export const KIND_NAMES: Record<Kind, string> = {
  stretcher: 'Stretchers',
  header: 'Headers',
  half: 'Halves',
  'three-quarter': 'Three-quarters',
  closer: 'Closers',
  corner: 'Corner units',
  jamb: 'Jamb units',
  beam: 'Beam units',
  lintel: 'Lintels',
  cap: 'Caps',
  cut: 'Sawn to length',
};
