import type { Catalogue } from '@even-tally/core';

export const bond: Catalogue['bond'] = {
  'begin-whole': 'Begin on a whole {unit, select, brick {brick} adobe {adobe} other {block}}',
  'begin-half': 'Begin on a half {unit, select, brick {brick} adobe {adobe} other {block}}',
  'corners-in-turn': 'Take the corners in turn, each run one of its own',
  'corners-in-pairs': 'Take the corners in pairs, every second run both of its own',
  'closers-beside': 'Put a closer beside each corner',
  'no-closers': 'Run on from the corners without closers',
  'cuts-panel': 'Cut in mid-panel and keep the reveals sound',
  'cuts-jamb': 'Cut at the jambs',
  way: '{way}: {cost}.',
  'move-saves':
    '{move}{must, select, yes {, if it may} other {}}: {saved, plural, one {one fewer} other {# fewer}} sawn, so {cost}.',
  sawn: '{count, plural, =0 {nothing is sawn} one {# piece is sawn} other {# pieces are sawn}}',
  'too-short': '{count, plural, one {# too short} other {# too short}}',
  'short-laps': '{count, plural, one {# short lap} other {# short laps}}',
  smallest: 'smallest {length}',
  'bars-cannot': '{count, plural, one {# bar cannot go up} other {# bars cannot go up}}',
  'starters-in-way': '{count, plural, one {# starter in the way} other {# starters in the way}}',
};
