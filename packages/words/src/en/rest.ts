import type { Catalogue } from '@even-tally/core';

export const grout: Catalogue['grout'] = {
  'space-tight':
    '{aggregate, select, fine {Fine} other {Coarse}} grout poured {high} high wants {wide} × {deep} clear; the cell at {at} has {hasWide} × {hasDeep}.',
  'past-table': 'A pour {high} high is higher than the table goes: build it in more than one.',
  'pour-lower': 'Pour no more than {most} at once',
  'fill-rising':
    'Fill {count, plural, one {that cell} other {those # cells}} course by course as the wall goes up, and pour the rest as it is',
  'use-fine': 'Use fine grout',
  nowhere: 'Grout is asked for, and {unit} has no cells to take it.',
  pour: 'pour {number, number}',
};

export const cavity: Catalogue['cavity'] = {
  'ties-few':
    'Ties come to {tape, select, mm {{has, number} to a square metre and {wants, number} asked} other {one for {has, number} ft² and {wants, number} ft² the most}}; along the wall {along} apart ({alongMost} at most), up it {up} ({upMost} at most). Density and spacing must both hold.',
  'ties-by-rule': 'Space them by the rule: {along} along, {up} up, nearer where the area asks it',
  'ties-not-level':
    'The beds of the two [leaves] do not come level within {within} often enough: {widest} go by without a row of ties, and they may be {up} apart.',
  narrow: 'A cavity of {width} is bridged by its own droppings; the least is {least}.',
  'make-it': 'Make it {width}',
  'inner-off':
    'The inner [leaf]’s courses stop {by} {side, select, under {short of} other {over}} the height: cut a course, or lay it out with coursing units.',
};

export const movement: Catalogue['movement'] = {
  due: '{run} goes {long} {corner, select, yes {with a corner } other {}}and no movement joint; here it may go {most}. The rule: {rule}.',
  'due-nowhere':
    '{run} goes {long} {corner, select, yes {with a corner } other {}}and no movement joint; here it may go {most}. The rule: {rule}. No place for one is left clear of corners, openings and what their lintels bear on. Which gives way: an opening, or the joint? Ask whoever drew it.',
  'as-drawn': '{every}, as the drawing says',
  'drawing-says': 'as the drawing says',
  'rule-us-block': 'the lesser of 1½ times the height and 25 ft, half of it from a corner',
  'rule-us-block-low': '12 ft, as for a wall 8 ft high, half of it from a corner',
  'rule-us-block-retaining': '25 ft in a wall that holds ground back, half of it from a corner',
  'rule-us-block-reinforced': '60 ft with bars both ways, half of it from a corner',
  'rule-us-clay':
    '25 ft, or 20 ft with several openings; within 10 ft of a corner on one side and 25 ft round it',
  'rule-uk-block': '6 m, half of it from a corner',
  'rule-uk-clay': '12 m, half of it from a corner',
  'rule-uk-clay-free': '6 m where it stands free, half of it from a corner',
  'joints-at': '{count, plural, one {A joint} other {# joints}} at {places}',
  place: '{at}',
  weak: 'No movement joint stands beside {places}. A wall cracks there first, unless steel beside it and a beam over it hold it together.',
  'height-change': 'the change of height',
  'both-sides': '{opening} on both sides, since it is wider than 6 ft',
  'none-there': 'None there: steel holds it together',
  'bring-to-perp': 'Bring it to {to}, on a [perp]',
  'sawn-for':
    '{count, plural, one {# piece is} other {# pieces are}} sawn for the movement joint at {at}: it does not stand on a [perp].',
  refused: 'No movement joint at {at}, by choice: {why}',
};

export const retain: Catalogue['retain'] = {
  engineer:
    'An engineer decides about this wall: {reasons}. Nothing here says that it will stand. Take along: {take}.',
  'over-limit': '{high} is over {limit}',
  'limit-ground': '{most} of ground held',
  'limit-footing': '{most} from the underside of the footing to the top',
  'single-skin': 'a single skin of {thick}',
  'middle-third': 'without bars {thick} of wall leaves its middle third at about {ground} of ground',
  'take-ground': 'ground held {height}',
  'take-wall': 'wall {height} high and {thick} thick',
  'take-footing': 'footing {width} wide and {depth} deep',
  'take-the-footing': 'the footing',
  'take-bars': '{bar} at {every}',
  'take-no-bars': 'no uprights',
  'take-soil': 'the soil and its water',
  'take-loads': 'what stands on or near it',
};

export const standing: Catalogue['standing'] = {
  engineer:
    'An engineer decides about this wall: {reasons}. Nothing here says that it will stand. Take along: {take}.',
  'too-high':
    'it stands free {high} high, and {thick} of wall without bars may be {most} {exposure, select, said {in exposure {zone, number}} unsaid {even in the most sheltered place} other {}}',
  'leaves-alone': 'two [leaves] that are only tied are two thin walls, of {thick} each',
  seismic: 'in seismic category {category} the plain rule does not serve',
  piers: 'piers are not counted: no figure here says how much they help',
  'take-wall': 'wall {height} high, {length} long, {thick} thick where it acts as one',
  'take-footing': 'footing {width} wide and {depth} deep',
  'take-the-footing': 'the footing',
  'take-place': 'the place and its wind',
  'take-openings': 'the openings',
  'how-exposed':
    'How exposed is the place? Standing free it may be {least} high where it is open, {most} where it is sheltered. As high as this serves up to exposure {zone, number}.',
  'exposure-is':
    '{zone, select, 1 {Exposure 1: sheltered} 2 {Exposure 2: some shelter} 3 {Exposure 3: little shelter} other {Exposure 4: open}}',
  'ground-not-said':
    'It is said that soil stands against this wall, and not how high. Say so: soil decides whether an engineer does.',
};

export const earth: Catalogue['earth'] = {
  'bears-not-said':
    'Does this earth bear the roof, or only fill between posts? What it must be hangs on that, and on the code in force.',
  'bears-roof': 'It bears the roof',
  'bears-none': 'It only fills a frame',
  'stands-free': 'It stands free, with no roof',
  thin: 'It is {thick} thick, and earth that bears is {least} at least. Local code and a licensed engineer decide.',
  'too-high':
    'It is {high} high on {thick}: past {most}, {times, number} times its thickness. Thicker, lower, or an engineer’s.',
  'too-long':
    '{long} of it stands with nothing to hold it, and {most} is the most. A buttress or a cross wall, or an engineer.',
  together:
    'Long and high together come to {comes, number} against {most, number}: too slender between what holds it. A buttress, or an engineer.',
  'near-corner':
    '{name} stands {at} from the corner, and {least} of earth is wanted there: less may break out.',
  'move-in': 'Move {name} in from the corner',
  'plate-source': '14.7.4 NMAC and common practice, from memory',
  'base-source': 'NZS 4299, E.080 and practice: 150 mm and more over the ground, from memory',
  'no-plate':
    'Nothing is stated for the roof to sit on. A plate or a bond beam goes all round the top: it shares the load out and holds the corners together. What it is sized by is for local code and licensed people.',
  'put-plate':
    'A {kind, select, timber {timber plate} concrete {concrete bond beam} other {}} {height} deep, all round',
  'plate-low': 'A bond beam of {height} is lower than {least}, the least that is cast over earth.',
  'base-low':
    'Earth begins {over} over the ground. Under {least} rain splashes its lowest course away: begin on stone, brick or concrete with a damp-proof course on it, and let the eaves reach well out.',
  'rain-unsaid':
    'Nobody has said what keeps water off this earth. It wants a good foot (stone, brick or concrete out of the splash, a damp-proof course on it) and a good hat (eaves that reach well out, or a coat on its face and a cap on its top).',
  'under-eaves': 'A foot of {base} with a damp-proof course, and eaves of {eaves}',
  'coated-on-base':
    'A foot of {base} with a damp-proof course, coated with {coat, select, lime {lime} earth {earth} other {}}',
  'base-of': 'A foot of {base} under it',
  'no-dpc': 'Nothing keeps water in what it stands on from rising into the earth.',
  'lay-dpc': 'Lay a damp-proof course under the first bed',
  bare: '{roof, select, yes {Eaves of {eaves} leave its face to the rain: {least} at least,} other {No roof reaches over its face, and nothing is on it: eaves of {least} at least,}} or a coat that is made good when it wears. Never cement over earth: behind it the wall stays wet.',
  'eaves-of': 'Eaves of {eaves}',
  'coat-of': 'Coat it with {coat, select, lime {lime} earth {earth} other {}}',
  base: 'stone, brick or concrete under it',
  'base-formula': 'foot × thickness × along the middle of the wall',
  'base-high': 'foot',
  'wall-thick': 'thickness',
  'wall-middle': 'along its middle',
  stated: 'as stated',
  'as-set-out': 'as set out',
  practice: 'common practice',
  dpc: 'damp-proof course, {wide} wide',
  'dpc-formula': 'along the wall, laps in it; none where a door stands',
  'dpc-source': 'rolls of 8 m lapped by 100 mm: BS 8215, from memory',
  coat: '{coat, select, lime {lime} earth {earth} other {}} on its outside',
  'coat-formula': 'the outside of it, openings out',
  'coat-mud': 'mud for the coat of {coat, select, lime {lime} earth {earth} other {}}',
  'coat-mud-formula': 'face × thickness of all coats; more goes where faces are rough',
  'coat-face': 'face',
  'coat-thick': 'all coats, {thick}, in metres',
  plate: 'plate or bond beam',
  'plate-formula': 'runs of the wall, end to end; laps and corners are the carpenter’s',
  'plate-runs': 'the runs, outside',
  'much-open': '{open} of its {long} is open: more than a third, and what is left carries it all.',
};
