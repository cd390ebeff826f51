import type { Catalogue } from '@even-tally/core';

export const setOut: Catalogue['set-out'] = {
  'not-closed': 'El trazo vuelve a {gap} de donde empezó. Compare los lados opuestos.',
  'too-sharp': 'Demasiado agudo para trabar: {corners}. Cuente sus piezas a mano.',
  'corner-turns': 'la esquina después de {run} dobla {turn, number}°',
  'place-lost': 'Hay algo anotado para {place}, y este muro no tiene ese lugar. Se guarda y no cambia nada.',
  forget: 'Olvidarlo',
  'entry-lost':
    '{kind, select, reading {Una altura de hilada leída} other {Una hilada pegada}} el {day} por {by} es de un lugar que el muro ya no tiene: {place}. Queda en el registro y no cuenta en ningún lado.',
  'run-course': 'tramo {run}, hilada {course}',
  'not-said': 'sin decir',
  level: '{what, select, plinth {zócalo} slab {losa} datum {banco} other {terreno}} {at}',
};

export const ground: Catalogue['ground'] = {
  'middle-third': 'tercio medio',
  'course-out': 'hilada {course}: {by} afuera',
  'layers-off':
    'Las capas suman {layers}, {by} {side, select, more {más} other {menos}} que lo dicho, {stated}. Una está mal: pregunte antes de trazar algo con ella.',
  'readings-out': '{points}.',
  'point-stands': '{point} está {by} {side, select, high {alto} other {bajo}}',
  assumed: 'Se da por hecho hasta que alguien lo confirme: {what}.',
  'footing-narrow': 'La zapata es {by} más angosta que el muro.',
  'footing-thin':
    '{depth} de concreto vuela {projects}: bajo un edificio es al menos lo que vuela y al menos {least}. {garden} es solo para bases de jardín.',
  uneven:
    '{simulated, select, yes {Práctica con lecturas simuladas. } other {}}Antes de pegar una pieza: {grind, plural, =0 {} other {rebajar bajo #}}{grind, plural, =0 {} other {{pack, plural, =0 {} other {, }}}}{pack, plural, =0 {} other {calzar bajo #}}. La peor deja una junta de {bed} a {at}; {does, select, grind {quite} other {suba}} {by}. {line}',
  'gauge-drifts':
    'Arriba sus hiladas quedan {by} {side, select, over {por encima} other {por debajo}} de las del muro viejo{meets, select, once {; vuelven a coincidir en la hilada {course}} other {, y no coinciden en ningún punto}}. Conserve su junta, tome la de ellos, o vaya a la mitad.',
  'bed-answer':
    '{answer, select, take {Tomar la de ellos: tendeles de {bed}} other {Ir a la mitad: tendeles de {bed}}}',
  'line-serves':
    'Un hilo {way, select, as_drawn {como está en el plano} higher {{by} más alto} other {{by} más bajo}} sirve para todo: primeros tendeles de {least} a {most}.',
  'line-leaves':
    'Lo menos que queda por hacer es con un hilo {way, select, as_drawn {como está en el plano} higher {{by} más alto} other {{by} más bajo}}: {work}.',
  'work-at': '{does, select, grind {rebajar} other {calzar}} {by} a {at} de {run}',
  'footing-too-narrow':
    'La zapata tiene {width} de ancho y sale {projects} de cada cara; se piden al menos {leastWidth} y {leastPast}, y el terreno puede pedir más.',
  diagonal:
    'La segunda diagonal debería dar {wanted} según las otras cinco cintas; está {off} fuera. Mida otra vez antes de mover una estaca.',
  'not-square': '{corners}, dejando A y AB en su línea.',
  'corner-moves': '{corner} se mueve {moves}',
  onward: '{by} hacia adelante por AB',
  back: '{by} hacia atrás por AB',
  out: '{by} hacia afuera de AB',
  in: '{by} hacia AB',
  engineer: '{reasons} Alto: decide un ingeniero. Lleve consigo el desplome, su altura y el grueso del muro.',
  leans: 'El muro viejo está desplomado 1 en {oneIn, number}, más de 1 en {most, number}.',
  'leaves-middle-third': 'Si se sube como está pensado, el peso sale del tercio medio de una junta.',
};
