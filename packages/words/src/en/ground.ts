import type { Catalogue } from '@even-tally/core';

export const setOut: Catalogue['set-out'] = {
  'not-closed': 'The line comes back to {gap} from where it began. Check opposite sides against each other.',
  'too-sharp': 'Too sharp to bond: {corners}. Count its units by hand.',
  'corner-turns': 'the corner after {run} turns {turn, number}°',
  'place-lost':
    'Something is filed for {place}, and this wall has no such place. It is kept and changes nothing.',
  forget: 'Forget it',
  'entry-lost':
    '{kind, select, reading {A course top read} other {A course laid}} on {day} by {by} is of a place the wall does not have now: {place}. It is kept on the record and counted nowhere.',
  'run-course': 'run {run}, course {course}',
  'not-said': 'not said',
  level: '{what, select, plinth {plinth} slab {slab} datum {datum} other {ground}} {at}',
};

export const ground: Catalogue['ground'] = {
  'middle-third': 'middle third',
  'course-out': 'course {course} stands {by} out',
  'layers-off':
    'The layers come to {layers}, {by} {side, select, more {more} other {less}} than the {stated} stated. One of them is wrong: ask before anything is set to it.',
  'readings-out': '{points}.',
  'point-stands': '{point} stands {by} {side, select, high {high} other {low}}',
  assumed: 'Taken for granted until somebody confirms it: {what}.',
  'footing-narrow': 'The footing is {by} narrower than the wall.',
  'footing-thin':
    '{depth} of concrete projects {projects}: under a building it is at least its projection and at least {least}. {garden} is for garden bases only.',
  uneven:
    '{simulated, select, yes {Practice with simulated readings. } other {}}Before a unit is laid: {grind, plural, =0 {} other {grind under #}}{grind, plural, =0 {} other {{pack, plural, =0 {} other {, }}}}{pack, plural, =0 {} other {pack under #}}. The worst leaves a bed of {bed} at {at}; {does, select, grind {take off} other {bring up}} {by}. {line}',
  'gauge-drifts':
    'At its top your courses stand {by} {side, select, over {over} other {under}} the old wall’s{meets, select, once {; the two come level again at course {course}} other {, and come level nowhere between}}. Keep your joint, take theirs, or go half way.',
  'bed-answer': '{answer, select, take {Take theirs: beds of {bed}} other {Go half way: beds of {bed}}}',
  'line-serves':
    'A line {way, select, as_drawn {as drawn} higher {{by} higher} other {{by} lower}} serves all of it: first beds from {least} to {most}.',
  'line-leaves':
    'The least there is to do is with a line {way, select, as_drawn {as drawn} higher {{by} higher} other {{by} lower}}: {work}.',
  'work-at': '{does, select, grind {grind off} other {pack up}} {by} at {at} of {run}',
  'footing-too-narrow':
    'The footing is {width} wide and stands {projects} past each face; at least {leastWidth} and {leastPast} are asked, and the ground may ask more.',
  diagonal:
    'The second diagonal should read {wanted} from the other five tapes; it is {off} off. Tape again before a peg is moved.',
  'not-square': '{corners}, with A kept and AB kept on its line.',
  'corner-moves': '{corner} moves {moves}',
  onward: '{by} onward along AB',
  back: '{by} back along AB',
  out: '{by} out from AB',
  in: '{by} in toward AB',
  engineer: '{reasons} Stop: an engineer decides. Take the lean, its height and the wall’s thickness along.',
  leans: 'The old wall leans 1 in {oneIn, number}, more than 1 in {most, number}.',
  'leaves-middle-third': 'Built on as planned, the weight leaves the middle third of a bed.',
};
