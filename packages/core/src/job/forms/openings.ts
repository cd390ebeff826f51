import { constant, lengthOf, object, optional, required, type States } from '../../statement/statement.js';
import { address, height, id, keep, place, run, text, yes } from './basics.js';

export const opening = object({
  id: required(id('opening')),
  name: optional(text),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run, 'which run, from 0; may be left out where the wall has one'),
  at: required(lengthOf('zero', { is: { along: 'start', as: 'stated' } }), 'along the run'),
  width: required(lengthOf('above-zero', { is: { along: 'clear' } })),
  sill: required(height('zero'), 'above the wall’s base; 0 for a door'),
  head: required(height(), 'top of the last course below the lintel'),
  keep: optional(keep, 'must stand there, or may move to suit'),
  tolerance: optional(place, 'how far its sill and head may stand off'),
  over: optional(constant('soldiers'), 'bricks on end over it'),
  symmetric: optional(yes, 'the bond reads the same both ways from its middle'),
});
export type Opening = States<typeof opening>;

/** A height some course must, or should, land on: a bearing, a floor, a plate, a dpc, an old course line. */
export const fixedHeight = object({
  id: required(id('fixed height')),
  name: optional(text),
  at: required(height(), 'above the wall’s base'),
  keep: optional(keep, 'must land, or should'),
  tolerance: optional(place, 'how far off a course may land'),
});
export type FixedHeight = States<typeof fixedHeight>;
