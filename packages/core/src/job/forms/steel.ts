import type { Called } from '../edits/messages.js';
import { LIMITS } from '../limits.js';
import { EXPOSURE_CLASSES } from '../../tables/cover.js';
import {
  either,
  list,
  number,
  object,
  oneOf,
  optional,
  required,
  type States,
} from '../../statement/statement.js';
import { address, along, bar, count, height, id, length, level, run, text, yes, yesOrNo } from './basics.js';

/** One continuous cell treated otherwise than the spacing has it, by hand. */
const cellChange = object({
  id: required(id('cell set by hand')),
  place: optional(address, 'the cell’s, instead of run and at'),
  run: optional(run),
  at: optional(along('middle'), 'the middle of the cell'),
  bar: optional(yesOrNo),
  grout: optional(yesOrNo),
  rises: optional(yes, 'filled course by course as the wall goes up'),
});
export type CellChange = States<typeof cellChange>;

/** A bar left up from the footing, where it was found to stand. */
const starter = object({
  id: required(id('starter')),
  place: optional(address, 'its run’s, instead of run'),
  run: optional(run),
  at: required(along('middle')),
  off: optional(level, 'off the middle of the wall, outward positive'),
});
export type Starter = States<typeof starter>;

const beamCourse = either(
  'a course number, "top" or "over-openings"',
  oneOf('top', 'over-openings'),
  count(10_000),
);
export type BeamCourse = States<typeof beamCourse>;

export const steel = object({
  vertical: optional(
    object({
      bar: required(bar),
      every: required(along('pitch')),
      place: optional(text, 'as the drawing words it'),
      from: optional(length, 'the bar’s centre from the outside face, as the drawing says'),
      hook: optional(yes, 'hooked at the top'),
    }),
  ),
  beams: optional(
    list(object({ course: required(beamCourse), bar: required(bar), count: required(count(20)) }), 1000),
  ),
  footing: optional(object({ bar: required(bar), count: required(count(20)) })),
  lap: optional(
    object({
      rule: required(oneOf('48d', '40d', 'computed', 'drawing')),
      length: optional(length, 'as the drawing says'),
      masonry: optional(number(1, 100), 'strength of the masonry, N/mm²'),
    }),
  ),
  bed: optional(
    object({
      every: required(count(100), 'courses'),
      kind: required(oneOf('ladder', 'wire', 'bars')),
      bar: optional(bar),
    }),
    'reinforcement in the beds',
  ),
  straps: optional(object({ every: required(count(100), 'courses') }), 'corner straps'),
  drilled: optional(yes, 'starters drilled into concrete that is there already'),
  cells: optional(list(cellChange, LIMITS.cells), 'cells treated otherwise, by hand', {
    called: 'cell' satisfies Called,
  }),
  starters: optional(list(starter, LIMITS.cells), 'starters as they were found to stand', {
    called: 'starter' satisfies Called,
  }),
  exposure: optional(oneOf(...EXPOSURE_CLASSES), 'by EN 1996, which cover follows from'),
  stock: optional(list(length, 10, 1), 'lengths that bars come in'),
});
export type Steel = States<typeof steel>;

export const grout = object({
  fill: required(
    either(
      '"none", "steel", "all" or { "every": n cells }',
      oneOf('none', 'steel', 'all'),
      object({ every: required(count(1000)) }),
    ),
  ),
  below: optional(height(), 'filled solid up to this height'),
  jambs: optional(yes, 'the cell each side of every opening too'),
  aggregate: optional(oneOf('fine', 'coarse')),
  pour: optional(length, 'the most that is poured at once'),
  hose: optional(object({ length: required(length), bore: required(length) })),
});
export type Grout = States<typeof grout>;

/** How a wall is held, which says where its steel belongs: asked, never inferred. */
export const held = oneOf('soil', 'floors', 'free-standing', 'drawing');
export type Held = States<typeof held>;
