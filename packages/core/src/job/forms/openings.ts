import { optional, required, type Shape } from '../shape.js';
import { id, keep, length, place, text } from './basics.js';

export const opening: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    run: required({ kind: 'number', least: 0, most: 999, whole: true }, 'which run, from 0'),
    at: required(place, 'along the run'),
    width: required(length),
    sill: required(place, 'above the wall’s base; 0 for a door'),
    head: required(length, 'top of the last course below the lintel'),
    keep: optional(keep, 'must stand there, or may move to suit'),
    tolerance: optional(place, 'how far its sill and head may stand off'),
    over: optional({ kind: 'const', value: 'soldiers' }, 'bricks on end over it'),
    symmetric: optional({ kind: 'const', value: true }, 'the bond reads the same both ways from its middle'),
  },
};

export const fixedHeight: Shape = {
  kind: 'object',
  keys: {
    id: required(id),
    name: optional(text),
    at: required(length, 'above the wall’s base'),
    keep: optional(keep, 'must land, or should'),
    tolerance: optional(place, 'how far off a course may land'),
  },
};
