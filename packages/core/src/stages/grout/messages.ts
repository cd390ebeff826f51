import { messages } from '../../messages/message.js';

export const GROUT_ROOM = {
  'space-tight': {
    aggregate: ['fine', 'coarse'],
    high: 'length',
    wide: 'length',
    deep: 'length',
    at: 'length',
    hasWide: 'length',
    hasDeep: 'length',
  },
  'past-table': { high: 'length' },
  'pour-lower': { most: 'length' },
  'fill-rising': { count: 'count' },
  'use-fine': {},
  nowhere: { unit: 'said' },
  pour: { number: 'number' },
} as const;

export const SAYS = messages('grout', GROUT_ROOM);
