import { messages } from '../../messages/message.js';

export const SET_OUT_ROOM = {
  'not-closed': { gap: 'length' },
  'too-sharp': { corners: 'series' },
  'corner-turns': { run: 'name', turn: 'number' },
  'place-lost': { place: 'name' },
  forget: {},
  'entry-lost': { kind: ['reading', 'course-laid'], day: 'name', by: 'name', place: 'said' },
  'run-course': { run: 'number', course: 'said' },
  'not-said': {},
  level: { what: ['ground', 'plinth', 'slab', 'datum'], at: 'name' },
} as const;

export const SAYS = messages('set-out', SET_OUT_ROOM);
