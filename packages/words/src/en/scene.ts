import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'lay-way': 'lay this way',
  'not-built': '{by} not built',
};
