import type { Mix } from '../tables/mixes/mixes.js';

/** How strong a mud is in the order the trade names it, O the weakest; earth and lime without cement are none of them. */
export const TYPES = ['O', 'N', 'S', 'M'] as const;
export type MortarType = (typeof TYPES)[number];

const CEMENTS = ['portland', 'masonry-cement', 'preblended'];
export const hasCement = (mix: Pick<Mix, 'parts'>): boolean => mix.parts.some((p) => CEMENTS.includes(p.of));

/** Sand to a part of cement, at most: designations (i) to (iv) and the proportions of ASTM C270. */
const MOST_SAND: readonly (readonly [MortarType, number])[] = [
  ['M', 3.5],
  ['S', 4.5],
  ['N', 7],
];

/** Which type a mix is: as its bag says, else by its sand to its cement. Null where no cement is in it. */
export function typeOf(mix: Pick<Mix, 'parts' | 'type'>): MortarType | null {
  if (!hasCement(mix)) return null;
  if (mix.type) return mix.type;
  const cement = mix.parts.find((p) => CEMENTS.includes(p.of))?.parts ?? 1;
  const sand = mix.parts.find((p) => p.of === 'sand')?.parts ?? 0;
  return MOST_SAND.find(([, most]) => sand / cement <= most + 1e-9)?.[0] ?? 'O';
}

export const weakerThan = (type: MortarType, than: MortarType): boolean =>
  TYPES.indexOf(type) < TYPES.indexOf(than);

/** What a mix is for, as it is said to somebody who chooses: a type, or what binds it. */
export const SUITS = [...TYPES, 'rapid', 'hydraulic', 'putty', 'hot-lime', 'stove', 'earth'] as const;
export type Suits = (typeof SUITS)[number];

export function suitsOf(mix: Pick<Mix, 'id' | 'parts' | 'type' | 'for'>): Suits {
  const has = (of: string): boolean => mix.parts.some((p) => p.of === of);
  if (mix.id === 'rapid') return 'rapid';
  if (mix.for.includes('stove')) return 'stove';
  const type = typeOf(mix);
  if (type) return type;
  if (has('soil')) return 'earth';
  if (has('quicklime')) return 'hot-lime';
  return has('nhl') ? 'hydraulic' : 'putty';
}
