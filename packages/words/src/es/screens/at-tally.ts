import type { ScreenTexts } from '../../screens/index.js';

export const atTally: ScreenTexts['at-tally'] = {
  theWholeWall: 'El muro entero',
  toOrder: 'Por pedir',
  sheetSet: 'Juego de hojas',
  whatASetIs:
    'Todo el muro en papel: planta, alzados, secciones, escantillón, cinta, fichas de hilada, barras, tongadas, puntos de parada y la cuenta, cada página con su título y su número.',
  paper: 'Papel',
  a4: 'A4',
  a3: 'A3',
  letter: 'Carta',
  tabloid: 'Tabloide',
  asTheMeasure: 'según la medida: A4 o Carta',
  takeAway: 'Para llevar',
  printTheSheet: 'Imprimir la hoja',
  tallyOf: 'Cuenta, {run}',
  size: '{length} × {height}',
};
