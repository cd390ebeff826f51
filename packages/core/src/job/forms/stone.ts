import type { Called } from '../edits/messages.js';
import { LIMITS } from '../limits.js';
import {
  amount,
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
import {
  along,
  count,
  height,
  id,
  joint,
  length,
  place,
  level,
  run,
  text,
  unitId,
  yes,
  yesOrNo,
} from './basics.js';
import { mixId } from './mud.js';
import { STANDS_IN } from './stands.js';
import { STONE_USES } from './stoneUses.js';

/** Stone by its id: of the library, or of the job's own. */
const stoneId = words();

/** Stone a job knows for itself: from one quarry, or as somebody weighed it. */
export const ownStone = object({
  id: required(id('stone')),
  name: optional(text),
  density: required(number(1000, 4000), 'kg/m³ without a void'),
  porous: optional(oneOf(true, false), 'it drinks, and is wetted before it is laid; left out: it does'),
});
export type OwnStone = States<typeof ownStone>;

/** Stones as they lie in the yard, measured one by one, those alike together. */
export const pileStone = object({
  id: required(id('stone of the pile')),
  length: required(length),
  height: required(length),
  depth: required(length),
  count: optional(count(10_000), 'so many alike; left out: one'),
  use: optional(oneOf(...STONE_USES), 'left out: whatever it suits'),
  face: optional(oneOf('fair', 'rough'), 'whether it has a face worth showing'),
});
export type FiledStone = States<typeof pileStone>;

/** Measured stones laid into a stretch of the wall: where, by what, and in which order they were kept. */
export const fit = object({
  run: optional(run),
  from: optional(along('start'), 'left out: where the run begins'),
  length: optional(along('size'), 'left out: to the end of the run'),
  height: optional(height(), 'left out: the wall’s'),
  use: optional(oneOf(...STONE_USES), 'of the pile only what serves for it'),
  lap: optional(length, 'a joint stands at least so far beside the one under it; left out: 75 mm'),
  tops: optional(place, 'by how much tops of a course may differ; left out: 10 mm'),
  order: optional(
    list(
      object({ stone: required(words()), along: optional(yes, 'its long way lies along the face') }),
      LIMITS.pile,
    ),
    'as they are laid, from the start of the lowest course',
  ),
  pins: optional(
    list(number(0, LIMITS.pile, { whole: true }), LIMITS.pile),
    'places in that order that stay',
  ),
});

/** One stone of an old wall, looked at where it lies: what of it shows, and how far it goes in. */
const looked = object({
  shows: required(length, 'along the face'),
  height: required(length),
  goesIn: required(length),
  sound: optional(yesOrNo, 'left out: it is'),
});

/** A joint that runs up through courses, as the face shows it. */
const running = object({
  courses: required(count(50), 'it runs through'),
  covered: optional(yes, 'stones behind it lie across it'),
});

/** A stretch of a dry wall that came down, or is taken down, and goes up again. */
export const gap = object({
  run: optional(run),
  from: required(along('start')),
  to: required(along('end')),
  strip: optional(
    object({ left: required(place), right: required(place) }),
    'past each end, to sound throughs; left out: one spacing of throughs',
  ),
  sample: optional(list(looked, 200), 'stones looked at before it is stripped'),
  joints: optional(list(running, 200), 'running joints of the old face'),
  out: optional(
    object({ left: required(level), right: required(level) }),
    'how far the old wall stands off the line at each end, outward +',
  ),
  perDay: optional(length, 'metres of gap a day; left out: by its face'),
});

/** Rows of stones from face to face. */
const throughs = list(object({ at: required(height()), every: required(along('pitch')) }), 20);

/** What ends a wall at its top, set on edge from the low end up. Its height is over the wall's. */
const copes = object({
  height: required(length),
  each: required(along('size'), 'of one along the wall'),
  kind: optional(oneOf('upright', 'slanting', 'flat', 'turf'), 'left out: upright'),
});

/** The widest part of the wall goes this deep into the ground, so far past it on both sides. */
const footing = object({
  depth: required(length),
  past: optional(place, 'past the wall on each side; left out: 100 mm'),
});

const share = number(0, 0.95);

/** Something taken out of an old wall, or fallen out of it, and filled again with stone tied into what is left. */
export const hole = object({
  id: required(id('hole')),
  name: optional(text),
  run: optional(run),
  at: required(along('start'), 'where it begins, on its face'),
  width: required(along('size')),
  bottom: required(height('zero')),
  height: required(length),
  depth: required(length, 'in from the face, as far as it goes'),
  stone: optional(stoneId, 'left out: the wall’s, or limestone'),
  facing: optional(length, 'how far in its stones go; left out: two thirds of it'),
  fixings: optional(along('pitch'), 'stainless, drilled into old work, one from the next; left out: 450 mm'),
});
export type FiledHole = States<typeof hole>;

/** Steps over a wall: throughs long enough to stand out as treads. */
const stile = object({
  run: optional(run),
  at: required(along('middle')),
  treads: optional(count(12), 'left out: by its height'),
});

const common = {
  stone: required(stoneId),
  hearting: optional(share, 'part of the stone that lies between the faces'),
  waste: optional(number(0, 1), 'bought over what is built in; left out: 0.1'),
  copes: optional(copes),
  load: optional(amount('mass'), 'what a lorry brings at a time; left out: 10 t'),
};

const mortared = {
  stands: optional(list(oneOf(...STANDS_IN), STANDS_IN.length), 'what stands against it or passes in it'),
  mix: optional(mixId, 'left out: the job’s'),
  pointing: optional(
    object({ depth: required(length), mix: optional(mixId, 'left out: the wall’s') }),
    'joints left open and pointed afterwards',
  ),
};

const rubbleKeys = {
  ...common,
  thickness: required(length, 'at its base, through both faces'),
  top: optional(length, 'at its top, where it leans in; left out: as at its base'),
  faces: optional(oneOf(1, 2), 'left out: two'),
  joint: optional(joint, 'left out: as is usual'),
  broughtTo: optional(height(), 'it is levelled up each so high'),
  bonders: optional(
    object({ along: required(along('pitch')), up: required(height()) }),
    'stones that hold the faces together',
  ),
  throughs: optional(throughs, 'or rows of stones from face to face'),
  share: optional(number(0.3, 0.95), 'part of the wall that is stone'),
  ...mortared,
  backing: optional(
    object({
      unit: required(unitId, 'laid behind it'),
      gap: required(length, 'between the two'),
      mix: optional(mixId, 'of the backing; left out: the wall’s'),
    }),
    'it faces a wall of units',
  ),
};

export const rubble = object({
  kind: required(constant('rubble')),
  ...rubbleKeys,
  // Flint and cobble are small and round: more mortar, and lacing courses of something flat.
  laid: optional(oneOf('random', 'polygonal', 'flint'), 'left out: random'),
  lacing: optional(
    object({ every: required(height()), unit: required(unitId), courses: optional(count(6)) }),
    'level courses of units through it',
  ),
});

export const squared = object({
  kind: required(constant('squared')),
  ...rubbleKeys,
  laid: optional(oneOf('coursed', 'snecked'), 'left out: coursed'),
});

export const ashlar = object({
  kind: required(constant('ashlar')),
  stone: required(stoneId),
  bed: required(length, 'from its face in, of a stone'),
  courses: required(list(height(), 200, 1), 'from the lowest up; the last goes on to the top'),
  longest: required(length, 'of a stone along the wall'),
  lap: optional(length, 'a joint stands at least so far beside the one under it'),
  joint: optional(joint, 'left out: as is usual'),
  waste: common.waste,
  copes: common.copes,
  load: common.load,
  ...mortared,
  backing: rubbleKeys.backing,
});

export const dry = object({
  kind: required(constant('dry')),
  ...common,
  base: required(length),
  top: required(length, 'under its copes'),
  throughs: optional(throughs, 'left out: by its height'),
  voids: optional(number(0, 0.6), 'part of the wall left open'),
  footing: optional(footing),
  past: optional(place, 'what throughs stand out of each face'),
  ends: optional(oneOf('cheek', 'open'), 'of its free ends; left out: cheek ends'),
  by: optional(oneOf('frames', 'pillars'), 'frames and lines, or pillars and fill; left out: frames'),
  pillars: optional(along('pitch'), 'of pillars: the middle of one from the next; left out: 3 m at most'),
  purpose: optional(oneOf('field', 'garden'), 'what its faces are judged by; left out: field'),
  stiles: optional(list(stile, 20), 'steps over it, of long throughs', { called: 'stile' satisfies Called }),
});

export const STONE_KINDS = ['rubble', 'squared', 'ashlar', 'dry'] as const;
export type StoneKind = (typeof STONE_KINDS)[number];
export const stonesOfJob = list(ownStone, 100);
export const pile = list(pileStone, LIMITS.pile);
