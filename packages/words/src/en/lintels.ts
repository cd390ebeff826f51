import type { Catalogue } from '@even-tally/core';

export const lintels: Catalogue['lintels'] = {
  'not-designed':
    'Something must carry the wall over {openings}. List the lintel its engineer or maker gives: nothing here sizes one.',
  'opening-wants': '{opening}: {length} long at least, {clear} and {bearing} each end',
  'opening-leaf-wants':
    '{opening}, the {leaf, select, outer {outer} other {inner}} [leaf]: {length} long at least, {clear} and {bearing} each end',
  'no-mark':
    '{openings}: a lintel is listed, but not who designed it. Add the drawing’s or the maker’s mark.',
  together: '{says}',
  'soldiers-carry-nothing': 'Soldiers over {openings} carry nothing, themselves neither.',
  short:
    '{opening}: the lintel bears {bears} at its {end, select, left {left} other {right}} end, and {least} is the least.',
  'does-not-add':
    '{opening}: a lintel {length} long does not come to the opening of {clear} with bearings of {left} and {right}.',
  'make-it': 'Take one {length} long, bearing {bearing} each end',
  sliver:
    '{opening}: the {end, select, left {left} other {right}} end of the lintel bears on a piece of {piece}; {least} is the least that holds. A bearing stands on whole units.',
  'off-the-wall':
    '{opening}: the {end, select, left {left} other {right}} end of the lintel reaches {over} past the wall that would carry it.',
  heavy: 'Not lifted by one alone: {lintels}. Two people or a hoist, and nobody under it.',
  'heavy-one': '{opening}, {weight}',
  'lintels-name': 'Lintels',
  'lintels-of': 'Lintels of {wall}',
  'lintels-sub': '{job}; {count, plural, one {# lintel} other {# lintels}}',
  'lintels-rule':
    'Length is the opening and a bearing each end. Size and steel are the engineer’s or the maker’s: nothing here sizes one.',
  'lintels-set':
    'Bed each end full, on whole units, level and clear of the frame. Let bearings set before anything stands on it; prop what its maker says to prop.',
  lintels: 'Lintels',
  opening: 'Opening',
  leaf: '[Leaf]',
  'leaf-is': '{leaf, select, outer {outer} inner {inner} other {all}}',
  kind: 'Of',
  'kind-is':
    '{kind, select, concrete {concrete} steel {steel} stone {stone} timber {timber} beam {grouted beam} arch {arch} other {not said}}',
  long: 'Long',
  bearings: 'Bears',
  'bearings-are': '{left} and {right}',
  high: 'High',
  weight: 'Weight',
  mark: 'Mark',
  by: 'By',
  unsaid: 'not said',
  'count-formula': 'one over each opening, or one in each [leaf] over it, as they are listed',
  'openings-covered': 'Openings with wall over them',
};
