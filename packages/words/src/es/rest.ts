import type { Catalogue } from '@even-tally/core';

export const grout: Catalogue['grout'] = {
  'space-tight':
    'El grout {aggregate, select, fine {fino} other {grueso}} colado de {high} de alto pide {wide} × {deep} libres; la celda a {at} tiene {hasWide} × {hasDeep}.',
  'past-table': 'Un colado de {high} de alto pasa de lo que da la tabla: hágalo en más de uno.',
  'pour-lower': 'Colar no más de {most} a la vez',
  'fill-rising':
    'Llenar {count, plural, one {esa celda} other {esas # celdas}} hilada por hilada conforme sube el muro, y colar lo demás como está',
  'use-fine': 'Usar grout fino',
  nowhere: 'Se pide grout, y {unit} no tiene celdas que lo reciban.',
  pour: 'col. {number, number}',
};

export const cavity: Catalogue['cavity'] = {
  'ties-few':
    'Los amarres dan {tape, select, mm {{has, number} por metro cuadrado y se piden {wants, number}} other {uno por {has, number} ft² y lo más es {wants, number} ft²}}; a lo largo a {along} (máximo {alongMost}), hacia arriba a {up} (máximo {upMost}). Han de cumplir las dos cosas.',
  'ties-by-rule':
    'Ponerlos por la regla: {along} a lo largo, {up} hacia arriba, más juntos donde el área lo pida',
  'ties-not-level':
    'Las juntas de las dos hojas no quedan a nivel dentro de {within} con la frecuencia debida: pasan {widest} sin una hilera de amarres, y pueden ir a cada {up}.',
  narrow: 'Una cámara de {width} se tapa con su propia mezcla caída; lo menos es {least}.',
  'make-it': 'Hacerla de {width}',
  'inner-off':
    'Las hiladas de la hoja de adentro quedan {by} {side, select, under {cortas de} other {sobre}} la altura: corte una hilada, o ajústela con piezas de otra altura.',
};

export const movement: Catalogue['movement'] = {
  due: '{run} corre {long} {corner, select, yes {con una esquina } other {}}sin junta de movimiento; aquí puede correr {most}. La regla: {rule}.',
  'due-nowhere':
    '{run} corre {long} {corner, select, yes {con una esquina } other {}}sin junta de movimiento; aquí puede correr {most}. La regla: {rule}. No queda lugar libre de esquinas, de vanos y de los apoyos de sus dinteles. ¿Qué cede: un vano o la junta? Pregunte a quien hizo el plano.',
  'as-drawn': '{every}, como dice el plano',
  'drawing-says': 'como dice el plano',
  'rule-us-block': 'lo menor entre 1½ veces la altura y 25 pies, la mitad desde una esquina',
  'rule-us-block-low': '12 pies, como en un muro de 8 pies de alto, la mitad desde una esquina',
  'rule-us-block-retaining': '25 pies en un muro que contiene tierra, la mitad desde una esquina',
  'rule-us-block-reinforced': '60 pies con varilla en los dos sentidos, la mitad desde una esquina',
  'rule-us-clay':
    '25 pies, o 20 pies con varios vanos; a menos de 10 pies de una esquina por un lado y 25 pies dándole la vuelta',
  'rule-uk-block': '6 m, la mitad desde una esquina',
  'rule-uk-clay': '12 m, la mitad desde una esquina',
  'rule-uk-clay-free': '6 m si está suelto, la mitad desde una esquina',
  'joints-at': '{count, plural, one {Una junta} other {# juntas}} a {places}',
  place: '{at}',
  weak: 'No hay junta de movimiento junto a {places}. Ahí se raja primero un muro, a menos que varillas a los lados y una viga encima lo amarren.',
  'height-change': 'el cambio de altura',
  'both-sides': '{opening} por los dos lados, porque pasa de 6 pies de ancho',
  'none-there': 'Ninguna ahí: las varillas lo amarran',
  'bring-to-perp': 'Llevarla a {to}, en una junta vertical',
  'sawn-for':
    'Se {count, plural, one {corta # pieza} other {cortan # piezas}} por la junta de movimiento a {at}: no cae en una junta vertical.',
  refused: 'Sin junta de movimiento a {at}, por decisión: {why}',
};

export const retain: Catalogue['retain'] = {
  engineer:
    'Un ingeniero decide sobre este muro: {reasons}. Nada aquí dice que va a aguantar. Lleve consigo: {take}.',
  'over-limit': '{high} pasa de {limit}',
  'limit-ground': '{most} de tierra contenida',
  'limit-footing': '{most} desde abajo de la zapata hasta arriba',
  'single-skin': 'una sola hoja de {thick}',
  'middle-third': 'sin varillas, un muro de {thick} sale de su tercio medio con cerca de {ground} de tierra',
  'take-ground': 'la tierra contenida, {height}',
  'take-wall': 'el muro, {height} de alto y {thick} de grueso',
  'take-footing': 'la zapata, {width} de ancho y {depth} de peralte',
  'take-the-footing': 'la zapata',
  'take-bars': '{bar} a cada {every}',
  'take-no-bars': 'sin varillas verticales',
  'take-soil': 'el suelo y su agua',
  'take-loads': 'lo que hay encima o cerca',
};

export const standing: Catalogue['standing'] = {
  engineer:
    'Un ingeniero decide sobre este muro: {reasons}. Nada aquí dice que va a aguantar. Lleve consigo: {take}.',
  'too-high':
    'queda libre con {high} de alto, y un muro de {thick} sin varillas puede tener {most} {exposure, select, said {con exposición {zone, number}} unsaid {aun en el sitio más abrigado} other {}}',
  'leaves-alone': 'dos hojas que solo van amarradas son dos muros delgados, de {thick} cada uno',
  seismic: 'en la categoría sísmica {category} la regla simple no sirve',
  piers: 'las pilastras no se cuentan: ninguna cifra aquí dice cuánto ayudan',
  'take-wall': 'el muro, {height} de alto, {length} de largo, {thick} de grueso donde trabaja como uno',
  'take-footing': 'la zapata, {width} de ancho y {depth} de peralte',
  'take-the-footing': 'la zapata',
  'take-place': 'el sitio y su viento',
  'take-openings': 'los huecos',
  'how-exposed':
    '¿Qué tan expuesto está el sitio? Libre, puede tener {least} de alto donde es abierto y {most} donde es abrigado. Así de alto sirve hasta la exposición {zone, number}.',
  'exposure-is':
    '{zone, select, 1 {Exposición 1: abrigado} 2 {Exposición 2: algo abrigado} 3 {Exposición 3: poco abrigado} other {Exposición 4: abierto}}',
  'ground-not-said':
    'Se dice que hay tierra contra este muro, y no hasta qué alto. Dígalo: la tierra decide si decide un ingeniero.',
};

export const earth: Catalogue['earth'] = {
  'bears-not-said':
    '¿Esta tierra carga el techo o solo llena entre postes? De eso depende cómo debe ser, y del reglamento vigente.',
  'bears-roof': 'Carga el techo',
  'bears-none': 'Solo llena un marco',
  'stands-free': 'Está libre, sin techo',
  thin: 'Tiene {thick} de grueso, y la tierra que carga tiene {least} por lo menos. Deciden el reglamento local y un ingeniero con licencia.',
  'too-high':
    'Tiene {high} de alto sobre {thick}: pasa de {most}, {times, number} veces su grueso. Más grueso, más bajo, o de un ingeniero.',
  'too-long':
    '{long} están sin nada que los sostenga, y lo más es {most}. Un contrafuerte o un muro de través, o un ingeniero.',
  together:
    'Largo y alto juntos dan {comes, number} contra {most, number}: demasiado esbelto entre lo que lo sostiene. Un contrafuerte, o un ingeniero.',
  'near-corner':
    '{name} queda a {at} de la esquina, y ahí se quieren {least} de tierra: menos puede reventar.',
  'move-in': 'Meter {name} lejos de la esquina',
  'plate-source': '14.7.4 NMAC y práctica común, de memoria',
  'base-source': 'NZS 4299, E.080 y práctica: 150 mm o más sobre el suelo, de memoria',
  'no-plate':
    'No se dijo en qué se apoya el techo. Una solera o viga collar va por todo lo alto: reparte la carga y amarra las esquinas. Su medida la dicen el reglamento local y gente con licencia.',
  'put-plate':
    '{kind, select, timber {Solera de madera} concrete {Viga collar de concreto} other {}} de {height}, por todo lo alto',
  'plate-low': 'Una viga collar de {height} es más baja que {least}, lo menos que se cuela sobre tierra.',
  'base-low':
    'La tierra empieza a {over} del suelo. A menos de {least} la lluvia salpica y se lleva la hilada de abajo: empiece sobre piedra, ladrillo o concreto con impermeabilizante, y que el alero salga bien.',
  'rain-unsaid':
    'Nadie ha dicho qué le quita el agua a esta tierra. Quiere buen pie (piedra, ladrillo o concreto fuera de la salpicadura, con impermeabilizante) y buen sombrero (alero que salga bien, o aplanado en la cara y remate arriba).',
  'under-eaves': 'Un pie de {base} con impermeabilizante, y alero de {eaves}',
  'coated-on-base':
    'Un pie de {base} con impermeabilizante, aplanado con {coat, select, lime {cal} earth {tierra} other {}}',
  'base-of': 'Un pie de {base} debajo',
  'no-dpc': 'Nada impide que el agua de lo que la sostiene suba a la tierra.',
  'lay-dpc': 'Poner impermeabilizante bajo la primera junta',
  bare: '{roof, select, yes {Un alero de {eaves} deja la cara a la lluvia: por lo menos {least},} other {Ningún techo le cubre la cara y no lleva nada: alero de {least} por lo menos,}} o un aplanado que se repone cuando se gasta. Nunca cemento sobre tierra: detrás, el muro no seca.',
  'eaves-of': 'Alero de {eaves}',
  'coat-of': 'Aplanarla con {coat, select, lime {cal} earth {tierra} other {}}',
  base: 'piedra, ladrillo o concreto debajo',
  'base-formula': 'pie × grueso × por el medio del muro',
  'base-high': 'pie',
  'wall-thick': 'grueso',
  'wall-middle': 'por su medio',
  stated: 'como se dijo',
  'as-set-out': 'según el trazo',
  practice: 'práctica común',
  dpc: 'impermeabilizante, de {wide} de ancho',
  'dpc-formula': 'a lo largo del muro, con traslapes; nada donde hay puerta',
  'dpc-source': 'rollos de 8 m traslapados 100 mm: BS 8215, de memoria',
  coat: '{coat, select, lime {cal} earth {tierra} other {}} por fuera',
  'coat-formula': 'la cara de fuera, sin vanos',
  'coat-mud': 'mezcla del aplanado de {coat, select, lime {cal} earth {tierra} other {}}',
  'coat-mud-formula': 'cara × grueso de todas las manos; más donde la cara es áspera',
  'coat-face': 'cara',
  'coat-thick': 'todas las manos, {thick}, en metros',
  plate: 'solera o viga collar',
  'plate-formula': 'tramos del muro, punta a punta; traslapes y esquinas son del carpintero',
  'plate-runs': 'los tramos, por fuera',
  'much-open': '{open} de sus {long} están abiertos: más de un tercio, y lo que queda lo carga todo.',
};
