import { messages } from '../../messages/message.js';

export const FRAME_ROOM = {
  notched: {},
  'notched-formula': {},
  relief: {},
  'relief-formula': {},
  'relief-apart': {},
  ties: {},
  'ties-formula': {},
  posts: {},
  courses: {},
  'as-laid': {},
  practice: {},
  'tie-every': {},
  notches: {},
  'notches-none': {},
  post: {},
  course: {},
  unit: {},
  'cut-out': {},
  'is-left': {},
  'relief-cuts': {},
  'cut-is': { wide: 'length', deep: 'length' },
  'left-is': { least: 'length' },
  'nothing-left': {},
  'thin-ears': { post: 'name', count: 'count', least: 'length', most: 'length' },
  'stand-so': { post: 'name', side: ['as-it-is', 'inside', 'outside'], moved: ['yes', 'no'], by: 'length' },
  'leave-under-beam': { leave: 'length' },
  'fills-not-bears': {},
  'bears-none': {},
} as const;

export const FRAME_SAYS = messages('frame', FRAME_ROOM);
