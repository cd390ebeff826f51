import type { ScreenTexts } from '../../screens/index.js';

export const keeping: ScreenTexts['keeping'] = {
  takenBack: '“{step}” no se puede deshacer. {why}',
  doneAgain: '“{step}” no se puede rehacer. {why}',
  olderWhole: 'Lo que guardaba este aparato se hizo sobre una versión anterior de toda la obra.',
  needsServer: '{what} necesita el servidor, y esta obra todavía no está guardada ahí.',
  signing: 'Firmar',
  recording: 'Anotar un paso',
  printing: 'Imprimir',
  notSigned: 'El servidor no contesta: todavía no se firma nada. Pruebe cuando vuelva.',
  notRecorded: 'El servidor no contesta: todavía no se anota nada. Pruebe cuando vuelva.',
  noAnswer: 'El servidor no contesta.',
  refused: 'El servidor dijo que no.',
  clash: 'Lo que cambiaba ya lo cambió otra persona.',
  cannotBe: 'Eso no puede ser.',
  wantedGot: 'Se pide {wanted}, llegó {got}.',
  noWall: 'No hay tal muro en esta obra.',
};
