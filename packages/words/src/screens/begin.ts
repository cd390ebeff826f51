import { sentences, type Screen } from './screen.js';

/** A new job, begun on one screen. */
export const BEGIN_SAYS = {
  aNewJob: 'A new job',
  newJob: 'New job',
  backToTheYard: 'Back to the yard',
  whoseRules: 'Whose rules it is built by',
  whichMeasure: 'Which measure',
  feet: 'feet and inches',
  millimetres: 'millimetres',
  whatIsIt: 'What is it? Press what is nearest: everything of it can be changed.',
  garden: 'Garden wall',
  stone: 'Wall of stone',
  retaining: 'Retaining wall',
  building: 'Building',
  gate: 'Piers and a gate',
  base: 'Base for something',
  repair: 'Repair beside an old wall',
  orSayIt: 'Or say it',
  sayHint: '24′ by 8′8″ of 8 inch block, door 3′4″ at 4′ · 6 m x 2.4 m half brick, window 1810 x 1200 at 2 m',
  beginWithThis: 'Begin with this',
} as const satisfies Screen;

export const BEGIN = sentences('begin', BEGIN_SAYS);
