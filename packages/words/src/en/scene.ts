import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'both-diagonals': '{long} both ways across',
  'two-diagonals': '{one} and {other} across',
  'lay-way': 'lay this way',
  'not-built': '{by} not built',
};
