import { sentences, type Screen } from './screen.js';

/** Parts every screen is built of. */
export const UI_SAYS = {
  leaveIt: 'Leave it',
  none: 'none',
  evenTally: 'Even Tally',
  nothingStandsHere: 'Nothing stands here',
  somethingGaveWay: 'Something gave way',
  thereIsNoPage: 'There is no page under this address.',
  thisPageFailedWhat: 'This page failed. What you had built is kept.',
  backToTheYard: 'Back to the yard',
  openingTheYard: 'Opening the yard',
  thereIsOnlyOne: 'There is only one way here.',
  weighingTheChoices: 'Weighing the choices…',
  thisIsHowIt: 'This is how it stands',
  lockedLetItGo: 'Locked: let it go',
  lockIt: 'Lock it',
  makingIt: 'Making it…',
  whatAChoiceCosts: 'What a choice costs',
  asUsual: 'as usual',
  choicesAreRankedBy:
    'Choices are ranked by these, added up over the whole wall. They are our rule, not a standard’s: change them and the ranking follows, in this job.',
  asUsualAgain: 'As usual again',
  takeOut: ['Take out this {one}', { one: 'said' }],
  measured: ['{count} measured', { count: 'count' }],
  keptAsSaid: ['kept as said: {typed}, joints and all', { typed: 'name' }],
  takenAs: ['taken as {length}', { length: 'length' }],
  changed: ['{count} changed', { count: 'count' }],
  fetching: 'Fetching',
  openingTheLink: 'Opening the link',
  scheme: 'The light you read this in',
  schemeDay: 'Day',
  schemeNight: 'Night',
  schemeSun: 'Full sun',
  unreadLong: [
    'Wanted a length such as {examples}, and this is {count} characters long',
    { examples: 'name', count: 'count' },
  ],
  unreadOverNothing: ['{text} has a fraction over nothing', { text: 'name' }],
  unread: ['Wanted a length such as {examples}, got “{text}”', { examples: 'name', text: 'name' }],
  unreadNothing: ['Wanted a length above nothing, got “{text}”', { text: 'name' }],
  unreadNth: ['Number {n}: {why}', { n: 'count', why: 'said' }],
} as const satisfies Screen;

export const UI = sentences('ui', UI_SAYS);
