import { messages } from '../../messages/message.js';

const KEY = ['bed', 'head'] as const;
const OPENING = ['sill', 'head'] as const;
const SIDE = ['over', 'under'] as const;
const WAY = ['raise', 'lower'] as const;

/** What the gauge says: how courses meet heights, and the ways to bring them there. */
export const GAUGE_ROOM = {
  // Findings
  'bed-comes-to': { bed: 'number', to: 'length', least: 'length', most: 'length' },
  'courses-stop': {
    courses: 'count',
    bed: 'length',
    by: 'length',
    side: SIDE,
    height: 'length',
    least: 'length',
    most: 'length',
  },
  'opening-off': { opening: 'name', parts: 'list' },
  'edge-off': { edge: OPENING, at: 'length', by: 'length' },
  'set-opening': { opening: 'name', moves: 'list' },
  'edge-to': { edge: OPENING, to: 'length' },
  'height-off': { height: 'name', at: 'length', by: 'length', side: SIDE, course: 'number' },
  'heights-off': { heights: 'series' },
  'heights-off-none-meets': { heights: 'series' },
  'move-heights': { moves: 'list' },
  'height-to': { height: 'name', to: 'length' },
  'units-vary': {
    count: 'count',
    least: 'length',
    most: 'length',
    joint: KEY,
    leaves: 'length',
    allowed: 'length',
    way: 'said',
  },
  'joint-hides': { joint: KEY, at: 'length' },
  'no-joint-hides': { joint: KEY },
  'ask-for-joint': { joint: KEY, at: 'length' },
  // Ways: a few words for a button, then the same with its reason
  'courses-at': { courses: 'count', bed: 'length' },
  'courses-at-divides': { courses: 'count', bed: 'length' },
  'ease-all': { beds: 'count', to: 'length' },
  'ease-all-because': { to: 'length', courses: 'count', by: 'length' },
  'ask-beds': { bed: 'length' },
  'ask-beds-because': { bed: 'length', was: 'length', courses: 'count' },
  'lose-lowest': { beds: 'count' },
  'lose-lowest-because': { beds: 'count', low: 'length', rest: 'number', bed: 'length', seen: 'said' },
  'finish-hides': {},
  'change-shows': { by: 'length' },
  'change-unseen': {},
  'gauge-each': { odd: ['none', 'half-high', 'sawn'] },
  'gauge-each-because': {
    odd: ['none', 'half-high', 'sawn'],
    beds: 'said',
    landing: 'said',
    proof: ['whole', 'stopped'],
  },
  beds: { groups: 'list' },
  'beds-and-so-on': { groups: 'list' },
  'beds-first': { count: 'count', bed: 'length' },
  'beds-then': { count: 'number', bed: 'length' },
  'all-land': {},
  'all-but': { names: 'list' },
  'move-footing': { way: WAY, by: 'length' },
  'move-footing-because': { way: WAY, by: 'length', courses: 'count', bed: 'length' },
  'ask-height': { height: 'length' },
  'ask-height-because': {
    height: 'length',
    by: 'length',
    side: ['less', 'more'],
    courses: 'count',
    bed: 'length',
  },
  'bring-openings': {},
  'bring-openings-because': { moves: 'series' },
  'opening-moves': { opening: 'name', moves: 'list' },
  'half-high-first': {},
  'half-high-first-because': { high: 'length', courses: 'count', bed: 'length' },
  'saw-course': { to: 'length' },
  'saw-course-because': { to: 'length', courses: 'count' },
  'throws-off': { says: 'said', count: 'count', what: ['openings', 'heights'] },
  'sill-of': { name: 'name' },
  'head-of': { name: 'name' },
  'the-top': {},
  top: {},
  heads: {},
  flags: { names: 'series' },
} as const;

export const SAYS = messages('gauge', GAUGE_ROOM);
