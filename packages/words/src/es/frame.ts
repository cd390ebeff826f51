import type { Catalogue } from '@even-tally/core';

export const frame: Catalogue['frame'] = {
  notched: 'piezas entalladas en los postes',
  'notched-formula': 'cada pieza que topa con un poste, hilada por hilada',
  relief: 'cortes de alivio',
  'relief-formula': 'cortes de sierra en cada entalle, en sus extremos y entre ellos',
  'relief-apart': 'de un corte al otro',
  fill: 'barro alrededor de los postes',
  'fill-formula':
    'lo que se corta, menos el poste que queda dentro, hilada por hilada; se aprieta por detrás según suben',
  room: 'holgura alrededor de un poste',
  ties: 'amarres a los postes',
  'ties-formula': 'postes × juntas en que se amarran',
  posts: 'postes',
  courses: 'hiladas',
  'as-laid': 'como se pone',
  practice: 'práctica común',
  'tie-every': 'hiladas de amarre a amarre',
  notches: 'Entalles',
  'notches-none': 'Ninguna pieza topa con un poste.',
  post: 'Poste',
  course: 'Hilada',
  unit: 'Pieza',
  'cut-out': 'Se corta',
  'is-left': 'Lo más delgado que queda',
  'relief-cuts': 'Cortes de alivio',
  'cut-is': '{wide} × {deep} adentro',
  'left-is': '{least}',
  'nothing-left': 'nada: se omite',
  'thin-ears':
    '{post}: {count, plural, one {# pieza queda} other {# piezas quedan}} con una oreja de {least}. De menos de {most} se rompe en la mano o al primer golpe.',
  'stand-so':
    'Poner {post} {side, select, as_it_is {} inside {al ras por dentro} outside {al ras por fuera} other {}}{moved, select, yes { corrido {by}} other {}}',
  'leave-under-beam':
    'La tierra asienta al secar: deje unos {leave} bajo la viga y ciérrelo con algo blando cuando el muro haya secado. Rellene detrás de los postes al subir las hiladas, no después. Si el marco se sostiene lo dicen el reglamento local y gente con licencia.',
  'fills-not-bears':
    'Se dijo que este muro carga el techo, y tiene postes. Entre postes que cargan solo rellena.',
  'bears-none': 'No carga nada: cargan los postes',
};
