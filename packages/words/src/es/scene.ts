import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'lay-way': 'se coloca hacia aquí',
  'not-built': '{by} sin construir',
};
