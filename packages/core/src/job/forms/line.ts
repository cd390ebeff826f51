import { LIMITS } from '../limits.js';
import { optional, required, type Shape } from '../shape.js';
import { id, text } from './basics.js';

export const lineItem: Shape = {
  kind: 'byKey',
  cases: {
    run: {
      kind: 'object',
      keys: {
        run: required({ kind: 'length', least: 'above-zero', most: LIMITS.run }, 'length of the run'),
        id: optional(id),
        name: optional(text),
      },
    },
    turn: {
      kind: 'object',
      keys: { turn: required({ kind: 'number', least: -180, most: 180 }, 'degrees, left positive') },
    },
    arc: {
      kind: 'object',
      keys: {
        arc: required({ kind: 'length', least: 'above-zero', most: LIMITS.run }, 'radius'),
        sweep: required({ kind: 'number', least: -360, most: 360 }, 'degrees, left positive'),
        id: optional(id),
        name: optional(text),
      },
    },
  },
};
