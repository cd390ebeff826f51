import { list, object, oneOf, optional, required, type States } from '../../statement/statement.js';
import { address, along, count, id, length, level, place, run, siteLevel, text, yes } from './basics.js';

export const footing = object({
  width: required(length),
  depth: required(length),
  past: optional(place, 'how far it goes on past a free end'),
  trench: optional(length, 'from the ground to the bottom of the trench'),
  from: optional(oneOf('bags', 'ready-mix'), 'how the concrete comes'),
});
export type Footing = States<typeof footing>;

const pouredSpot = object({
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  at: required(along('middle')),
  level: optional(level, 'above or below the wall’s base'),
  reading: optional(siteLevel, 'what the staff read on it, instead of a level'),
  simulated: optional(yes, 'shot with the simulated level, for practice'),
});
export const poured = list(pouredSpot, 2000);
export type PouredSpot = States<typeof pouredSpot>;

export const square = object({
  sides: required(list(length, 4, 4), 'AB, BC, CD, DA as taped'),
  diagonals: required(list(length, 2, 1), 'AC, and BD to prove it'),
});

export const old = object({
  height: optional(length, 'over several of the old courses'),
  courses: optional(count(1000), 'how many'),
  gap: optional(level, 'between a plumb level and the old face; leaning outward positive'),
  over: optional(length, 'the length of the level'),
  wallHeight: optional(length, 'height of the old wall'),
  fade: optional(count(1000), 'courses that bring the face back to plumb'),
});
export type OldWall = States<typeof old>;

/** Something taken for granted because nobody could say, kept on the job until somebody confirms it. */
const assumption = object({
  id: required(id('assumption')),
  says: required(text, 'what was taken, and for what'),
  confirmed: optional(text, 'by whom'),
});
export const assumed = list(assumption, 200);
export type Assumed = States<typeof assumption>;

const sitePoint = object({
  id: required(id('site point')),
  name: required(text),
  // Ground and supports rule heights; a mark is only read.
  is: required(oneOf('ground', 'support', 'mark')),
  level: required(siteLevel, 'above the datum'),
  reading: optional(siteLevel, 'what the staff read on it'),
});
export type SitePoint = States<typeof sitePoint>;

export const site = object({
  datum: optional(text, 'what every level is measured from'),
  clearance: optional(place, 'plinth above the highest ground'),
  cover: optional(place, 'ground above the footing’s top, at least'),
  slab: optional(siteLevel, 'underside of a slab that passes over the footing'),
  instrument: optional(siteLevel, 'height of the instrument above the datum'),
  layers: optional(
    object({
      stated: optional(length, 'the total somebody gave'),
      list: required(list(object({ name: required(text), thickness: required(length) }), 50)),
    }),
  ),
  points: optional(list(sitePoint, 500)),
  exposure: optional(oneOf(1, 2, 3, 4), 'to wind: 1 sheltered, 4 open'),
  seismic: optional(oneOf('A', 'B', 'C', 'D', 'E', 'F'), 'seismic design category'),
});
export type Site = States<typeof site>;
