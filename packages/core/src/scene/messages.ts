import { messages } from '../messages/message.js';

/** What a drawing says beside itself. */
export const SCENE_ROOM = {
  'lay-way': {},
  outside: {},
  inside: {},
  'both-diagonals': { long: 'length' },
  'two-diagonals': { one: 'length', other: 'length' },
  'corner-moves': {
    name: 'name',
    along: 'length',
    on: ['no', 'on', 'back'],
    across: 'length',
    out: ['no', 'out', 'in'],
  },
  'not-built': { by: 'length' },
} as const;

export const SAYS = messages('scene', SCENE_ROOM);
