import { messages } from '../../../messages/message.js';

const UNIT = ['block', 'brick', 'adobe'] as const;

/** Ways a bond may begin, turn its corners and take its cuts, and what each costs. */
export const BOND_ROOM = {
  'begin-whole': { unit: UNIT },
  'begin-half': { unit: UNIT },
  'corners-in-turn': {},
  'corners-in-pairs': {},
  'closers-beside': {},
  'no-closers': {},
  'cuts-panel': {},
  'cuts-jamb': {},
  way: { way: 'said', cost: 'list' },
  'move-saves': { move: 'said', must: ['yes', 'no'], saved: 'count', cost: 'list' },
  sawn: { count: 'count' },
  'too-short': { count: 'count' },
  'short-laps': { count: 'count' },
  smallest: { length: 'length' },
  'bars-cannot': { count: 'count' },
  'starters-in-way': { count: 'count' },
} as const;

export const SAYS = messages('bond', BOND_ROOM);
