import { optional, required, type Shape } from '../shape.js';
import { bar, count, id, length, level, place, text } from './basics.js';

const run: Shape = { kind: 'number', least: 0, most: 999, whole: true };
const yesOrNo: Shape = { kind: 'oneOf', values: [true, false] };
const yes: Shape = { kind: 'const', value: true };

export const steel: Shape = {
  kind: 'object',
  keys: {
    vertical: optional({
      kind: 'object',
      keys: {
        bar: required(bar),
        every: required(length),
        place: optional(text, 'as the drawing words it'),
        from: optional(length, 'the bar’s centre from the outside face, as the drawing says'),
        hook: optional(yes, 'hooked at the top'),
      },
    }),
    beams: optional({
      kind: 'list',
      most: 1000,
      of: {
        kind: 'object',
        keys: {
          course: required({
            kind: 'either',
            says: 'a course number, "top" or "over-openings"',
            shapes: [{ kind: 'oneOf', values: ['top', 'over-openings'] }, count(10_000)],
          }),
          bar: required(bar),
          count: required(count(20)),
        },
      },
    }),
    footing: optional({ kind: 'object', keys: { bar: required(bar), count: required(count(20)) } }),
    lap: optional({
      kind: 'object',
      keys: {
        rule: required({ kind: 'oneOf', values: ['48d', '40d', 'computed', 'drawing'] }),
        length: optional(length, 'as the drawing says'),
        masonry: optional({ kind: 'number', least: 1, most: 100 }, 'strength of the masonry, N/mm²'),
      },
    }),
    bed: optional(
      {
        kind: 'object',
        keys: {
          every: required(count(100), 'courses'),
          kind: required({ kind: 'oneOf', values: ['ladder', 'wire', 'bars'] }),
          bar: optional(bar),
        },
      },
      'reinforcement in the beds',
    ),
    straps: optional({ kind: 'object', keys: { every: required(count(100), 'courses') } }, 'corner straps'),
    drilled: optional(yes, 'starters drilled into concrete that is there already'),
    cells: optional(
      {
        kind: 'list',
        most: 10_000,
        of: {
          kind: 'object',
          keys: {
            id: required(id),
            run: required(run),
            at: required(place, 'the middle of the cell'),
            bar: optional(yesOrNo),
            grout: optional(yesOrNo),
          },
        },
      },
      'cells treated otherwise, by hand',
    ),
    starters: optional(
      {
        kind: 'list',
        most: 10_000,
        of: {
          kind: 'object',
          keys: {
            id: required(id),
            run: required(run),
            at: required(place),
            off: optional(level, 'off the middle of the wall, outward positive'),
          },
        },
      },
      'starters as they were found to stand',
    ),
    stock: optional({ kind: 'list', of: length, least: 1, most: 10 }, 'lengths that bars come in'),
  },
};

export const grout: Shape = {
  kind: 'object',
  keys: {
    fill: required({
      kind: 'either',
      says: '"none", "steel", "all" or { "every": n cells }',
      shapes: [
        { kind: 'oneOf', values: ['none', 'steel', 'all'] },
        { kind: 'object', keys: { every: required(count(1000)) } },
      ],
    }),
    below: optional(length, 'filled solid up to this height'),
    jambs: optional(yes, 'the cell each side of every opening too'),
    aggregate: optional({ kind: 'oneOf', values: ['fine', 'coarse'] }),
    pour: optional(length, 'the most that is poured at once'),
    hose: optional({ kind: 'object', keys: { length: required(length), bore: required(length) } }),
  },
};
