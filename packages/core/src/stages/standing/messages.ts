import { messages } from '../../messages/message.js';

export const STANDING_ROOM = {
  engineer: { reasons: 'series', take: 'list' },
  'too-high': {
    high: 'length',
    most: 'length',
    thick: 'length',
    exposure: ['said', 'unsaid', 'none'],
    zone: 'count',
  },
  'leaves-alone': { thick: 'length' },
  seismic: { category: 'name' },
  piers: {},
  'take-wall': { height: 'length', length: 'length', thick: 'length' },
  'take-footing': { width: 'length', depth: 'length' },
  'take-the-footing': {},
  'take-place': {},
  'take-openings': {},
  'how-exposed': { least: 'length', most: 'length', zone: 'count' },
  'exposure-is': { zone: ['1', '2', '3', '4'] },
  'ground-not-said': {},
} as const;

export const SAYS = messages('standing', STANDING_ROOM);
