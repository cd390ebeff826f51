import { sentences, type Screen } from './screen.js';

/** The stage Gauge. */
export const AT_GAUGE_SAYS = {
  giveOrTake: 'give or take',
  fixedHeights: 'Fixed heights',
  addOne: 'Add one',
  onlyTheTopAdd: 'Only the top. Add a bearing, a floor, a plate or an old course line.',
  heightOf: 'Height of',
  courses: 'Courses',
  bedTarget: 'Bed, target',
  howTheBedIs: 'How the bed is found',
  waysToReachThe: 'Ways to reach the heights',
  whatWillBeSeen: 'What will be seen',
  theFace: 'The face',
  hiddenUpTo: 'Hidden up to',
  bedsThatSoilA:
    'Beds that soil, a skirting or render will hide may be fatter or thinner, and nobody counts the change.',
  takeThePole: 'Take the [pole]',
  cumulativeMarksFromThe:
    'Cumulative marks from the base, nail spacing, and a small full-size gauge with a ruler to check the printer by.',
  realUnits: 'Real units',
  heightsMeasuredTenOr: 'Heights measured, ten or more',
  lengthsMeasured: 'Lengths measured',
  heightNo: ['Height {label}', { label: 'name' }],
  keepOf: ['{name}{keep, select, must {} other { (a wish)}}', { name: 'said', keep: ['must', 'wish'] }],
  sillAndHead: ['{name}, sill and head', { name: 'name' }],
  takeOut: ['Take out {what}', { what: 'name' }],
  coursesIn: ['{count, number} in {height}', { count: 'number', height: 'length' }],
  bedsComeTo: [
    'Beds come to {from}; they may be {least} to {most}.',
    { from: 'length', least: 'length', most: 'length' },
  ],
  bedsComeFrom: [
    'Beds come to {from} to {to}; they may be {least} to {most}.',
    { from: 'length', to: 'length', least: 'length', most: 'length' },
  ],
  rendered: 'is rendered',
  sortAdobes:
    'Sort them as they come: the squarest and hardest to corners, jambs and ends, a bad face to the side that is coated or hidden, what is cracked through to halves or back to the pit.',
  sampleSays: [
    '{count, number} {size, select, height {heights} other {lengths}}: mean {mean}, from {from} to {to}. A {size, select, height {bed} other {[perp]}} of at least {least} hides that; this one is {joint}.',
    {
      count: 'number',
      size: ['height', 'length'],
      mean: 'length',
      from: 'length',
      to: 'length',
      least: 'length',
      joint: 'length',
    },
  ],
  mustLand: 'must land there',
  mayMove: 'may move',
  inSight: 'stays in sight',
} as const satisfies Screen;

export const AT_GAUGE = sentences('at-gauge', AT_GAUGE_SAYS);
