import type { Catalogue } from '@even-tally/core';

export const lintels: Catalogue['lintels'] = {
  'not-designed':
    'Algo tiene que cargar el muro sobre {openings}. Anote el dintel que dé el ingeniero o el fabricante: aquí no se calcula ninguno.',
  'opening-wants': '{opening}: al menos {length} de largo, {clear} y {bearing} en cada extremo',
  'opening-leaf-wants':
    '{opening}, hoja {leaf, select, outer {exterior} other {interior}}: al menos {length} de largo, {clear} y {bearing} en cada extremo',
  'no-mark':
    '{openings}: hay un dintel anotado, pero no quién lo calculó. Ponga la marca del plano o del fabricante.',
  together: '{says}',
  'soldiers-carry-nothing': 'Las piezas de canto sobre {openings} no cargan nada, ni a sí mismas.',
  short:
    '{opening}: el dintel apoya {bears} en su extremo {end, select, left {izquierdo} other {derecho}}, y lo mínimo es {least}.',
  'does-not-add':
    '{opening}: un dintel de {length} no da para el hueco de {clear} con apoyos de {left} y {right}.',
  'make-it': 'Tomar uno de {length}, con apoyo de {bearing} en cada extremo',
  sliver:
    '{opening}: el extremo {end, select, left {izquierdo} other {derecho}} del dintel apoya en una pieza de {piece}; lo mínimo que aguanta es {least}. Un apoyo descansa en piezas enteras.',
  'off-the-wall':
    '{opening}: el extremo {end, select, left {izquierdo} other {derecho}} del dintel pasa {over} del muro que lo cargaría.',
  heavy: 'No lo levanta uno solo: {lintels}. Entre dos o con montacargas, y nadie debajo.',
  'heavy-one': '{opening}, {weight}',
  'lintels-name': 'Dinteles',
  'lintels-of': 'Dinteles de {wall}',
  'lintels-sub': '{job}; {count, plural, one {# dintel} other {# dinteles}}',
  'lintels-rule':
    'El largo es el hueco más un apoyo en cada extremo. Medida y acero son del ingeniero o del fabricante: aquí no se calcula ninguno.',
  'lintels-set':
    'Asiente cada extremo a junta llena, sobre piezas enteras, a nivel y libre del marco. Deje fraguar los apoyos antes de cargar; apuntale lo que diga el fabricante.',
  lintels: 'Dinteles',
  opening: 'Hueco',
  leaf: 'Hoja',
  'leaf-is': '{leaf, select, outer {exterior} inner {interior} other {todas}}',
  kind: 'De',
  'kind-is':
    '{kind, select, concrete {concreto} steel {acero} stone {piedra} timber {madera} beam {viga colada} arch {arco} other {sin decir}}',
  long: 'Largo',
  bearings: 'Apoya',
  'bearings-are': '{left} y {right}',
  high: 'Alto',
  weight: 'Peso',
  mark: 'Marca',
  by: 'De quién',
  unsaid: 'sin decir',
  'count-formula': 'uno sobre cada hueco, o uno en cada hoja sobre él, como están anotados',
  'openings-covered': 'Huecos con muro encima',
};
