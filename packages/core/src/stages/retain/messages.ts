import { messages } from '../../messages/message.js';

export const RETAIN_ROOM = {
  engineer: { reasons: 'series', take: 'list' },
  'over-limit': { high: 'length', limit: 'said' },
  'limit-ground': { most: 'length' },
  'limit-footing': { most: 'length' },
  'single-skin': { thick: 'length' },
  'middle-third': { thick: 'length', ground: 'length' },
  'take-ground': { height: 'length' },
  'take-wall': { height: 'length', thick: 'length' },
  'take-footing': { width: 'length', depth: 'length' },
  'take-the-footing': {},
  'take-bars': { bar: 'name', every: 'spacing' },
  'take-no-bars': {},
  'take-soil': {},
  'take-loads': {},
} as const;

export const SAYS = messages('retain', RETAIN_ROOM);
