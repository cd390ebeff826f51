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
  'opening-at-corner':
    '{opening} begins {by} from the corner, and the wall round it is {thick} thick: every second course its units stand in the opening.',
  'clear-of-corner': 'Move {opening} to {at}, clear of the corner',
  'opening-off':
    '{count, plural, one {# piece is} other {# pieces are}} sawn for {opening}, the smallest {smallest}: its jambs stand off the [perps].',
  'keep-unsaid':
    'Nobody has said whether {openings} may move. A made door, a bought window and the width of a room do not; what is only drawn yet may come onto the bond.',
  'keep-made': 'Made or bought: they stay, and the bond gives way',
  'keep-room': 'The room decides: they stay',
  'may-move': 'Only on paper yet: they may move',
  'jambs-off':
    'The jambs of {opening} stand off the run’s own [perps]: what stands beside it is laid to meet them.',
  move: 'Move {opening} {by} {way, select, left {left} other {right}}',
  'move-and-make': 'Move {opening} {by} {way, select, left {left} other {right}} and make it {width} wide',
  'make-wide': 'Make {opening} {width} wide',
  'make-run': 'Make {runs} {by} {way, select, longer {longer} other {shorter}}',
  'the-wall': 'the wall',
  'not-symmetric': 'The bond does not read the same on both sides of {opening}, as was asked.',
  'put-at': 'Put {opening} at {at}',
  'put-at-wide': 'Put {opening} at {at}, {width} wide',
  sliver:
    '{count, plural, one {A piece} other {# pieces}} as short as {length}{leaf, select, inner { in the inner [leaf]} other {}}; the least worth laying is {least}.',
  'sliver-against':
    '{count, plural, one {A piece} other {# pieces}} as short as {length}{leaf, select, inner { in the inner [leaf]} other {}} against {opening}; the least worth laying is {least}.',
  'gap-left':
    '{length} is left at {at} in {courses, plural, one {one course} other {# courses}}: no piece is that short, and no joint fills it.',
  'run-short':
    '{run} is {length} long and the wall round its corner {thick} thick: every second course there is no room for a piece of its own.',
  'joints-out':
    '{count, plural, one {# [perp] is} other {# [perps] are}} outside {least} to {most}; the worst is {worst}.',
  'lap-short':
    '[Perps] lap {lap} {places, plural, one {at {at}} other {in # places, the first at {at}}}{leaf, select, inner { in the inner [leaf]} other {}}; the least lap is {least}.',
  'in-line':
    '{courses} [perps] stand in line {places, plural, one {at {at}} other {in # places, the first at {at}}}{leaf, select, inner { in the inner [leaf]} other {}}, courses {from} to {to}.{hand, select, yes { A unit changed by hand there has a part in it.} other {}}',
  'put-back': 'Lay course {course, number} there as the bond has it',
  'bring-in': 'Bring {wall} in at {at}, astride a unit',
  'stack-bond':
    'Stack bond has no lap: the wall hangs together only by what is laid in its beds. How much reinforcement it takes is for local code and a licensed engineer.',
  'header-short':
    'A header of {length} cannot reach across two widths and a joint, {across}: these units do not bond through the wall.',
  'header-long':
    'A header of {length} stands out past two widths and a joint, {across}: these units do not bond through the wall.',
  'lay-two': 'Lay two [leaves] in half bond and tie them',
  'lay-one': 'Lay {bond} in one [leaf], its headers snapped',
  curve:
    'Round {run}{leaf, select, inner {, in the inner [leaf],} other {}} a [perp] of {outside} outside is {closed, select, yes {closed} other {{inside}}} inside; they may be {least} to {most}. Whole units want a radius of {whole}, halves {half}. Each stands {off} off the curve in its middle.',
  curves: '{leaves}',
  'ask-radius': 'Ask for a radius of {radius}',
  squint:
    'The corner after {run} stands at {angle, number}°: {courses} {inside, select, yes {inside squints} other {squints}}, {own} on one face and {shown} on the other, turned every course. Order two to spare; cut, each is mitred at {mitre, number}°.',
  'meets-past': 'Meant to end on {where} at {at}, but that run is {long} long.',
  'meets-no-run': 'Meant to end on run {run} of {wall}, which has {has}.',
  'ends-on':
    'Ends on {where} at {at}: {how}{byHand, select, yes { In a header bond the units there are cut to suit by hand.} other {}}',
  tied: 'butted with a joint and tied every second course, {ties, plural, one {# tie} other {# ties}}. Where the inspector wants it bonded or toothed in, or a movement joint, that decides.',
  bonded:
    'bonded in on {on, select, odd {odd} other {even}} courses, {courses} of them: both go up together, or {where} is left toothed for it.',
  toothed:
    'toothed in on {on, select, odd {odd} other {even}} courses: {pockets, plural, one {# pocket} other {# pockets}} {deep} deep to cut in {where}. Packed and pointed as each course is laid.',
  'courses-off':
    'Its courses stand up to {off} off those of {where}: what is bonded or toothed in must lie level with them.',
  'tie-instead': 'Tie it instead',
  'change-lost':
    'The unit you {did, select, split {parted} swap {changed about} turn {turned} other {turned end for end}} in course {course} at {at} is not as it was: {why}. It is laid by the bond until you say.',
  'no-such-course': 'there is no such course or run now',
  'no-unit': 'no unit stands there now',
  'another-unit': 'another unit stands there now',
  'too-short-to-part': 'it is too short to part',
  'no-neighbour': 'no unit stands next to it',
  'same-either-way': 'it is whole, and the same either way round',
  'too-short-to-turn': 'it is too short to turn',
  'forget-the-change': 'Forget the change',
  'vents-short':
    '{count, number} of the {what, select, vent {vents} other {air bricks}} in course {course} find no whole unit near {at}.',
  'vents-to': 'Put them in course {course}',
  'pier-tied':
    '{pier} cannot be bonded in: these units do not reach across two widths and a joint. Tie it every third course, {ties, plural, one {# tie} other {# ties}}.',
  'pier-off': '{pier} stands off the [perps], so nothing of it bonds into the wall.',
  'move-pier': 'Move {pier} to {at}',
  'make-pier': 'Make {pier} {width} wide, at {at}',
  soldiers:
    '{count, plural, one {# soldier} other {# soldiers}} over {opening}, every joint {joint}: range them top and bottom before anything is built over them{prop, select, yes {, and prop them till they have set} other {}}.',
  'soldiers-joint':
    '{count, plural, one {# soldier} other {# soldiers}} over {opening} leave joints of {joint}, outside {least} to {most}.',
  'soldiers-off':
    'The soldiers over {opening} end {by} {side, select, over {above} other {below}} a course, so the courses over them are sawn.',
  'head-at': 'Put the head of {opening} at {at}',
  'top-off':
    'The {kind, select, raked {raked} stepped {stepped} scallop {scalloped} other {ramped}} top lies level at {at}, {by} {side, select, over {above} other {below}} a course: a row is sawn flat to it.',
  'top-to-courses': 'Bring it to the courses: {left} to {right}',
  'move-top':
    'Move the {kind, select, raked {raked} stepped {stepped} scallop {scalloped} other {ramped}} top {by} {way, select, left {left} other {right}}',
  'make-top':
    'Make the {kind, select, raked {raked} stepped {stepped} scallop {scalloped} other {ramped}} top {by} {way, select, longer {longer} other {shorter}}',
  'springs-from-half':
    'The {kind, select, raked {raked} stepped {stepped} scallop {scalloped} other {ramped}} top springs from a half at {at}, course {course}: start it on a {unit, select, brick {stretcher} other {whole unit}}, or the joint beneath it is soon worked open.',
  ears: '{count, plural, one {One piece at the top is an ear} other {# pieces at the top are ears}} as short as {length}: saw the unit before it longer to take its place, or bed it in the capping.',
  'footing-steps':
    'The footing steps {times, plural, one {once} other {# times}}, at most {rise}. The upper footing goes on over the lower by at least {over}.',
  'footing-steps-deep':
    'The footing steps {times, plural, one {once} other {# times}}, at most {rise}. The upper footing goes on over the lower by at least {over}, and a step higher than the concrete is deep ({deep}) is for an engineer.',
  'step-at-corner':
    'At the corner of {before} and {after} one footing stands {one} and the other {other} courses up: a step keeps a unit clear of a corner.',
  'step-clear': 'Keep the step a unit clear of the corner',
  'step-off':
    '{count, plural, one {# piece is} other {# pieces are}} sawn against the step in the footing: it stands off the [perps].',
  'step-to-perps': 'Move the step to the nearest [perps]',
  'all-as-now': 'All as they begin now',
  'begin-together': 'Begin them all as suits them together',
  'together-best': '{walls} bond into one another, and begin as suits them best together.',
  'together-less':
    '{walls} bond into one another: begun otherwise they cost {less, number} less between them.',
};
