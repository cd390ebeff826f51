import type { Catalogue } from '@even-tally/core';

export const bond: Catalogue['bond'] = {
  'begin-whole':
    'Empezar con {unit, select, brick {un ladrillo entero} adobe {un adobe entero} other {un bloque entero}}',
  'begin-half': 'Empezar con {unit, select, brick {medio ladrillo} adobe {medio adobe} other {medio bloque}}',
  'corners-in-turn': 'Tomar las esquinas por turno, cada tramo una suya',
  'corners-in-pairs': 'Tomar las esquinas por pares, un tramo sí y otro no las dos suyas',
  'closers-beside': 'Poner un ajuste junto a cada esquina',
  'no-closers': 'Seguir desde las esquinas sin ajustes',
  'cuts-panel': 'Cortar a medio paño y dejar enteros los costados de los vanos',
  'cuts-jamb': 'Cortar en las jambas',
  way: '{way}: {cost}.',
  'move-saves':
    '{move}{must, select, yes {, si se puede} other {}}: {saved, plural, one {una cortada menos} other {# cortadas menos}}, así que {cost}.',
  sawn: '{count, plural, =0 {no se corta nada} one {se corta # pieza} other {se cortan # piezas}}',
  'too-short': '{count, plural, one {# demasiado corta} other {# demasiado cortas}}',
  'short-laps': '{count, plural, one {# traslape corto} other {# traslapes cortos}}',
  smallest: 'la menor de {length}',
  'bars-cannot': '{count, plural, one {# varilla no puede subir} other {# varillas no pueden subir}}',
  'starters-in-way': '{count, plural, one {# espera estorba} other {# esperas estorban}}',
};
