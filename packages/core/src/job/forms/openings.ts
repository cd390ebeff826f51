import {
  amount,
  constant,
  either,
  lengthOf,
  list,
  number,
  object,
  oneOf,
  optional,
  required,
  type States,
} from '../../statement/statement.js';
import { address, height, id, keep, length, place, run, text, yes } from './basics.js';

/** What carries the wall over an opening, as its engineer or its maker has it: nothing here sizes one. */
const lintel = object({
  leaf: optional(number(0, 1, { whole: true }), 'the leaf it is in, 0 outside; left out: all of them'),
  kind: optional(oneOf('concrete', 'steel', 'stone', 'timber', 'beam', 'arch')),
  length: optional(length, 'left out: the opening and a bearing each end'),
  bearings: optional(
    either('a length, or one for each end', length, list(length, 2, 2)),
    'at each end; left out: what the profile has',
  ),
  height: optional(length),
  weight: optional(amount('mass')),
  mark: optional(text, 'the drawing’s or the maker’s'),
  by: optional(text, 'who designed it'),
});
export type Lintel = States<typeof lintel>;

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
  keepWhy: optional(oneOf('made', 'bought', 'room', 'drawn'), 'why it must'),
  tolerance: optional(place, 'how far its sill and head may stand off'),
  over: optional(constant('soldiers'), 'bricks on end over it; they carry nothing'),
  lintel: optional(
    either('a lintel, or a list of them', lintel, list(lintel, 4)),
    'what carries the wall over it',
  ),
  bridged: optional(
    object({
      bearing: optional(length, 'of each stone at each end; left out: 150 mm'),
      each: optional(length, 'how wide one is, through the wall; left out: 300 mm'),
    }),
    'of a wall of stone: stones laid across it side by side, over a smoot or a culvert',
  ),
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
