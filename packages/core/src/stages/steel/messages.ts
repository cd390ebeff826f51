import { messages } from '../../messages/message.js';

const WHY = ['end', 'corner', 'jamb', 'joint', 'spacing', 'asked'] as const;
const LEAF = ['inner', 'outer'] as const;
const YES = ['yes', 'no'] as const;

/** What bars say: where they cannot go, what starters stand off, beams nowhere. */
export const STEEL_ROOM = {
  'spacing-not-had': { asked: 'spacing', pitch: 'spacing' },
  'spacing-lower': { asked: 'spacing', pitch: 'spacing', used: 'spacing', next: 'spacing' },
  'space-them': { every: 'spacing' },
  'no-cells': { unit: 'said' },
  'take-uprights-out': {},
  'broken-no-cell': { count: 'count', why: WHY, at: 'length' },
  'broken-across': { count: 'count', why: WHY, at: 'length', course: 'number' },
  gap: { from: 'length', to: 'length', long: 'length', asked: 'spacing' },
  'cannot-go': { parts: 'sentences' },
  'as-the-bond': { course: 'number' },
  'left-out': { why: WHY, at: 'length' },
  'put-back': {},
  'cell-lost': { at: 'said' },
  'at-length': { at: 'length' },
  'forget-change': {},
  'held-not-said': {},
  held: { how: ['soil', 'floors', 'free-standing', 'drawing'] },
  'cover-short': {
    bar: 'name',
    has: 'length',
    least: 'length',
    face: ['outside', 'inside'],
    counts: ['masonry', 'infill'],
    exposed: ['yes', 'no'],
  },
  'stand-from': { from: 'length' },
  'bar-too-large': { bar: 'name', wants: 'length', has: 'length' },
  'lap-beyond': { bar: 'name' },
  'use-computed-lap': {},
  'starters-wait': {},
  'beam-nowhere': { count: 'count', courses: 'count' },
  'beams-to-top': { count: 'count' },
  'beams-out': { count: 'count' },
  'inner-none': {},
  'leaf-no-cells': { leaf: LEAF },
  'put-in-leaf': { leaf: LEAF },
  'one-starter-off': { at: 'length', blocked: YES },
  'starters-off': { off: 'count', of: 'count', blocked: 'count', at: 'length' },
  'starter-off': { which: 'said', need: 'length', across: YES, ways: 'series' },
  'way-shift': { shift: 'list', clear: 'number', of: 'number' },
  'way-turn': {},
  'way-bend': { by: 'length' },
  'way-drill': { hole: 'length', depth: 'length', edge: 'length' },
  'way-engineer': {},
  'shift-on': { by: 'length' },
  'shift-back': { by: 'length' },
  'shift-outward': { by: 'length' },
  'shift-inward': { by: 'length' },
  'lay-out': { shift: 'list', clear: 'number', of: 'number' },
  'turn-unit': { courses: 'count', course: 'number', shows: YES },
} as const;

export const SAYS = messages('steel', STEEL_ROOM);
