import { messages } from '../../messages/message.js';

const HIGH = ['high', 'low'] as const;
const YES = ['yes', 'no'] as const;

const WAY = ['as-drawn', 'higher', 'lower'] as const;

export const GROUND_ROOM = {
  'middle-third': {},
  'course-out': { course: 'number', by: 'length' },
  'layers-off': { layers: 'length', by: 'length', side: ['more', 'less'], stated: 'length' },
  'readings-out': { points: 'series' },
  'point-stands': { point: 'name', by: 'length', side: HIGH },
  assumed: { what: 'series' },
  'footing-narrow': { by: 'length' },
  'footing-thin': { depth: 'length', projects: 'length', least: 'length', garden: 'length' },
  'gauge-drifts': { by: 'length', side: ['over', 'under'], meets: ['once', 'never'], course: 'number' },
  'bed-answer': { answer: ['take', 'share'], bed: 'length' },
  'line-serves': { way: WAY, by: 'length', least: 'length', most: 'length' },
  'line-leaves': { way: WAY, by: 'length', work: 'series' },
  'work-at': { does: ['grind', 'pack'], by: 'length', at: 'length', run: 'name' },
  'footing-too-narrow': { width: 'length', leastWidth: 'length', projects: 'length', leastPast: 'length' },
  uneven: {
    simulated: YES,
    grind: 'count',
    pack: 'count',
    bed: 'length',
    at: 'length',
    does: ['grind', 'pack'],
    by: 'length',
    line: 'said',
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
