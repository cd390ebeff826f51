import type { Catalogue } from '@even-tally/core';

const WHY =
  '{why, select, end {at an end of the wall} corner {at a corner} jamb {at a jamb} joint {beside a movement joint} spacing {at the spacing} other {where it was put by hand}}';

export const steel: Catalogue['steel'] = {
  'spacing-not-had':
    'Bars at {asked} do not suit this unit: its cells stand {pitch} apart, and nothing less than that can be had.',
  'spacing-lower':
    'Bars at {asked} do not suit this unit: its cells stand {pitch} apart. They stand at {used}, the next lower that fits; {next} fits too, if the drawing allows it.',
  'space-them': 'Space them at {every}',
  'no-cells': '{unit} has no cells: upright bars have nowhere to go in this wall.',
  'take-uprights-out': 'Take the uprights out',
  'broken-no-cell': `{count, plural, one {A bar} other {# bars, the first}} ${WHY}, at {at}, cannot go through: there is no cell there at all.`,
  'broken-across': `{count, plural, one {A bar} other {# bars, the first}} ${WHY}, at {at}, cannot go through: course {course} stands across it.`,
  gap: 'Between {from} and {to} no cell goes up: there is no bar for {long}, and {asked} was asked.',
  'cannot-go': '{parts}',
  'as-the-bond': 'Lay the unit in course {course} as the bond has it',
  'left-out': `The bar ${WHY}, at {at}, was taken out by hand. Bars stand at ends, corners, jambs and beside movement joints always.`,
  'put-back': 'Put the bar back',
  'cell-lost': 'A cell was changed by hand at {at}, and no continuous cell stands there now.',
  'at-length': '{at}',
  'forget-change': 'Forget that change',
  'held-not-said':
    'Nobody has said how this wall is held, and that decides on which side of their cells the bars stand. Until then they are drawn in the middle.',
  held: '{how, select, soil {Free at the top, soil behind it} floors {Held by floors at bottom and top} free_standing {Standing free} other {As the drawing says}}',
  'cover-short':
    '{bar} has {has} of {counts, select, masonry {shell and grout} other {grout}} to the {face, select, outside {outside} other {inside}} face, and {least} is the least{exposed, select, yes { where earth or weather comes} other {}}. A smaller bar, a thicker unit or another place: ask its engineer.',
  'stand-from': 'Stand the bars {from} from the outside face',
  'bar-too-large': '{bar} wants {wants} of clear cell; the tightest here is {has}.',
  'lap-beyond':
    '{bar} is over No. 6, where 48 diameters do not serve: the lap is computed, for the drawing to confirm.',
  'use-computed-lap': 'Use the computed lap',
  'starters-wait': 'The footing’s depth is not stated, so its starters are not on the bar schedule yet.',
  'beam-nowhere':
    '{count, plural, one {A beam is asked for where the wall has no course for it} other {# beams are asked for where the wall has no course for them}}: it has {courses, plural, one {# course} other {# courses}}.',
  'beams-to-top': 'Put {count, plural, one {it} other {them}} in the top course',
  'beams-out': 'Take {count, plural, one {it} other {them}} out',
  'inner-none': 'Bars and grout are asked for in the inner [leaf], and the wall has none laid for itself.',
  'leaf-no-cells':
    'Bars and grout are asked for in the {leaf, select, inner {inner} other {outer}} [leaf], whose units have no cells; the other’s have.',
  'put-in-leaf': 'Put them in the {leaf, select, inner {inner} other {outer}} [leaf]',
  'one-starter-off':
    'The starter at {at} does not come up clear in a cell{blocked, select, yes {, but under a web or a [perp]} other {}}. It wants',
  'starters-off':
    '{off, number} of {of, number} starters do not come up clear in a cell{blocked, plural, =0 {} other {, # under a web or a [perp]}}; the first, at {at}, wants',
  'starter-off': '{which} {need}{across, select, yes { across the wall} other {}}. To try: {ways}.',
  'way-shift': 'laying the wall out {shift} clears {clear} of {of}',
  'way-turn': 'turning the sawn unit over one end for end',
  'way-bend': 'a bar may be brought over no more than 1 in 6, {by} in a course, never heated',
  'way-drill':
    'else cut it off and drill beside it: hole {hole}, {depth} deep, {edge} from an edge, by the adhesive maker’s table',
  'way-engineer': 'or ask the engineer',
  'shift-on': '{by} on',
  'shift-back': '{by} back',
  'shift-outward': '{by} outward',
  'shift-inward': '{by} inward',
  'lay-out': 'Lay the wall out {shift}: {clear} of {of} starters come up clear',
  'turn-unit':
    'Turn the sawn unit over it end for end in {courses, plural, one {course {course}} other {the # courses it lies in}}{shows, select, yes {; its sawn end then shows} other {}}',
};
