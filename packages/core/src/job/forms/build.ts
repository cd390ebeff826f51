import { BOND_IDS } from '../../tables/bonds.js';
import { optional, required, type Shape } from '../shape.js';
import { count, id, joint, length, place, samples, text } from './basics.js';

export const size: Shape = {
  kind: 'object',
  keys: { length: required(length), height: required(length), width: required(length) },
};

export const ownUnit: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    family: optional({ kind: 'oneOf', values: ['block', 'brick', 'adobe'] }),
    nominal: optional(size, 'co-ordinating size, joint included'),
    actual: required(size, 'the unit as it measures'),
    cells: optional({ kind: 'number', least: 0, most: 8, whole: true }),
    shell: optional(length, 'face shell thickness'),
    web: optional(length, 'web thickness'),
    taper: optional(place, 'how much thicker both sides of a cell together are at mid height'),
    weight: optional({ kind: 'number', least: 0.01, most: 1000 }, 'kg'),
    halfHigh: optional(length, 'height of the half-high unit that goes with it'),
  },
};

const pieceChange: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    run: required({ kind: 'number', least: 0, most: 999, whole: true }),
    course: required(count(10_000)),
    at: required(place, 'the middle of the unit'),
    length: required(length, 'of the unit as it was'),
    do: required({ kind: 'oneOf', values: ['split', 'swap', 'turn', 'end-for-end'] }),
  },
};

export const build: Shape = {
  kind: 'object',
  keys: {
    kind: required({ kind: 'const', value: 'units' }),
    unit: required(id),
    bond: required({ kind: 'oneOf', values: BOND_IDS }),
    wythes: optional({ kind: 'oneOf', values: [1, 2] }, 'leaves in the wall’s thickness'),
    closers: optional(
      { kind: 'oneOf', values: [true, false] },
      'a closer beside returns that are not half a unit',
    ),
    start: optional({ kind: 'oneOf', values: ['whole', 'half'] }, 'first unit of course 1 in run 0'),
    corners: optional({ kind: 'oneOf', values: ['in-turn', 'in-pairs'] }, 'which run takes each corner'),
    bed: optional(joint),
    head: optional(joint),
    gauge: optional({
      kind: 'object',
      keys: {
        courses: optional(count(10_000), 'whole courses, chosen'),
        lowest: optional(count(10_000), 'beds that take the difference'),
        sawn: optional(count(10_000), 'the course sawn to what is left'),
        halfHigh: optional(count(10_000), 'the course of half-high units'),
        meet: optional({ kind: 'const', value: true }, 'a gauge for each stretch between fixed heights'),
        allow: optional(
          { kind: 'list', of: { kind: 'oneOf', values: ['half-high', 'sawn'] }, most: 2 },
          'what meet may use besides whole courses',
        ),
      },
    }),
    face: optional({
      kind: 'object',
      keys: {
        finish: optional({ kind: 'oneOf', values: ['fair', 'rendered'] }),
        hiddenTo: optional(place, 'height that ground or a skirting hides'),
      },
    }),
    samples: optional(
      {
        kind: 'object',
        keys: { length: optional(samples), height: optional(samples), width: optional(samples) },
      },
      'real units, measured',
    ),
    cavity: optional(
      {
        kind: 'object',
        keys: {
          inner: required(id, 'unit of the inner leaf'),
          width: required(length),
          board: optional(length, 'insulation board in it'),
          across: optional(length, 'tie to tie along the wall'),
          up: optional(length, 'tie to tie up the wall'),
        },
      },
      'an inner leaf behind a cavity',
    ),
    carries: optional({ kind: 'oneOf', values: ['outer', 'inner'] }, 'the leaf bars and grout are in'),
    cuts: optional(
      { kind: 'oneOf', values: ['panel', 'jamb'] },
      'where units are cut when a stretch does not divide',
    ),
    pieces: optional({ kind: 'list', of: pieceChange, most: 10_000 }, 'units laid otherwise'),
    locked: optional(
      { kind: 'list', of: { kind: 'oneOf', values: ['gauge', 'bond'] }, most: 2 },
      'stages whose choice stands',
    ),
  },
};
