import { optional, required, type Shape } from '../shape.js';
import { count, id, length, level, place, text } from './basics.js';

export const footing: Shape = {
  kind: 'object',
  keys: {
    width: required(length),
    depth: required(length),
    past: optional(place, 'how far it goes on past a free end'),
    trench: optional(length, 'from the ground to the bottom of the trench'),
    from: optional({ kind: 'oneOf', values: ['bags', 'ready-mix'] }, 'how the concrete comes'),
  },
};

export const poured: Shape = {
  kind: 'list',
  most: 2000,
  of: {
    kind: 'object',
    keys: {
      run: required({ kind: 'number', least: 0, most: 999, whole: true }),
      at: required(place),
      level: required(level, 'above or below the wall’s base'),
      simulated: optional({ kind: 'const', value: true }, 'shot with the simulated level, for practice'),
    },
  },
};

export const square: Shape = {
  kind: 'object',
  keys: {
    sides: required({ kind: 'list', of: length, least: 4, most: 4 }, 'AB, BC, CD, DA as taped'),
    diagonals: required({ kind: 'list', of: length, least: 1, most: 2 }, 'AC, and BD to prove it'),
  },
};

export const old: Shape = {
  kind: 'object',
  keys: {
    height: optional(length, 'over several of the old courses'),
    courses: optional(count(1000), 'how many'),
    gap: optional(level, 'between a plumb level and the old face; leaning outward positive'),
    over: optional(length, 'the length of the level'),
    wallHeight: optional(length, 'height of the old wall'),
    fade: optional(count(1000), 'courses that bring the face back to plumb'),
  },
};

export const assumed: Shape = {
  kind: 'list',
  most: 200,
  of: {
    kind: 'object',
    keys: {
      id: required(id),
      says: required(text, 'what was taken, and for what'),
      confirmed: optional(text, 'by whom'),
    },
  },
};

export const site: Shape = {
  kind: 'object',
  keys: {
    datum: optional(text, 'what every level is measured from'),
    clearance: optional(place, 'plinth above the highest ground'),
    cover: optional(place, 'ground above the footing’s top, at least'),
    slab: optional(level, 'underside of a slab that passes over the footing'),
    instrument: optional(level, 'height of the instrument above the datum'),
    layers: optional({
      kind: 'object',
      keys: {
        stated: optional(length, 'the total somebody gave'),
        list: required({
          kind: 'list',
          most: 50,
          of: { kind: 'object', keys: { name: required(text), thickness: required(length) } },
        }),
      },
    }),
    points: optional({
      kind: 'list',
      most: 500,
      of: {
        kind: 'object',
        keys: {
          id: required(id),
          name: required(text),
          is: required({ kind: 'oneOf', values: ['ground', 'support', 'mark'] }),
          level: required(level, 'above the datum'),
          reading: optional(level, 'what the staff read on it'),
        },
      },
    }),
  },
};
