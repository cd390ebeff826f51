import type { Catalogue } from '@even-tally/core';

export const edits: Catalogue['edits'] = {
  part: '{what, select, across {across} actual {actual} aggregate {aggregate} allow {allow} arc {radius} assumed {assumed} at {place} bar {bar} base {base} beams {beams} bed {bed} below {below} board {board} bond {bond} bore {bore} build {build} carries {carries} cavity {cavity} cells {cells} clearance {clearance} closers {closers} confirmed {confirmed} corners {corners} count {count} course {course} courses {courses} cover {cover} cuts {cuts} datum {datum} depth {depth} diagonals {diagonals} dip {dip} do {what is done} drilled {drilled} every {spacing} face {face} fade {fade} family {family} fill {fill} finish {finish} footing {footing} from {where it begins} gap {gap} gauge {gauge} grout {grout} halfHigh {half high} halves {halves} head {head} heading {heading} height {height} heights {heights} held {held} hiddenTo {hidden to} hook {hook} hose {hose} how {how} inner {inner} instrument {instrument} is {is} jambs {jambs} jointEvery {joint every} joints {joints} keep {whether it may move} keepWhy {why it stays} rules {rules} why {the reason} firstBed {first bed} leastPiece {least piece} leastLap {least lap} breakage {breakage} mortar {mortar} least {least} most {most} rises {filled as it goes up} kind {kind} lap {lap} layers {layers} lean {lean} left {height where it begins} length {length} lengths {lengths} level {level} levels {levels} line {the line} list {list} locked {locked} lowest {lowest} masonry {masonry} meet {meet} meets {where it ends} name {name} off {off} old {the old wall} on {on} openings {openings} over {over} past {past} pieces {pieces} piers {piers} place {place} points {points} pour {pour} poured {levels as poured} profile {rules} reading {reading} refused {refused} retains {retains} right {height where it ends} run {length} samples {samples} sawn {sawn} says {says} shells {shells} show {units shown} side {side} sides {sides} sill {sill} site {site} slab {slab} slope {slope} square {square} start {first unit} starters {starters} stated {stated} steel {steel} step {step} stepBack {step back} steps {steps} stock {stock} stone {stone} straps {straps} surcharge {surcharge} sweep {sweep} symmetric {symmetric} taper {taper} thickness {thickness} to {where it ends} tolerance {tolerance} tops {tops} trench {trench} turn {turn} unit {unit} units {units} up {up} vents {vents} vertical {uprights} wall {wall} wallHeight {wall height} walls {walls} water {water} weeps {weeps} weepsEvery {weeps every} weights {weights} what {what} width {width} wythes {wythes} bearings {bearings} leaf {leaf} lintel {lintel} mark {mark} other {{key}}}',
  lost: '{what, select, opening {{count, plural, one {an opening} other {# openings}}} fixed_height {{count, plural, one {a fixed height} other {# fixed heights}}} footing_level {{count, plural, one {a level of the footing} other {# levels of the footing}}} top {{count, plural, one {a top} other {# tops}}} footing_step {{count, plural, one {a step of the footing} other {# steps of the footing}}} vents {{count, plural, one {a row of vents} other {# rows of vents}}} pier {{count, plural, one {a pier} other {# piers}}} joint {{count, plural, one {a movement joint} other {# movement joints}}} piece {{count, plural, one {a changed piece} other {# changed pieces}}} cell {{count, plural, one {a cell set by hand} other {# cells set by hand}}} starter {{count, plural, one {a starter} other {# starters}}} post {{count, plural, one {a post} other {# posts}}} hole {{count, plural, one {a hole} other {# holes}}} pile_stone {{count, plural, one {a stone of the pile} other {# stones of the pile}}} stile {{count, plural, one {a stile} other {# stiles}}} gap {{count, plural, one {a gap} other {# gaps}}} fit {{count, plural, one {stones laid out of the pile} other {stones laid out of the pile}}} thing {{count, plural, one {a thing on it} other {# things on it}}} other {}}',
  called:
    '{what, select, opening {opening} fixed_height {fixed height} footing_level {level of the footing} top {top} footing_step {step of the footing} vents {row of vents} pier {pier} joint {movement joint} piece {changed piece} cell {cell set by hand} starter {starter} post {post} hole {hole} pile_stone {stone of the pile} stile {stile} gap {gap} fit {stones laid out of the pile} thing {thing on it} other {}} {id}',
  'the-job': 'the job',
  added: 'added',
  'taken-out': 'taken out',
  changed: 'changed',
  nothing: 'nothing',
  'of-thing': '{thing}: {what}',
  'done-to': '{thing} {what}',
  things: '{count, plural, one {# thing} other {# things}}',
  'and-one': '{first}, and {other}',
  'and-more': '{first}, and {count} more',
  there: 'there',
  'as-set': 'as it was set there',
  'of-them': '{count} of them',
  length: '{length}',
  pairs: '{count, plural, one {a pair of changed pieces} other {# pairs of changed pieces}}',
  'where-it-meets': 'where it meets {wall}',
  'another-wall': 'another wall',
  'where-other-meets': 'where {wall} meets it',
  costs: 'what choices cost in that job',
};
