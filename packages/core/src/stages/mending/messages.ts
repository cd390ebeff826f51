import { messages } from '../../messages/message.js';

export const MENDING_ROOM = {
  name: {},
  of: { wall: 'name' },
  sub: { job: 'name', count: 'count' },
  none: {},
  hole: {},
  size: {},
  'size-is': { width: 'length', height: 'length', depth: 'length' },
  'stone-in': {},
  behind: {},
  ties: {},
  fixings: {},
  order: {},
  'what-is-done': {},
  step: { step: ['find', 'prop', 'cut', 'wet', 'ties', 'fill', 'point'], lift: 'length' },
  stones: {},
  'stones-formula': {},
  limecrete: {},
  'limecrete-formula': {},
  'ties-formula': {},
  'fixings-formula': {},
  'as-stated': {},
  practice: {},
  apart: {},
  'tie-apart': {},
  share: {},
  density: {},
  'prop-first': { hole: 'name', wide: 'length', deep: 'length' },
} as const;

export const MENDING = messages('mending', MENDING_ROOM);
