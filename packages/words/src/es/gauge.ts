import type { Catalogue } from '@even-tally/core';

export const gauge: Catalogue['gauge'] = {
  'bed-comes-to': 'La junta {bed} queda en {to}; las juntas pueden ser de {least} a {most}.',
  'courses-stop':
    '{courses, plural, one {# hilada} other {# hiladas}} con juntas de {bed} {courses, plural, one {queda} other {quedan}} {by} {side, select, under {por debajo} other {por encima}} de la altura de {height}; las juntas pueden ser de {least} a {most}.',
  'opening-off': '{opening}: {parts} fuera de las hiladas, así que se corta una hilera a esa altura.',
  'edge-off': '{edge, select, sill {el antepecho} other {el dintel}} a {at} queda {by}',
  'set-opening': 'Poner {opening}: {moves}',
  'edge-to': '{edge, select, sill {antepecho} other {dintel}} a {to}',
  'height-off':
    '{height} a {at} queda {by} {side, select, over {por encima} other {por debajo}} de la parte alta de la hilada {course}',
  'heights-off': '{heights}.',
  'heights-off-none-meets':
    '{heights}. Ningún escantillón dentro de los límites cumple con todas las alturas fijas.',
  'move-heights': 'Mover {moves}',
  'height-to': '{height} a {to}',
  'units-vary':
    'Se midieron {count, plural, one {# pieza} other {# piezas}}, de {least} a {most}: la más {joint, select, bed {gruesa} other {larga}} dejaría una junta {joint, select, bed {horizontal} other {vertical}} de {leaves}, y la menor permitida es de {allowed}. {way}',
  'joint-hides': 'Una junta {joint, select, bed {horizontal} other {vertical}} de {at} lo disimula.',
  'no-joint-hides':
    'Ninguna junta {joint, select, bed {horizontal} other {vertical}} dentro de los límites lo disimula: escoja las piezas, o aparte las más {joint, select, bed {gruesas} other {largas}}.',
  'ask-for-joint': 'Pedir juntas {joint, select, bed {horizontales} other {verticales}} de {at}',
  'courses-at': '{courses, plural, one {# hilada} other {# hiladas}} con juntas de {bed}',
  'courses-at-divides':
    '{courses, plural, one {# hilada} other {# hiladas}} con la junta pedida de {bed}: la altura se divide justa.',
  'ease-all': 'Ajustar {beds, plural, one {# junta} other {# juntas}} a {to}',
  'ease-all-unshown':
    'Repartir en cada tendel menos de lo que marca la cinta: {courses, plural, one {# hilada llega} other {# hiladas llegan}} a la altura.',
  'ease-all-because':
    'Ajustar todas las juntas a {to}: {courses, plural, one {# hilada llega} other {# hiladas llegan}} a la altura, y {by} por junta no se nota.',
  'ask-beds': 'Pedir juntas de {bed}',
  'ask-beds-because':
    'Pedir juntas de {bed} en lugar de {was}: así {courses, plural, one {# hilada divide} other {# hiladas dividen}} la altura, y quien mezcla y quien pega trabajan con una sola medida.',
  'lose-lowest': 'Perderlo en {beds, plural, one {la junta más baja} other {las # juntas más bajas}}',
  'lose-lowest-because':
    'Perderlo abajo: {beds, plural, one {la junta más baja} other {las # juntas más bajas}} a {low}, luego {rest} a {bed}. {seen}',
  'finish-hides': '{by, select, finish {El acabado} other {El suelo o el zócalo}} lo tapa.',
  'change-shows': 'Las menos juntas que permiten los límites; un cambio de {by} se ve en una cara aparente.',
  'change-unseen-at': 'Un solo cambio a {at}, demasiado chico para notarse ahí.',
  'change-unseen': 'Un solo cambio cerca del suelo, muy pequeño para llamar la vista.',
  'gauge-each':
    'Un escantillón para cada tramo{odd, select, half_high {, una hilada de media altura} sawn {, una hilada cortada} other {}}',
  'gauge-each-because':
    'Un escantillón para cada tramo{odd, select, half_high { y una hilada de piezas de media altura} sawn { y una hilada cortada} other {}}: {beds}. {landing}{proof, select, stopped { Puede que no sea lo mejor que hay: la búsqueda se cortó.} other {}}',
  beds: '{groups}',
  'beds-and-so-on': '{groups}, y así',
  'beds-first': '{count, plural, one {# junta} other {# juntas}} de {bed}',
  'beds-then': '{count} de {bed}',
  'all-land': 'Todas las alturas fijas caen en una hilada.',
  'all-but': 'Todas caen menos {names}.',
  'move-footing': '{way, select, raise {Subir} other {Bajar}} la zapata {by}',
  'move-footing-because':
    '{way, select, raise {Subir} other {Bajar}} la zapata {by}: {courses, plural, one {# hilada} other {# hiladas}} con juntas de {bed}, y antepechos, dinteles y remate quedan a su nivel. Solo antes de colarla.',
  'ask-height': 'Pedir {height} de altura',
  'ask-height-because':
    'Pedir una altura de {height}, {by} {side, select, less {menos} other {más}}: {courses, plural, one {# hilada} other {# hiladas}} con juntas de {bed}. Quien dibujó la altura tiene que estar de acuerdo.',
  'bring-openings': 'Llevar los vanos a las hiladas',
  'bring-openings-because':
    'Llevar los vanos que se pueden mover a las hiladas como están: {moves}. Solo mientras no se hayan comprado los marcos.',
  'opening-moves': '{opening}: {moves}',
  'half-high-first': 'Empezar con una hilada de media altura',
  'half-high-first-because':
    'Empezar con una hilada de piezas de {high} y {courses, plural, one {una hilada entera} other {# hiladas enteras}} encima, juntas de {bed}. Otra pieza que pedir.',
  'saw-course': 'Cortar la hilada 1 a {to}',
  'saw-course-because':
    'Cortar la hilada 1 a {to} y pegar {courses, plural, one {una hilada entera} other {# hiladas enteras}} encima: se corta cada pieza de una hilera, donde el suelo la tapa. Último recurso.',
  'throws-off':
    '{says} {what, select, heights {{count, plural, one {Una altura fija queda entonces} other {# alturas fijas quedan entonces}}} other {{count, plural, one {Un antepecho o dintel queda entonces} other {# alturas de antepechos y dinteles quedan entonces}}}} fuera de las hiladas.',
  'sill-of': 'antepecho de {name}',
  'head-of': 'dintel de {name}',
  'the-top': 'la corona',
  top: 'corona',
  heads: 'dinteles',
  flags: '{names}',
};
