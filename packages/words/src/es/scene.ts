import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'both-diagonals': '{long} en las dos diagonales',
  'two-diagonals': '{one} y {other} en diagonal',
  'corner-moves':
    '{name}{on, select, no {} on { {along} adelante} other { {along} atrás}}{out, select, no {} out { {across} afuera} other { {across} adentro}}',
  'lay-way': 'se coloca hacia aquí',
  outside: 'exterior',
  inside: 'interior',
  'not-built': '{by} sin construir',
};
