import { sentences, type Screen } from './screen.js';

/** The stage Tally. */
export const AT_TALLY_SAYS = {
  theWholeWall: 'The whole wall',
  toOrder: 'To order',
  takeAway: 'Take away',
  printTheSheet: 'Print the sheet',
  tallyOf: ['Tally, {run}', { run: 'name' }],
  size: ['{length} × {height}', { length: 'length', height: 'length' }],
} as const satisfies Screen;

export const AT_TALLY = sentences('at-tally', AT_TALLY_SAYS);
