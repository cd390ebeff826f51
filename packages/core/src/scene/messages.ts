import { messages } from '../messages/message.js';

/** What a drawing says beside itself. */
export const SCENE_ROOM = {
  'lay-way': {},
  'not-built': { by: 'length' },
} as const;

export const SAYS = messages('scene', SCENE_ROOM);
