import type { Catalogue } from '@even-tally/core';

export const holds: Catalogue['holds'] = {
  'before-concrete': 'Antes del concreto',
  'footing-poured': 'Zapata colada',
  trench: 'Zanja de {width} de ancho, {depth} de concreto, firme y limpia abajo',
  'footing-bars':
    '{count, plural, one {# varilla} other {# varillas}} de {bar} a lo largo, traslapadas, sobre silletas',
  starters:
    '{count, plural, one {# espera} other {# esperas}} donde las tiene el plano, amarradas, a plomo y con tapón',
  'before-grout': 'Antes del grout, colado {pour}',
  'pour-placed': 'Colado {pour} hecho',
  'each-cell': 'Cada celda: varilla {bar} puesta, en su lugar, traslapada, limpia hasta abajo',
  'cell-at': '{at}',
  'cell-in-run': '{run}, {at}',
  cleanouts:
    '{count, plural, one {# registro revisado, luego cerrado y apuntalado} other {# registros revisados, luego cerrados y apuntalados}}',
  'beam-bars': 'Varillas en las vigas, traslapadas en las esquinas; celdas de abajo tapadas',
  'no-fins':
    'Sin rebabas de mezcla de más de media pulgada (13 mm) en las celdas; muro fraguado lo bastante para aguantar el grout',
  'after-grout': 'Después del grout',
  loaded: 'Muro cargado o rematado',
  tapped: 'Celdas llenas golpeadas hasta arriba: ninguna suena hueca',
  damp: 'La humedad se ve en el block donde está cada celda llena',
  braced: 'Muro apuntalado hasta que tenga su resistencia, nadie donde pueda caer',
  'before-backfill': 'Antes de rellenar',
  backfilled: 'Relleno hecho',
  drain: 'Tubo, {stone} de piedra y tela puestos, con caída a una salida que corre',
  weeps: '{kind, select, pipes {Tubos de drenaje} other {Juntas verticales abiertas}} libres',
  waterproof: 'Impermeabilizante en todo el respaldo, seco y sin roturas',
  age: 'El muro tiene la edad que pide el plano antes de que lo empujen',
  propped: 'Puntal o losa puestos, arriba y abajo',
  unpropped: 'Nada más que su zapata lo va a sostener',
  'no-name': 'Se pidió el nombre de quien lo vio, y no se dio ninguno.',
  'no-hold': 'Se pidió un alto de este muro, y llegó “{got}”.',
  'no-step': 'Se pidió un paso de este muro, y llegó “{got}”.',
  unseen: '{hold} no se puede firmar: {unseen} de {of} sin ver, lo primero “{first}”.',
  'not-before': '{step}: no antes de “{before}”.',
  held: '{step} está detenido: primero hay que firmar “{hold}”.',
  already: '{step} ya está en el registro, por {by}.',
};
