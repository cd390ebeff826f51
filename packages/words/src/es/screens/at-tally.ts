import type { ScreenTexts } from '../../screens/index.js';

export const atTally: ScreenTexts['at-tally'] = {
  theWholeWall: 'El muro entero',
  toOrder: 'Por pedir',
  takeAway: 'Para llevar',
  printTheSheet: 'Imprimir la hoja',
  tallyOf: 'Cuenta, {run}',
  size: '{length} × {height}',
};
