import type { Catalogue } from '@even-tally/core';

export const edits: Catalogue['edits'] = {
  part: '{what, select, across {a lo ancho} actual {reales} aggregate {agregado} allow {lo que se permite} arc {radio} assumed {lo supuesto} at {lugar} bar {varilla} base {base} beams {vigas} bed {tendel} below {macizo hasta} board {placa} bond {aparejo} bore {diámetro} build {construcción} carries {hoja que carga} cavity {cámara} cells {celdas} clearance {holgura} closers {ajustes} confirmed {quién confirmó} corners {esquinas} count {cuántas} course {hilada} courses {hiladas} cover {tierra sobre la zapata} cuts {cortes} datum {banco} depth {peralte} diagonals {diagonales} dip {flecha} do {lo que se hace} drilled {barrenado} every {separación} face {cara} fade {vuelta a plomo} family {clase} fill {lo que se llena} finish {acabado} footing {zapata} from {donde empieza} gap {separación} gauge {reparto de hiladas} grout {grout} halfHigh {media altura} halves {medias} head {dintel} heading {rumbo} height {altura} heights {alturas} held {cómo se sostiene} hiddenTo {tapado hasta} hook {gancho} hose {manguera} how {cómo} inner {hoja de adentro} instrument {altura del instrumento} is {qué es} jambs {jambas} jointEvery {junta cada} joints {juntas} keep {si puede moverse} keepWhy {por qué se queda} rules {reglas} why {la razón} firstBed {primer tendel} leastPiece {pieza mínima} leastLap {traslape mínimo} breakage {desperdicio} mortar {mezcla} least {mínimo} most {máximo} rises {llena conforme sube} kind {clase} lap {traslape} layers {capas} lean {desplome} left {altura donde empieza} length {largo} lengths {cómo van los largos} level {nivel} levels {niveles} line {el eje} list {lista} locked {lo fijo} lowest {hilada de abajo} masonry {resistencia del muro} meet {cómo se llega a las alturas} meets {donde acaba} name {nombre} off {fuera del centro} old {el muro viejo} on {en cuáles hiladas} openings {vanos} over {lo de encima} past {pasada} pieces {piezas} piers {machones} place {lugar} points {puntos} pour {colado} poured {niveles como se coló} profile {reglas} reading {lectura} refused {por qué se rechazó} retains {tierra contenida} right {altura donde acaba} run {largo} samples {piezas medidas} sawn {hilada cortada} says {lo que dice} shells {paredes} show {medidas en} side {lado} sides {lados} sill {antepecho} site {terreno} slab {losa} slope {pendiente} square {escuadra} start {primera pieza} starters {esperas} stated {total dicho} steel {acero} step {hiladas por escalón} stepBack {atrás por hilada} steps {escalones} stock {tramos de varilla} stone {piedra} straps {anclas} surcharge {carga encima} sweep {giro} symmetric {igual por los dos lados} taper {ahuse} thickness {espesor} to {donde acaba} tolerance {tolerancia} tops {remates} trench {zanja} turn {vuelta} unit {pieza} units {piezas} up {hiladas que sube} vents {ventilas} vertical {varillas verticales} wall {muro} wallHeight {altura del muro} walls {muros} water {agua} weeps {lloraderos} weepsEvery {lloraderos cada} weights {lo que cuesta cada opción} what {qué} width {ancho} wythes {hojas} bearings {apoyos} leaf {hoja} lintel {dintel} mark {marca} other {{key}}}',
  lost: '{what, select, opening {{count, plural, one {un vano} other {# vanos}}} fixed_height {{count, plural, one {una altura fija} other {# alturas fijas}}} footing_level {{count, plural, one {un nivel de la zapata} other {# niveles de la zapata}}} top {{count, plural, one {un remate} other {# remates}}} footing_step {{count, plural, one {un escalón de la zapata} other {# escalones de la zapata}}} vents {{count, plural, one {una hilera de ventilas} other {# hileras de ventilas}}} pier {{count, plural, one {un machón} other {# machones}}} joint {{count, plural, one {una junta de movimiento} other {# juntas de movimiento}}} piece {{count, plural, one {una pieza cambiada} other {# piezas cambiadas}}} cell {{count, plural, one {una celda puesta a mano} other {# celdas puestas a mano}}} starter {{count, plural, one {una espera} other {# esperas}}} post {{count, plural, one {un poste} other {# postes}}} pile_stone {{count, plural, one {una piedra del montón} other {# piedras del montón}}} thing {{count, plural, one {una cosa encima} other {# cosas encima}}} other {}}',
  called:
    '{what, select, opening {vano} fixed_height {altura fija} footing_level {nivel de la zapata} top {remate} footing_step {escalón de la zapata} vents {hilera de ventilas} pier {machón} joint {junta de movimiento} piece {pieza cambiada} cell {celda puesta a mano} starter {espera} post {poste} pile_stone {piedra del montón} thing {cosa encima} other {}} {id}',
  'the-job': 'la obra',
  added: 'agregado',
  'taken-out': 'quitado',
  changed: 'cambiado',
  nothing: 'nada',
  'of-thing': '{thing}: {what}',
  'done-to': '{thing}, {what}',
  things: '{count, plural, one {# cosa} other {# cosas}}',
  'and-one': '{first}, y {other}',
  'and-more': '{first}, y {count} más',
  there: 'ahí',
  'as-set': 'como se puso ahí',
  'of-them': '{count}',
  length: '{length}',
  pairs: '{count, plural, one {un par de piezas cambiadas} other {# pares de piezas cambiadas}}',
  'where-it-meets': 'donde topa con {wall}',
  'another-wall': 'otro muro',
  'where-other-meets': 'donde {wall} topa con él',
  costs: 'lo que cuestan las opciones en aquella obra',
};
