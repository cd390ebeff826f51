import { messages } from '../../messages/message.js';

const HIGH = ['high', 'low'] as const;
const YES = ['yes', 'no'] as const;

export const GROUND_ROOM = {
  'layers-off': { layers: 'length', by: 'length', side: ['more', 'less'], stated: 'length' },
  'readings-out': { points: 'series' },
  'point-stands': { point: 'name', by: 'length', side: HIGH },
  assumed: { what: 'series' },
  'footing-narrow': { by: 'length' },
  'footing-thin': { depth: 'length', projects: 'length', least: 'length', garden: 'length' },
  uneven: {
    simulated: YES,
    grind: 'count',
    pack: 'count',
    bed: 'length',
    at: 'length',
    does: ['grind', 'pack'],
    by: 'length',
  },
  diagonal: { wanted: 'length', off: 'length' },
  'not-square': { corners: 'series' },
  'corner-moves': { corner: 'name', moves: 'list' },
  onward: { by: 'length' },
  back: { by: 'length' },
  out: { by: 'length' },
  in: { by: 'length' },
  engineer: { reasons: 'sentences' },
  leans: { oneIn: 'number', most: 'number' },
  'leaves-middle-third': {},
} as const;

export const SAYS = messages('ground', GROUND_ROOM);
