import type { ScreenTexts } from '../../screens/index.js';

export const atGauge: ScreenTexts['at-gauge'] = {
  giveOrTake: 'más o menos',
  fixedHeights: 'Alturas fijas',
  addOne: 'Agregar',
  onlyTheTopAdd: 'Solo la de arriba. Agregue un apoyo, un piso, una solera o una hilada vieja.',
  heightOf: 'Altura de',
  courses: 'Hiladas',
  bedTarget: 'Tendel, el buscado',
  howTheBedIs: 'Cómo sale el tendel',
  waysToReachThe: 'Maneras de llegar a las alturas',
  whatWillBeSeen: 'Lo que se va a ver',
  theFace: 'La cara',
  hiddenUpTo: 'Tapado hasta',
  bedsThatSoilA:
    'Los tendeles que va a tapar la tierra, un zoclo o el aplanado pueden ir más gruesos o más delgados, y nadie cuenta el cambio.',
  takeThePole: 'Llevarse el escantillón',
  cumulativeMarksFromThe:
    'Marcas acumuladas desde la base, separación de clavos, y un tramo a tamaño real con una regla para revisar la impresora.',
  realUnits: 'Piezas de verdad',
  heightsMeasuredTenOr: 'Alturas medidas, diez o más',
  lengthsMeasured: 'Largos medidos',
  heightNo: 'Altura {label}',
  keepOf: '{name}{keep, select, must {} other { (deseo)}}',
  sillAndHead: '{name}, antepecho y dintel',
  takeOut: 'Quitar {what}',
  coursesIn: '{count, number} en {height}',
  bedsComeTo: 'Los tendeles salen de {from}; pueden ir de {least} a {most}.',
  bedsComeFrom: 'Los tendeles salen de {from} a {to}; pueden ir de {least} a {most}.',
  rendered: 'va aplanada',
  sortAdobes:
    'Escójalos según llegan: los más escuadrados y duros a esquinas, jambas y puntas; la cara mala hacia el lado que se aplana o no se ve; los rajados de lado a lado, a mitades o de vuelta al pozo.',
  sampleSays:
    '{count, number} {size, select, height {alturas} other {largos}}: media {mean}, de {from} a {to}. {size, select, height {Un tendel} other {Una junta vertical}} de {least} por lo menos lo disimula; {size, select, height {este} other {esta}} es de {joint}.',
  mustLand: 'tiene que caer ahí',
  mayMove: 'puede moverse',
  inSight: 'queda a la vista',
};
