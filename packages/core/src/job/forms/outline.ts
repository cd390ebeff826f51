import {
  lengthOf,
  number,
  object,
  oneOf,
  optional,
  required,
  type States,
} from '../../statement/statement.js';
import { address, along, count, id, length, place, run, siteLevel, text, wallId, yes } from './basics.js';

/** A part of a run's top that is not level with the rest. */
export const top = object({
  id: required(id('top')),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  kind: required(oneOf('raked', 'stepped', 'scallop', 'ramp')),
  from: required(along('start'), 'along the run'),
  to: required(along('end'), 'along the run'),
  left: required(lengthOf('above-zero', { is: { up: 'mirrors', with: 'right' } }), 'height where it begins'),
  right: required(lengthOf('above-zero', { is: { up: 'mirrors', with: 'left' } }), 'height where it ends'),
  step: optional(count(1000), 'courses in each step'),
  dip: optional(length, 'how far a scallop hangs below the line between its ends'),
});
export type Top = States<typeof top>;

/** A length of footing whose top stands whole courses above the wall's base. */
export const step = object({
  id: required(id('step')),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  from: required(along('start'), 'along the run'),
  to: required(along('end'), 'along the run'),
  up: required(count(10_000), 'whole courses above the wall’s base'),
});
export type FootingStep = States<typeof step>;

/** Air bricks or vents let into a course, on whole units. */
export const vents = object({
  id: required(id('row of vents')),
  place: optional(address, 'its course’s, instead of run and course'),
  run: optional(run),
  course: optional(count(10_000)),
  what: required(oneOf('air-brick', 'vent')),
  every: required(along('pitch'), 'from one to the next'),
});
export type Vents = States<typeof vents>;

/** A pier bonded into the wall, one leaf proud of it. */
export const pier = object({
  id: required(id('pier')),
  name: optional(text),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  at: required(along('start'), 'along the run'),
  width: required(along('size')),
  side: optional(oneOf('inside', 'outside')),
});
export type Pier = States<typeof pier>;

/** A plate or a bond beam round the top of a wall: what a roof sits on, and what holds the wall together there. */
export const plate = object({
  kind: required(oneOf('timber', 'concrete')),
  height: required(length),
  width: optional(length, 'left out: as wide as the wall'),
});

/** What keeps water off a wall of earth: what it stands on, what is over it, and what is on its face. */
export const rain = object({
  base: optional(place, 'stone, brick or concrete under its first course, over the ground'),
  dpc: optional(yes, 'a damp-proof course between that and the earth'),
  eaves: optional(place, 'how far a roof reaches out over its face; nothing over it: left out'),
  coat: optional(oneOf('earth', 'lime', 'bare'), 'on its outside; bare: left so by choice'),
});

/** A post of the frame a wall fills, where it stands in the wall: units are notched round it. */
export const post = object({
  id: required(id('post')),
  name: optional(text),
  run: optional(run),
  at: required(along('middle'), 'its middle along the run'),
  width: required(length, 'along the wall'),
  depth: required(length, 'through it'),
  from: optional(place, 'how far in from the outside face it stands; left out: in the middle'),
});
export type Post = States<typeof post>;

/** Where its line begins on the site, and which way it sets off. */
export const onSite = object({
  x: required(siteLevel),
  y: required(siteLevel),
  heading: optional(number(-360, 360), 'degrees, left positive'),
});

/** A joint the wall may open and close at, from footing to top: both sides are laid as ends of their own. */
export const movementJoint = object({
  id: required(id('movement joint')),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  at: required(lengthOf('above-zero', { is: { along: 'middle' } }), 'its middle, along the run'),
  width: optional(length),
  // Left out: beams stop, and dowels greased at one end go across.
  beams: optional(oneOf('dowelled', 'cut'), 'what beams do at it'),
  refused: optional(text, 'why it is not wanted: nothing is laid to it'),
});
export type MovementJoint = States<typeof movementJoint>;

/** Ground the wall holds back: asked, for what is behind a wall cannot be seen from its face. */
export const retains = object({
  height: required(length, 'from the lower ground to the top of what is held'),
  side: optional(oneOf('outside', 'inside'), 'which side the ground is on'),
  surcharge: optional(yes, 'something stands or drives on it'),
  slope: optional(yes, 'it slopes up from the wall'),
  water: optional(yes, 'water stands in it or runs to it'),
  building: optional(yes, 'a building is near'),
  stepBack: optional(length, 'set back a course'),
  weeps: optional(oneOf('open-perps', 'pipes')),
  weepsEvery: optional(along('pitch')),
  stone: optional(length, 'thickness of the drainage stone'),
});
export type Retains = States<typeof retains>;

/** Ends on another wall, with its near side there; bonded or toothed it goes in on these courses. */
export const meets = object({
  wall: required(wallId),
  run: required(number(0, 999, { whole: true, is: { run: { of: 'wall' } } })),
  at: required(along('start')),
  how: optional(oneOf('tied', 'bonded', 'toothed'), 'how its end is held'),
  on: optional(oneOf('odd', 'even'), 'courses in which it goes in'),
});
export type Meets = States<typeof meets>;
export type MeetHow = NonNullable<Meets['how']>;
