/** What stands against a wall or passes in it: what decides which mud serves. */
export const STANDS_IN = [
  'soil',
  'old-lime',
  'damp',
  'frost',
  'sulfate',
  'stove-mass',
  'flue',
  'fireface',
] as const;
export type StandsIn = (typeof STANDS_IN)[number];
