import { MATERIALS } from '../../tables/mixes/materials.js';
import { USES } from '../../tables/mixes/mixes.js';
import { PACK_COUNTRIES } from '../../tables/mixes/packs.js';
import {
  amount,
  byTag,
  constant,
  list,
  number,
  object,
  oneOf,
  optional,
  required,
  words,
  type States,
} from '../../statement/statement.js';
import { id, length, place, text, yes } from './basics.js';

/** A mix by its id: of the library, or of the job's own. */
export const mixId = words();
const material = oneOf(...MATERIALS);

/** How much comes of what is put in, as it is stated of one's own mix. */
const yields = byTag('model', {
  sand: object({ model: required(constant('sand')), factor: optional(number(0.5, 2), 'sand to mud') }),
  dry: object({ model: required(constant('dry')), factor: required(number(0.5, 3), 'loose parts to mud') }),
  absolute: object({
    model: required(constant('absolute')),
    water: required(number(0.1, 3), 'to the binder, by weight'),
    air: optional(number(0, 0.4)),
  }),
  measured: object({
    model: required(constant('measured')),
    put: required(amount('volume'), 'of sand, or of its largest part, as it was put in'),
    made: required(amount('volume'), 'what it laid, as mud'),
  }),
});
export type StatedYield = States<typeof yields>;

const ownMix = object({
  id: required(id('mix')),
  name: optional(text),
  like: optional(mixId, 'the mix of the library it is otherwise as'),
  for: optional(
    list(oneOf(...USES), USES.length, 1),
    'what it may be used for; left out: as that, else bedding',
  ),
  parts: required(
    list(object({ of: required(material), parts: required(number(0.001, 1000)) }), MATERIALS.length, 1),
    'by volume, binder first',
  ),
  yield: required(yields),
  life: optional(amount('duration'), 'from the water on; left out: as that, else as cement mud'),
});
export type OwnMix = States<typeof ownMix>;
export const mixes = list(ownMix, 200);

const mixer = object({
  kind: required(oneOf('drum', 'barrow', 'bucket', 'pan')),
  holds: required(amount('volume'), 'brimful'),
  fill: optional(number(0.05, 1), 'how full it may be and still mix'),
  count: optional(number(1, 20, { whole: true }), 'how many of them; left out: one'),
});

const measure = object({
  name: optional(text),
  holds: required(amount('volume'), 'filled level'),
  level: optional(oneOf('struck', 'heaped'), 'left out: struck'),
  halves: optional(yes, 'half measures too'),
});

const sand = object({
  state: required(oneOf('dry', 'damp', 'wet')),
  bulking: optional(number(0, 0.6), 'by how much damp sand takes up more room, as a part'),
});

/** Joints of an old face that are raked out and pointed again. Lengths are of joint, all of them together. */
export const repoint = object({
  depth: required(length, 'how deep they are raked'),
  width: optional(length, 'left out: as the wall’s joints are'),
  joints: optional(length, 'left out: all there are in the face'),
  raked: optional(place, 'raked so far'),
  pointed: optional(place, 'and pointed'),
  behind: optional(mixId, 'filled in behind the last layer, or left in it for a time; left out: as the face'),
  mix: optional(mixId, 'the face of it; left out: as the wall is laid in'),
});

/** What the job's mud is made of and with. Left out, all of it or a part: as the profile has it. */
export const mud = object({
  mix: optional(mixId),
  mixer: optional(mixer),
  measure: optional(measure),
  sand: optional(sand),
  packs: optional(oneOf(...PACK_COUNTRIES), 'whose bags are bought'),
  bags: optional(yes, 'what comes in bags goes in by the bag'),
  spread: optional(length, 'how far ahead it is spread, as was learned here'),
  colour: optional(
    object({ name: required(text), share: required(number(0.001, 0.1), 'of its binder, by weight') }),
    'pigment in the mud: it is never wetted again',
  ),
  admixture: optional(
    object({ name: required(text), perKg: required(amount('volume'), 'to a kilogram of binder') }),
    'plasticiser, retarder…',
  ),
  grout: optional(mixId, 'where grout is mixed on site'),
  concrete: optional(mixId, 'where footing concrete is mixed on site'),
  places: optional(
    list(object({ place: required(words({ most: 1000 })), mix: required(mixId) }), 1000),
    'places with a mix of their own',
  ),
});
export type StatedMud = States<typeof mud>;
