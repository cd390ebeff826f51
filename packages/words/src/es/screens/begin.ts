import type { ScreenTexts } from '../../screens/index.js';

export const begin: ScreenTexts['begin'] = {
  aNewJob: 'Una obra nueva',
  newJob: 'Obra nueva',
  backToTheYard: 'Volver al patio',
  whoseRules: 'Con qué reglas se construye',
  whichMeasure: 'Con qué medida',
  feet: 'pies y pulgadas',
  millimetres: 'milímetros',
  whatIsIt: '¿Qué es? Toque lo más parecido: todo se puede cambiar.',
  garden: 'Muro de jardín',
  stone: 'Muro de piedra',
  retaining: 'Muro de contención',
  building: 'Edificio',
  gate: 'Pilares y portón',
  base: 'Base para algo',
  repair: 'Arreglo junto a un muro viejo',
  orSayIt: 'O dígalo',
  sayHint: '24′ by 8′8″ of 8 inch block, door 3′4″ at 4′ · 6 m x 2.4 m half brick, window 1810 x 1200 at 2 m',
  beginWithThis: 'Empezar con esto',
};
