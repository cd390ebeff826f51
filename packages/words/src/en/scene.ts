import type { Catalogue } from '@even-tally/core';

export const scene: Catalogue['scene'] = {
  'both-diagonals': '{long} both ways across',
  'two-diagonals': '{one} and {other} across',
  'corner-moves':
    '{name}{on, select, no {} on { {along} on} other { {along} back}}{out, select, no {} out { {across} out} other { {across} in}}',
  'lay-way': 'lay this way',
  outside: 'outside',
  inside: 'inside',
  'not-built': '{by} not built',
};
