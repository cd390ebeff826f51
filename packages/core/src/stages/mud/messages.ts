import { MATERIALS, type MaterialId } from '../../tables/mixes/materials.js';
import { messages, type Message } from '../../messages/message.js';

const MATERIAL_NAMES = {
  portland: {},
  'masonry-cement': {},
  'lime-hydrated': {},
  'lime-putty': {},
  nhl: {},
  quicklime: {},
  preblended: {},
  soil: {},
  sand: {},
  gravel: {},
  ballast: {},
  water: {},
} as const;

/** What mixes and materials are called, and what is said of batches. */
export const MUD_ROOM = {
  ...MATERIAL_NAMES,
  pigment: { called: 'name' },
  admixture: { called: 'name' },
  'by-binder': {},
  'to-the-binder': { what: 'said' },
  'cement-lime-m': { basis: ['us', 'metric'] },
  'cement-lime-s': { basis: ['us', 'metric'] },
  'cement-lime-n': { basis: ['us', 'metric'] },
  'cement-lime-o': { basis: ['us', 'metric'] },
  'cement-sand': { parts: 'count' },
  'masonry-cement-s': {},
  'masonry-cement-n': {},
  'bagged-s-2': {},
  'preblended-s': {},
  'preblended-n': {},
  'nhl-mortar': { grade: 'name' },
  'putty-3': {},
  'hydrated-lime': { parts: 'count' },
  'hot-lime-3': {},
  'limecrete-3': {},
  earth: {},
  rapid: {},
  'grout-fine': {},
  'grout-coarse': {},
  'ballast-5': {},
  'concrete-1-2-3': {},
  ordered: { what: 'said', pack: 'said' },
  yards: {},
  tonnes: {},
  bucket: { many: ['yes', 'no'] },
  bag: { many: ['yes', 'no'] },
  'to-have-in': { what: 'said' },
  batches: {},
  'limit-earth': {},
  'limit-lime': {},
  'limit-rubble': { most: 'length', why: ['slow', 'putty', 'hydraulic'] },
  'limit-us': {},
  'limit-uk': {},
  'mud-used': {},
  'a-part': { what: 'said' },
  'made-of-parts': {},
  'loose-weight': { what: 'said' },
  'used-part-made': {},
  'used-batch': {},
  'in-a-batch': {},
  'by-the-mix': {},
  'tally-of-courses': {},
} as const;

export const MUD = messages('mud', MUD_ROOM);

export const materialName = (of: MaterialId): Message => MUD[of]();

/** What is to be had in, by its name; of pigment and admixture by the name somebody gives it. */
export const needName = ({
  of,
  called = '',
}: {
  of: MaterialId | 'pigment' | 'admixture';
  called?: string;
}): Message => (of === 'pigment' || of === 'admixture' ? MUD[of]({ called }) : materialName(of));

/** Every material has a name: the compiler holds the two lists together. */
MATERIALS satisfies readonly (keyof typeof MATERIAL_NAMES)[];
