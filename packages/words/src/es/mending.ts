import type { Catalogue } from '@even-tally/core';

export const mending: Catalogue['mending'] = {
  name: 'Huecos por llenar',
  of: 'Huecos por llenar, {wall}',
  sub: '{job}: {count, plural, one {# hueco} other {# huecos}}',
  none: 'No se ha dicho ningún hueco de este muro.',
  hole: 'Hueco',
  size: 'Ancho, alto, fondo',
  'size-is': '{width} × {height} × {depth}',
  'stone-in': 'Piedra',
  behind: 'Concreto de cal detrás',
  ties: 'piedras trabadas en la obra vieja',
  fixings: 'anclas inoxidables, barrenadas',
  order: 'Orden',
  'what-is-done': 'Qué se hace',
  step: '{step, select, find {Encontrar qué hizo el hueco, agua, una raíz, un dintel que falta, y remediarlo primero} prop {Apuntalar lo que está encima antes de sacar una piedra} cut {Sacar sólo lo suelto. Abrirlo más ancho atrás que adelante, uno en diez por lado, para que el relleno sea una cuña que no sale} wet {Lavar el polvo y humedecer la obra vieja, sin agua estancada} ties {Primero las piedras grandes, las que entran en la obra vieja por los dos lados; barrenar y poner las anclas conforme suben las hileras} fill {Hileras de piedra con las juntas cruzadas, concreto de cal apretado detrás en capas de {lift} a lo más, cada una hasta que aguante} point {Acuñar lo que baila, apretar el último tendel bajo la obra vieja y rejuntar desde la cara} other {}}',
  stones: 'piedra para llenar huecos',
  'stones-formula': 'Σ lo que de cada hueco alcanzan sus piedras × parte de piedra × densidad',
  limecrete: 'concreto de cal detrás',
  'limecrete-formula':
    'Σ lo que de cada hueco queda detrás de sus piedras; el hueco es más ancho atrás, 1 en 10 por lado',
  'ties-formula': 'a los dos lados de cada hueco, una por tanto de altura',
  'fixings-formula': 'hileras × lugares en cada una, una por su separación en los dos sentidos',
  'as-stated': 'como se dijo',
  practice: 'práctica de conservación, de memoria; lo barrenado, según su fabricante',
  apart: 'separación de anclas',
  'tie-apart': 'altura por piedra trabada',
  share: 'piedra, parte del relleno',
  density: 'densidad, kg/m³',
  'prop-first':
    '{hole} mide {wide} de ancho y {deep} de fondo. Lo que está encima se apuntala antes de sacar nada, y quien responde por el muro dice cómo.',
};
