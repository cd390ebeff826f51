/** What a piece is, as the contract names them; the index is how the plan's columns hold it. */
export const KINDS = [
  'stretcher',
  'header',
  'half',
  'three-quarter',
  'closer',
  'corner',
  'jamb',
  'beam',
  'lintel',
  'cap',
  'cut',
] as const;
export type Kind = (typeof KINDS)[number];
export const kindIndex = (kind: Kind): number => KINDS.indexOf(kind);
