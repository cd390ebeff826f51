import { sentences, type Screen } from './screen.js';

/** The stage Tally. */
export const AT_TALLY_SAYS = {
  theWholeWall: 'The whole wall',
  toOrder: 'To order',
  sheetSet: 'Sheet set',
  whatASetIs:
    'The whole wall on paper: plan, elevations, sections, [pole], tape, course cards, bars, lifts, holds and the tally, each page titled and counted.',
  paper: 'Paper',
  a4: 'A4',
  a3: 'A3',
  letter: 'Letter',
  tabloid: 'Tabloid',
  asTheMeasure: 'as the measure goes: A4 or Letter',
  takeAway: 'Take away',
  printTheSheet: 'Print the sheet',
  tallyOf: ['Tally, {run}', { run: 'name' }],
  size: ['{length} × {height}', { length: 'length', height: 'length' }],
} as const satisfies Screen;

export const AT_TALLY = sentences('at-tally', AT_TALLY_SAYS);
