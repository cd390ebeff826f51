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
  'opening-at-corner':
    '{opening} empieza a {by} de la esquina, y el muro que dobla tiene {thick} de grueso: una hilada sí y otra no sus piezas caen dentro del vano.',
  'clear-of-corner': 'Mover {opening} a {at}, libre de la esquina',
  'opening-off':
    'Se {count, plural, one {corta # pieza} other {cortan # piezas}} por {opening}, la menor de {smallest}: sus jambas no caen en las juntas verticales.',
  'keep-unsaid':
    'Nadie ha dicho si {openings} se puede mover. Una puerta hecha, una ventana comprada y el ancho de un cuarto no se mueven; lo que solo está en papel puede ajustarse al aparejo.',
  'keep-made': 'Hechas o compradas: se quedan, y cede el aparejo',
  'keep-room': 'Manda el cuarto: se quedan',
  'may-move': 'Solo en papel: se pueden mover',
  'jambs-off':
    'Las jambas de {opening} no caen en las juntas verticales del tramo: lo que está al lado se pega para llegar a ellas.',
  move: 'Mover {opening} {by} a la {way, select, left {izquierda} other {derecha}}',
  'move-and-make':
    'Mover {opening} {by} a la {way, select, left {izquierda} other {derecha}} y dejarlo de {width} de ancho',
  'make-wide': 'Dejar {opening} de {width} de ancho',
  'make-run': 'Hacer {runs} {by} más {way, select, longer {largo} other {corto}}',
  'the-wall': 'el muro',
  'not-symmetric': 'El aparejo no se ve igual a los dos lados de {opening}, como se pidió.',
  'put-at': 'Poner {opening} a {at}',
  'put-at-wide': 'Poner {opening} a {at}, de {width} de ancho',
  sliver:
    '{count, plural, one {Una pieza} other {# piezas}} de solo {length}{leaf, select, inner { en la hoja de adentro} other {}}; lo menos que vale la pena pegar es {least}.',
  'sliver-against':
    '{count, plural, one {Una pieza} other {# piezas}} de solo {length}{leaf, select, inner { en la hoja de adentro} other {}} contra {opening}; lo menos que vale la pena pegar es {least}.',
  'gap-left':
    'Sobran {length} a {at} en {courses, plural, one {una hilada} other {# hiladas}}: no hay pieza tan corta, ni junta que lo llene.',
  'run-short':
    '{run} mide {length} y el muro que dobla en su esquina tiene {thick} de grueso: una hilada sí y otra no, no le cabe una pieza propia.',
  'joints-out':
    '{count, plural, one {# junta vertical sale} other {# juntas verticales salen}} de {least} a {most}; la peor es de {worst}.',
  'lap-short':
    'Las juntas verticales traslapan {lap} {places, plural, one {a {at}} other {en # lugares, el primero a {at}}}{leaf, select, inner { en la hoja de adentro} other {}}; lo menos es {least}.',
  'in-line':
    '{courses} juntas verticales quedan en línea {places, plural, one {a {at}} other {en # lugares, el primero a {at}}}{leaf, select, inner { en la hoja de adentro} other {}}, hiladas {from} a {to}.{hand, select, yes { Una pieza cambiada a mano ahí tiene parte en ello.} other {}}',
  'put-back': 'Poner la hilada {course, number} ahí como la tiene el aparejo',
  'bring-in': 'Meter {wall} a {at}, a caballo de una pieza',
  'stack-bond':
    'El aparejo apilado no traslapa: el muro se sostiene solo por lo que va en sus juntas. Cuánto refuerzo lleva lo deciden el reglamento local y un ingeniero con licencia.',
  'header-short':
    'Un tizón de {length} no alcanza a cruzar dos anchos y una junta, {across}: estas piezas no amarran a través del muro.',
  'header-long':
    'Un tizón de {length} sobresale de dos anchos y una junta, {across}: estas piezas no amarran a través del muro.',
  'lay-two': 'Pegar dos hojas a media pieza y amarrarlas',
  'lay-one': 'Pegar {bond} en una hoja, con los tizones partidos',
  curve:
    'En la curva de {run}{leaf, select, inner {, en la hoja de adentro,} other {}} una junta vertical de {outside} por fuera queda {closed, select, yes {cerrada} other {de {inside}}} por dentro; pueden ser de {least} a {most}. Piezas enteras piden un radio de {whole}, medias de {half}. Cada una se separa {off} de la curva a su mitad.',
  curves: '{leaves}',
  'ask-radius': 'Pedir un radio de {radius}',
  squint:
    'La esquina después de {run} está a {angle, number}°: {courses} {inside, select, yes {piezas de rincón} other {piezas especiales}}, {own} por una cara y {shown} por la otra, volteadas cada hilada. Pida dos de más; si se cortan, cada una va a inglete de {mitre, number}°.',
  'meets-past': 'Debía terminar en {where} a {at}, pero ese tramo mide {long}.',
  'meets-no-run': 'Debía terminar en el tramo {run} de {wall}, que tiene {has}.',
  'ends-on':
    'Termina en {where} a {at}: {how}{byHand, select, yes { En un aparejo con tizones, las piezas de ahí se cortan a mano.} other {}}',
  tied: 'a tope con una junta y amarrado cada dos hiladas, {ties, plural, one {# amarre} other {# amarres}}. Si el inspector lo quiere trabado o endentado, o con junta de movimiento, eso manda.',
  bonded:
    'trabado en las hiladas {on, select, odd {nones} other {pares}}, {courses} de ellas: los dos suben juntos, o {where} se deja endentado para recibirlo.',
  toothed:
    'endentado en las hiladas {on, select, odd {nones} other {pares}}: {pockets, plural, one {# caja} other {# cajas}} de {deep} de hondo que abrir en {where}. Se retacan y juntean al pegar cada hilada.',
  'courses-off':
    'Sus hiladas quedan hasta {off} fuera de las de {where}: lo que va trabado o endentado tiene que quedar a nivel con ellas.',
  'tie-instead': 'Mejor amarrarlo',
  'change-lost':
    'La pieza que usted {did, select, split {partió} swap {cambió de lugar} turn {volteó} other {volteó de punta a punta}} en la hilada {course} a {at} ya no está como estaba: {why}. Se pega según el aparejo hasta que usted diga.',
  'no-such-course': 'ahora no hay tal hilada o tramo',
  'no-unit': 'ahora ahí no hay pieza',
  'another-unit': 'ahora ahí hay otra pieza',
  'too-short-to-part': 'es muy corta para partirla',
  'no-neighbour': 'no hay pieza a su lado',
  'same-either-way': 'está entera, y es igual por los dos lados',
  'too-short-to-turn': 'es muy corta para voltearla',
  'forget-the-change': 'Olvidar el cambio',
  'vents-short':
    '{count, number} de {what, select, vent {las rejillas} other {los ladrillos de ventilación}} en la hilada {course} no {count, plural, one {encuentra} other {encuentran}} una pieza entera cerca de {at}.',
  'vents-to': 'Ponerlos en la hilada {course}',
  'pier-tied':
    '{pier} no se puede trabar: estas piezas no cruzan dos anchos y una junta. Amárrelo cada tres hiladas, {ties, plural, one {# amarre} other {# amarres}}.',
  'pier-off': '{pier} no cae en las juntas verticales, así que nada de él traba con el muro.',
  'move-pier': 'Mover {pier} a {at}',
  'make-pier': 'Hacer {pier} de {width} de ancho, a {at}',
  soldiers:
    '{count, plural, one {# pieza de canto} other {# piezas de canto}} sobre {opening}, cada junta de {joint}: alinéelas arriba y abajo antes de pegar algo encima{prop, select, yes {, y apuntálelas hasta que fragüen} other {}}.',
  'soldiers-joint':
    '{count, plural, one {# pieza de canto} other {# piezas de canto}} sobre {opening} dejan juntas de {joint}, fuera de {least} a {most}.',
  'soldiers-off':
    'Las piezas de canto sobre {opening} terminan {by} {side, select, over {arriba} other {abajo}} de una hilada, así que se cortan las hiladas de encima.',
  'head-at': 'Poner el dintel de {opening} a {at}',
  'top-off':
    'El remate {kind, select, raked {inclinado} stepped {escalonado} scallop {en arco hundido} other {en rampa}} queda a nivel a {at}, {by} {side, select, over {arriba} other {abajo}} de una hilada: se corta una hilera a su nivel.',
  'top-to-courses': 'Llevarlo a las hiladas: de {left} a {right}',
  'move-top':
    'Mover el remate {kind, select, raked {inclinado} stepped {escalonado} scallop {en arco hundido} other {en rampa}} {by} a la {way, select, left {izquierda} other {derecha}}',
  'make-top':
    'Hacer el remate {kind, select, raked {inclinado} stepped {escalonado} scallop {en arco hundido} other {en rampa}} {by} más {way, select, longer {largo} other {corto}}',
  'springs-from-half':
    'El remate {kind, select, raked {inclinado} stepped {escalonado} scallop {en arco hundido} other {en rampa}} arranca de media pieza a {at}, hilada {course}: arránquelo en una pieza {unit, select, brick {a soga} other {entera}}, o la junta de abajo pronto se abre.',
  ears: '{count, plural, one {Una pieza del remate es una oreja} other {# piezas del remate son orejas}} de solo {length}: corte más larga la de antes para que tome su lugar, o asiéntela en la albardilla.',
  'footing-steps':
    'La zapata tiene {times, plural, one {un escalón} other {# escalones}}, de {rise} cuando más. La zapata de arriba sigue sobre la de abajo al menos {over}.',
  'footing-steps-deep':
    'La zapata tiene {times, plural, one {un escalón} other {# escalones}}, de {rise} cuando más. La zapata de arriba sigue sobre la de abajo al menos {over}, y un escalón más alto que el peralte del concreto ({deep}) es cosa de un ingeniero.',
  'step-at-corner':
    'En la esquina de {before} y {after} una zapata está {one} hiladas arriba y la otra {other}: un escalón se deja a una pieza de la esquina.',
  'step-clear': 'Dejar el escalón a una pieza de la esquina',
  'step-off':
    'Se {count, plural, one {corta # pieza} other {cortan # piezas}} contra el escalón de la zapata: no cae en las juntas verticales.',
  'step-to-perps': 'Mover el escalón a las juntas verticales más cercanas',
  'all-as-now': 'Todos como empiezan ahora',
  'begin-together': 'Empezarlos todos como les conviene juntos',
  'together-best': '{walls} traban entre sí, y empiezan como mejor les conviene juntos.',
  'together-less':
    '{walls} traban entre sí: empezados de otro modo cuestan {less, number} menos entre todos.',
};
