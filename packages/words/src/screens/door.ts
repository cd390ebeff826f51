import { sentences, type Screen } from './screen.js';

/** The way in: signing in, opening a yard, joining one. */
export const DOOR_SAYS = {
  openingTheDoor: 'Opening the door',
  everyCourseCutAnd: 'Every course, cut and bag worked out before the mud is wet.',
  sayWhatYouKnow:
    'Say what you know: the lines, the heights, the openings. The pole, the bond and the order follow while your finger is still down.',
  lookRoundTheDemo: 'Look round the demo yard',
  aCopyOfYour: 'A copy of your own: nothing you do there harms another’s.',
  signIn: 'Sign in',
  openAYard: 'Open a yard',
  nameOfTheYard: 'Name of the yard or crew',
  email: 'Email',
  passwordAtLeast12: 'Password, at least 12 characters',
  password: 'Password',
  openTheYard: 'Open the yard',
  openAYardOf: 'Open a yard of my own',
  joinAYardEven: 'Join a yard · Even Tally',
  openingTheLink: 'Opening the link',
  thisLinkOpensNothing: 'This link opens nothing',
  openAnAccountAnd: 'Open an account and join',
  signInAndJoin: 'Sign in and join',
  toTheDoor: 'To the door',
  joinYard: ['Join {yard}', { yard: 'name' }],
  youWill: ['You will {what}.', { what: 'said' }],
  joinAs: ['Join as {who}', { who: 'name' }],
  haveAccount: 'I have an account',
  haveNone: 'I have none yet',
  haveYard: 'I have a yard already',
} as const satisfies Screen;

export const DOOR = sentences('door', DOOR_SAYS);
