import { messages } from '../messages/message.js';

/** What a drawing says beside itself. */
export const SCENE_ROOM = {
  'lay-way': {},
  'both-diagonals': { long: 'length' },
  'two-diagonals': { one: 'length', other: 'length' },
  'not-built': { by: 'length' },
} as const;

export const SAYS = messages('scene', SCENE_ROOM);
