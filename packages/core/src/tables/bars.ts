/** Bar designations a job file may name (contract): US #3–#9, metric T8–T32. */
export const BAR_SIZES = [
  '#3',
  '#4',
  '#5',
  '#6',
  '#7',
  '#8',
  '#9',
  'T8',
  'T10',
  'T12',
  'T16',
  'T20',
  'T25',
  'T32',
] as const;
export type BarSize = (typeof BAR_SIZES)[number];
