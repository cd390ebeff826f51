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

/** A kind as it is spoken of: what lies over a head is a beam only of units with a trough to hold one. */
export const SPOKEN_KINDS = [...KINDS, 'bridging'] as const;
export type SpokenKind = (typeof SPOKEN_KINDS)[number];
export const spokenKind = (kind: Kind, unit: { shells: unknown }): SpokenKind =>
  kind === 'beam' && unit.shells === null ? 'bridging' : kind;
