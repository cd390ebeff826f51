import { messages } from '../messages/message.js';
import { SPOKEN_KINDS } from '../walling/units/laying/kinds.js';

/** What a drawing says beside itself. */
export const SCENE_ROOM = {
  picks: { picks: 'list' },
  pick: { kind: [...SPOKEN_KINDS, 'sawn'], count: 'count' },
  'not-built': { by: 'length' },
} as const;

export const SAYS = messages('scene', SCENE_ROOM);
