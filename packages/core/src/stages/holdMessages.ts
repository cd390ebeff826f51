import { messages } from '../messages/message.js';

/** Holds of every stage, and why one may not be passed. */
export const HOLDS_ROOM = {
  // Before concrete
  'before-concrete': {},
  'footing-poured': {},
  trench: { width: 'length', depth: 'length' },
  'footing-bars': { count: 'count', bar: 'name' },
  starters: { count: 'count' },
  // Before and after grout
  'before-grout': { pour: 'number' },
  'pour-placed': { pour: 'number' },
  'each-cell': { bar: 'name' },
  'cell-at': { at: 'length' },
  'cell-in-run': { run: 'name', at: 'length' },
  cleanouts: { count: 'count' },
  'beam-bars': {},
  'no-fins': {},
  'after-grout': {},
  loaded: {},
  tapped: {},
  damp: {},
  braced: {},
  // Before backfill
  'before-backfill': {},
  backfilled: {},
  drain: { stone: 'length' },
  weeps: { kind: ['pipes', 'perps'] },
  waterproof: {},
  age: {},
  propped: {},
  unpropped: {},
  // Why not
  'no-name': {},
  'no-hold': { got: 'name' },
  'no-step': { got: 'name' },
  unseen: { hold: 'said', unseen: 'number', of: 'number', first: 'said' },
  'not-before': { step: 'said', before: 'said' },
  held: { step: 'said', hold: 'said' },
  already: { step: 'said', by: 'name' },
} as const;

export const SAYS = messages('holds', HOLDS_ROOM);
