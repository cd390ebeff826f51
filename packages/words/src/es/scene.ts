import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'both-diagonals': '{long} en las dos diagonales',
  'two-diagonals': '{one} y {other} en diagonal',
  'lay-way': 'se coloca hacia aquí',
  'not-built': '{by} sin construir',
};
