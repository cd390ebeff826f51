import { messages } from '../../messages/message.js';

export const MOVEMENT_ROOM = {
  due: { run: 'name', long: 'length', corner: ['yes', 'no'], most: 'length', rule: 'said' },
  'due-nowhere': { run: 'name', long: 'length', corner: ['yes', 'no'], most: 'length', rule: 'said' },
  'as-drawn': { every: 'length' },
  'drawing-says': {},
  'rule-us-block': {},
  'rule-us-block-low': {},
  'rule-us-block-retaining': {},
  'rule-us-block-reinforced': {},
  'rule-us-clay': {},
  'rule-uk-block': {},
  'rule-uk-clay': {},
  'rule-uk-clay-free': {},
  'joints-at': { count: 'count', places: 'list' },
  place: { at: 'length' },
  weak: { places: 'list' },
  'height-change': {},
  'both-sides': { opening: 'name' },
  'none-there': {},
  'bring-to-perp': { to: 'length' },
  'sawn-for': { count: 'count', at: 'length' },
  refused: { at: 'length', why: 'said' },
} as const;

export const SAYS = messages('movement', MOVEMENT_ROOM);
