import { messages } from '../../messages/message.js';

export const CAVITY_ROOM = {
  'ties-not-level': { within: 'length', widest: 'length', up: 'length' },
  'ties-few': {
    tape: ['mm', 'ft-in'],
    has: 'number',
    wants: 'number',
    along: 'length',
    alongMost: 'length',
    up: 'length',
    upMost: 'length',
  },
  'ties-by-rule': { along: 'length', up: 'length' },
  narrow: { width: 'length', least: 'length' },
  'make-it': { width: 'length' },
  'inner-off': { by: 'length', side: ['under', 'over'] },
} as const;

export const SAYS = messages('cavity', CAVITY_ROOM);
