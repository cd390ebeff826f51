import { messages } from '../../messages/message.js';

const KINDS = ['concrete', 'steel', 'stone', 'timber', 'beam', 'arch', 'unsaid'] as const;

export const LINTELS_ROOM = {
  'not-designed': { openings: 'series' },
  'opening-wants': { opening: 'name', length: 'length', clear: 'length', bearing: 'length' },
  'opening-leaf-wants': {
    opening: 'name',
    leaf: ['outer', 'inner'],
    length: 'length',
    clear: 'length',
    bearing: 'length',
  },
  'no-mark': { openings: 'list' },
  together: { says: 'sentences' },
  'soldiers-carry-nothing': { openings: 'list' },
  short: { opening: 'name', end: ['left', 'right'], bears: 'length', least: 'length' },
  'does-not-add': { opening: 'name', length: 'length', clear: 'length', left: 'length', right: 'length' },
  'make-it': { length: 'length', bearing: 'length' },
  sliver: { opening: 'name', end: ['left', 'right'], piece: 'length', least: 'length' },
  'off-the-wall': { opening: 'name', end: ['left', 'right'], over: 'length' },
  heavy: { lintels: 'list' },
  'heavy-one': { opening: 'name', weight: 'mass' },
  // The schedule
  'lintels-name': {},
  'lintels-of': { wall: 'name' },
  'lintels-sub': { job: 'name', count: 'count' },
  'lintels-rule': {},
  'lintels-set': {},
  lintels: {},
  opening: {},
  leaf: {},
  'leaf-is': { leaf: ['outer', 'inner', 'all'] },
  kind: {},
  'kind-is': { kind: KINDS },
  long: {},
  bearings: {},
  'bearings-are': { left: 'length', right: 'length' },
  high: {},
  weight: {},
  mark: {},
  by: {},
  unsaid: {},
  'count-formula': {},
  'openings-covered': {},
} as const;

export const SAYS = messages('lintels', LINTELS_ROOM);
