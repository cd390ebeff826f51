import type { Catalogue } from '@even-tally/core';

export const gauge: Catalogue['gauge'] = {
  'bed-comes-to': 'Bed {bed} comes to {to}; beds may be {least} to {most}.',
  'courses-stop':
    '{courses, plural, one {# course} other {# courses}} at {bed} beds {courses, plural, one {stops} other {stop}} {by} {side, select, under {below} other {above}} the height of {height}; beds may be {least} to {most}.',
  'opening-off': '{opening}: {parts} off the courses, so a row is sawn in height to it.',
  'edge-off': '{edge, select, sill {sill} other {head}} at {at} is {by}',
  'set-opening': 'Set {opening} {moves}',
  'edge-to': '{edge, select, sill {sill} other {head}} to {to}',
  'height-off':
    '{height} at {at} is {by} {side, select, over {over} other {under}} the top of course {course}',
  'heights-off': '{heights}.',
  'heights-off-none-meets': '{heights}. No gauge inside the limits meets every fixed height.',
  'move-heights': 'Move {moves}',
  'height-to': '{height} to {to}',
  'units-vary':
    '{count, plural, one {# unit} other {# units}} measured, {least} to {most}: the {joint, select, bed {thickest} other {longest}} would leave a {joint, select, bed {bed} other {[perp]}} of {leaves}, and the least allowed is {allowed}. {way}',
  'joint-hides': 'A {joint, select, bed {bed} other {[perp]}} of {at} hides it.',
  'no-joint-hides':
    'No {joint, select, bed {bed} other {[perp]}} inside the limits hides it: sort the units, or set the {joint, select, bed {thickest} other {longest}} aside.',
  'ask-for-joint': 'Ask for {at} {joint, select, bed {beds} other {[perps]}}',
  'courses-at': '{courses, plural, one {# course} other {# courses}} at {bed}',
  'courses-at-divides':
    '{courses, plural, one {# course} other {# courses}} at the target bed of {bed}: the height divides.',
  'ease-all': 'Ease {beds, plural, one {# bed} other {# beds}} to {to}',
  'ease-all-unshown':
    'Ease every bed by less than a tape shows: {courses, plural, one {# course lands} other {# courses land}} on the height.',
  'ease-all-because':
    'Ease every bed to {to}: {courses, plural, one {# course lands} other {# courses land}} on the height, and {by} a bed goes unnoticed.',
  'ask-beds': 'Ask for {bed} beds',
  'ask-beds-because':
    'Ask for {bed} beds instead of {was}: {courses, plural, one {# course} other {# courses}} then divide the height, and whoever mixes and strikes works to one figure.',
  'lose-lowest': 'Lose it in the lowest {beds, plural, one {bed} other {# beds}}',
  'lose-lowest-because':
    'Lose it low down: the lowest {beds, plural, one {bed} other {# beds}} at {low}, then {rest} at {bed}. {seen}',
  'finish-hides': '{by, select, finish {The finish} other {Ground or a skirting}} hides it.',
  'change-shows': 'The fewest beds the limits allow; a change of {by} shows on a fair face.',
  'change-unseen-at': 'One change at {at}, too small to catch the eye there.',
  'change-unseen': 'One change near the ground, too small to catch the eye.',
  'gauge-each':
    'A gauge for each stretch{odd, select, half_high {, one course half-high} sawn {, one course sawn} other {}}',
  'gauge-each-because':
    'A gauge for each stretch{odd, select, half_high { and one course of half-high units} sawn { and one course sawn} other {}}: {beds}. {landing}{proof, select, stopped { It may not be the best there is: the search was cut short.} other {}}',
  beds: '{groups}',
  'beds-and-so-on': '{groups}, and so on',
  'beds-first': '{count, plural, one {# bed} other {# beds}} at {bed}',
  'beds-then': '{count} at {bed}',
  'all-land': 'Every fixed height lands on a course.',
  'all-but': 'All land but {names}.',
  'move-footing': '{way, select, raise {Raise} other {Lower}} the footing {by}',
  'move-footing-because':
    '{way, select, raise {Raise} other {Lower}} the footing {by}: {courses, plural, one {# course} other {# courses}} at {bed}, and every sill, head and the top stay at their levels. Only before it is poured.',
  'ask-height': 'Ask for {height} high',
  'ask-height-because':
    'Ask for a height of {height}, {by} {side, select, less {less} other {more}}: {courses, plural, one {# course} other {# courses}} at {bed}. Whoever drew the height must agree.',
  'bring-openings': 'Bring the openings to the courses',
  'bring-openings-because':
    'Bring the openings that may move to the courses as they lie: {moves}. Only while the frames are not bought.',
  'opening-moves': '{opening} {moves}',
  'half-high-first': 'Begin with a half-high course',
  'half-high-first-because':
    'Begin with a half-high course of {high} units and {courses, plural, one {one whole course} other {# whole courses}} over it, beds at {bed}. Another unit to order.',
  'saw-course': 'Saw course 1 to {to}',
  'saw-course-because':
    'Saw course 1 to {to} and lay {courses, plural, one {one whole course} other {# whole courses}} over it: every unit of one row is cut, where the ground hides it. A last resort.',
  'throws-off':
    '{says} {what, select, heights {{count, plural, one {One fixed height then stands} other {# fixed heights then stand}}} other {{count, plural, one {One sill or head then stands} other {# heights of sills and heads then stand}}}} off the courses.',
  'sill-of': '{name} sill',
  'head-of': '{name} head',
  'the-top': 'the top',
  top: 'top',
  heads: 'heads',
  flags: '{names}',
};
