import type { Catalogue } from '@even-tally/core';

const WHY =
  '{why, select, end {en un extremo del muro} corner {en una esquina} jamb {en una jamba} joint {junto a una junta de movimiento} spacing {a la separación pedida} other {donde se puso a mano}}';

export const steel: Catalogue['steel'] = {
  'spacing-not-had':
    'Varillas a cada {asked} no le quedan a esta pieza: sus celdas están a cada {pitch}, y no se puede menos.',
  'spacing-lower':
    'Varillas a cada {asked} no le quedan a esta pieza: sus celdas están a cada {pitch}. Van a cada {used}, lo menor que le sigue y queda; también queda a cada {next}, si el plano lo permite.',
  'space-them': 'Ponerlas a cada {every}',
  'no-cells': '{unit} no tiene celdas: las varillas verticales no tienen por dónde subir en este muro.',
  'take-uprights-out': 'Quitar las varillas verticales',
  'broken-no-cell': `{count, plural, one {Una varilla} other {# varillas, la primera}} ${WHY}, a {at}, no puede pasar: ahí no hay celda.`,
  'broken-across': `{count, plural, one {Una varilla} other {# varillas, la primera}} ${WHY}, a {at}, no puede pasar: la hilada {course} la atraviesa.`,
  gap: 'Entre {from} y {to} no sube ninguna celda: no hay varilla en {long}, y se pidió a cada {asked}.',
  'cannot-go': '{parts}',
  'as-the-bond': 'Pegar la pieza de la hilada {course} como va en el aparejo',
  'left-out': `La varilla ${WHY}, a {at}, se quitó a mano. Siempre van varillas en extremos, esquinas, jambas y junto a las juntas de movimiento.`,
  'put-back': 'Volver a poner la varilla',
  'cell-lost': 'Una celda se cambió a mano en {at}, y ahora ahí no hay una celda continua.',
  'at-length': '{at}',
  'forget-change': 'Olvidar ese cambio',
  'held-not-said':
    'Nadie ha dicho cómo se sostiene este muro, y eso decide de qué lado de su celda van las varillas. Mientras, se dibujan al centro.',
  held: '{how, select, soil {Libre arriba, tierra detrás} floors {Sostenido por losas abajo y arriba} free_standing {Solo, sin apoyo} other {Como dice el plano}}',
  'cover-short':
    '{bar} tiene {has} de {counts, select, masonry {pared del bloque y lechada} other {lechada}} hasta la cara {face, select, outside {exterior} other {interior}}, y lo mínimo es {least}{exposed, select, yes { donde llega tierra o intemperie} other {}}. Una varilla menor, un bloque más grueso u otro lugar: pregunte al ingeniero.',
  'stand-from': 'Poner las varillas a {from} de la cara exterior',
  'bar-too-large': '{bar} pide {wants} de celda libre; la más angosta aquí tiene {has}.',
  'lap-beyond':
    '{bar} pasa del No. 6, donde 48 diámetros no bastan: el traslape se calcula, y el plano lo confirma.',
  'use-computed-lap': 'Usar el traslape calculado',
  'starters-wait':
    'No se ha dicho el peralte de la zapata, así que sus esperas aún no están en la lista de varillas.',
  'beam-nowhere':
    '{count, plural, one {Se pide una viga donde el muro no tiene hilada para ella} other {Se piden # vigas donde el muro no tiene hilada para ellas}}: tiene {courses, plural, one {# hilada} other {# hiladas}}.',
  'beams-to-top': '{count, plural, one {Ponerla} other {Ponerlas}} en la hilada de arriba',
  'beams-out': '{count, plural, one {Quitarla} other {Quitarlas}}',
  'inner-none':
    'Se piden varillas y grout en la hoja de adentro, y el muro no tiene una que vaya por su cuenta.',
  'leaf-no-cells':
    'Se piden varillas y grout en la hoja de {leaf, select, inner {adentro} other {afuera}}, cuyas piezas no tienen celdas; las de la otra sí.',
  'put-in-leaf': 'Ponerlas en la hoja de {leaf, select, inner {adentro} other {afuera}}',
  'one-starter-off':
    'La espera a {at} no sale libre en una celda{blocked, select, yes {, sino bajo un alma o una junta vertical} other {}}. Le falta moverse',
  'starters-off':
    '{off, number} de {of, number} esperas no salen libres en una celda{blocked, plural, =0 {} one {, # bajo un alma o una junta vertical} other {, # bajo un alma o una junta vertical}}; a la primera, a {at}, le falta moverse',
  'starter-off': '{which} {need}{across, select, yes { a través del muro} other {}}. Por probar: {ways}.',
  'way-shift': 'trazar el muro {shift} libra {clear} de {of}',
  'way-turn': 'voltear de punta a punta la pieza cortada que va encima',
  'way-bend': 'una varilla se puede traer a no más de 1 en 6, {by} por hilada, nunca calentada',
  'way-drill':
    'si no, cortarla y barrenar al lado: barreno de {hole}, {depth} de hondo, a {edge} de una orilla, según la tabla del fabricante del adhesivo',
  'way-engineer': 'o preguntar al ingeniero',
  'shift-on': '{by} hacia adelante',
  'shift-back': '{by} hacia atrás',
  'shift-outward': '{by} hacia afuera',
  'shift-inward': '{by} hacia adentro',
  'lay-out': 'Trazar el muro {shift}: {clear} de {of} esperas salen libres',
  'turn-unit':
    'Voltear de punta a punta la pieza cortada que va encima en {courses, plural, one {la hilada {course}} other {las # hiladas en que está}}{shows, select, yes {; entonces se ve su cara cortada} other {}}',
};
