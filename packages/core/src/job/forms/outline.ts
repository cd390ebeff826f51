import { optional, required, type Shape } from '../shape.js';
import { count, id, length, level, place, text } from './basics.js';

const run: Shape = { kind: 'number', least: 0, most: 999, whole: true };

export const top: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    run: required(run),
    kind: required({ kind: 'oneOf', values: ['raked', 'stepped', 'scallop', 'ramp'] }),
    from: required(place, 'along the run'),
    to: required(length, 'along the run'),
    left: required(length, 'height where it begins'),
    right: required(length, 'height where it ends'),
    step: optional(count(1000), 'courses in each step'),
    dip: optional(length, 'how far a scallop hangs below the line between its ends'),
  },
};

export const step: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    run: required(run),
    from: required(place, 'along the run'),
    to: required(length, 'along the run'),
    up: required(count(10_000), 'whole courses above the wall’s base'),
  },
};

export const vents: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    run: required(run),
    course: required(count(10_000)),
    what: required({ kind: 'oneOf', values: ['air-brick', 'vent'] }),
    every: required(length, 'from one to the next'),
  },
};

export const pier: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    run: required(run),
    at: required(place, 'along the run'),
    width: required(length),
    side: optional({ kind: 'oneOf', values: ['inside', 'outside'] }),
  },
};

export const onSite: Shape = {
  kind: 'object',
  keys: {
    x: required(level),
    y: required(level),
    heading: optional({ kind: 'number', least: -360, most: 360 }, 'degrees, left positive'),
  },
};

export const movementJoint: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    run: required(run),
    at: required(length, 'its middle, along the run'),
    width: optional(length),
    beams: optional({ kind: 'oneOf', values: ['dowelled', 'cut'] }, 'what beams do at it'),
    refused: optional(text, 'why it is not wanted: nothing is laid to it'),
  },
};

const yes: Shape = { kind: 'const', value: true };

export const retains: Shape = {
  kind: 'object',
  keys: {
    height: required(length, 'from the lower ground to the top of what is held'),
    side: optional({ kind: 'oneOf', values: ['outside', 'inside'] }, 'which side the ground is on'),
    surcharge: optional(yes, 'something stands or drives on it'),
    slope: optional(yes, 'it slopes up from the wall'),
    water: optional(yes, 'water stands in it or runs to it'),
    building: optional(yes, 'a building is near'),
    stepBack: optional(length, 'set back a course'),
    weeps: optional({ kind: 'oneOf', values: ['open-perps', 'pipes'] }),
    weepsEvery: optional(length),
    stone: optional(length, 'thickness of the drainage stone'),
  },
};
