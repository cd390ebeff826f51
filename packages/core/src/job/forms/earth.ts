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
  type States,
} from '../../statement/statement.js';
import { count, id, length, text } from './basics.js';

/** How bricks of earth are made on the site: with so many moulds, so many a day, and how long they dry. */
const making = object({
  moulds: optional(count(1000), 'left out: one'),
  perMould: optional(count(20), 'bricks of one filling; left out: one'),
  perDay: optional(count(100_000), 'made in a day; left out: by the moulds'),
  batch: optional(amount('volume'), 'soil mixed at a time; left out: a barrow'),
  flat: optional(number(0, 60), 'days they lie flat before they are turned on edge'),
  edge: optional(number(0, 365), 'days on edge until they are laid'),
  loss: optional(number(0, 0.9), 'part that cracks or breaks; left out: 0.1'),
  stabilised: optional(number(0, 0.2), 'cement to dry soil by mass; left out: none'),
});

const named = { id: required(id('soil test')), name: optional(text), date: optional(amount('date')) };

/** What was done with a handful of soil, and what came of it. */
const soilTest = byTag('kind', {
  // A jar of soil and water, shaken and left: what settles in layers.
  jar: object({
    kind: required(constant('jar')),
    ...named,
    sand: required(length),
    silt: required(length),
    clay: required(length),
  }),
  // A roll as thick as a thumb, pushed over an edge until it breaks.
  roll: object({ kind: required(constant('roll')), ...named, breaks: required(length) }),
  // A dry brick let fall from chest height.
  drop: object({
    kind: required(constant('drop')),
    ...named,
    comes: required(oneOf('whole', 'chipped', 'broken')),
  }),
  // A box filled wet, and what the earth in it has shrunk by when it is dry.
  shrink: object({
    kind: required(constant('shrink')),
    ...named,
    box: required(length, 'how long it is'),
    gap: required(length, 'at its ends together'),
  }),
});
export type SoilTest = States<typeof soilTest>;

export const earth = object({ making: optional(making), tests: optional(list(soilTest, 200)) });
export type StatedEarth = States<typeof earth>;
