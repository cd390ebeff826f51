import { optional, required, type Shape } from '../shape.js';
import { bar, count, length, text } from './basics.js';

export const steel: Shape = {
  kind: 'object',
  keys: {
    vertical: optional({
      kind: 'object',
      keys: { bar: required(bar), every: required(length), place: optional(text) },
    }),
    beams: optional({
      kind: 'list',
      most: 1000,
      of: {
        kind: 'object',
        keys: {
          course: required({
            kind: 'either',
            says: 'a course number or "top"',
            shapes: [{ kind: 'const', value: 'top' }, count(10_000)],
          }),
          bar: required(bar),
          count: required(count(20)),
        },
      },
    }),
    footing: optional({ kind: 'object', keys: { bar: required(bar), count: required(count(20)) } }),
  },
};
