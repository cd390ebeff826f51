import { messages } from '../messages/message.js';
import { KINDS } from '../walling/units/laying/kinds.js';

/** What a drawing says beside itself. */
export const SCENE_ROOM = {
  picks: { picks: 'list' },
  pick: { kind: [...KINDS, 'sawn'], count: 'count' },
  'not-built': { by: 'length' },
} as const;

export const SAYS = messages('scene', SCENE_ROOM);
