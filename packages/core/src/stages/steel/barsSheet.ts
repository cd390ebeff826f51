import type { Kilograms } from '../../measure/length.js';
import { sayMm, showMm, type Show } from '../../measure/format.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import type { SteelStageWork } from './work.js';
import { cutBars, type CutList } from './cutting.js';
import { USE_NAMES, type ScheduleLine } from './schedule.js';
import { schedule, stockOf } from './steel.js';
import { CAUTION, type PaperSheet, type PaperTable } from '../paper.js';

const SHAPES: Record<ScheduleLine['shape'], string> = {
  straight: 'straight',
  hooked: 'hook at one end',
  corner: 'right angle',
  u: 'U',
};

/** Mass as the show units have it: pounds with feet, kilograms with millimetres. */
export const sayMass = (kg: Kilograms, show: Show): string =>
  show === 'mm' ? `${kg.toFixed(1)} kg` : `${(kg / 0.45359237).toFixed(1)} lb`;

/** The cut lists of a schedule, one for each bar size. */
export function cutLists(lines: readonly ScheduleLine[], stock: readonly number[]): [string, CutList][] {
  const sizes = [...new Set(lines.map((l) => l.size))];
  return sizes.map((size) => [
    size,
    cutBars(
      lines.filter((l) => l.size === size).map(({ mark, length, count }) => ({ mark, length, count })),
      stock,
    ),
  ]);
}

export const sayProof = (cut: CutList): string =>
  cut.proved
    ? `${cut.bars} bars, and no list could take fewer`
    : `${cut.bars} bars; no list could take fewer than ${cut.bound}`;

function cutTable(size: string, cut: CutList, show: Show): PaperTable {
  return {
    name: `Cut ${size}: ${sayProof(cut)}`,
    head: ['bars', 'cut each into', 'left over'],
    figures: [0, 2],
    rows: [
      ...cut.patterns.map((p) => [
        `${p.times} × ${showMm(p.stock, show)}`,
        p.pieces.map((x) => `${x.count} ${x.mark} (${showMm(x.length, show)})`).join(', '),
        showMm(p.left, show),
      ]),
      ...cut.tooLong.map((w) => [
        `${w.count}`,
        `${w.mark}: longer than any stock, ${showMm(w.length, show)}`,
        '',
      ]),
    ],
  };
}

/** The bar schedule of one wall and how to cut it from stock. */
export function barsSheet(job: string, work: SteelStageWork, show: Show): PaperSheet {
  const { wall, steel } = carried(work);
  const lines = schedule(wall, steel);
  const stock = stockOf(wall);
  const cuts = cutLists(lines, stock);
  const say = (n: number): string => sayMm(n, show);
  const lap = steel.lap;
  return {
    title: `Bars, ${wall.name}`,
    sub: `${job}. Stock ${stock.map(say).join(', ')}; ${sayMass(
      lines.reduce((s, l) => s + l.mass, 0),
      show,
    )} in all`,
    says: [
      lap ? `Laps of uprights: ${say(lap.length)}, ${lap.says} (${lap.source}).` : '',
      steel.bed
        ? `Reinforcement in the beds: ${steel.bed.net.toFixed(1)} m in the wall, ${steel.bed.withLaps.toFixed(1)} m with laps, in ${steel.bed.pieces} pieces and ${steel.bed.corners} corner pieces.`
        : '',
      'Dimensions are outside to outside. Lengths to cut are rounded up to the next inch, or the next 25 mm. Cap the ends that stand up.',
    ].filter(Boolean),
    drawing: null,
    tables: [
      {
        name: 'Schedule',
        head: ['mark', 'size', 'for', 'shape', 'A', 'B', 'cut to', 'no.', 'in all', 'mass'],
        figures: [4, 5, 6, 7, 8, 9],
        rows: lines.map((l) => [
          l.mark,
          l.size,
          USE_NAMES[l.use],
          SHAPES[l.shape],
          showMm(l.a, show),
          l.b > 0 ? showMm(l.b, show) : '',
          showMm(l.length, show),
          String(l.count),
          showMm(l.total, show),
          sayMass(l.mass, show),
        ]),
      },
      ...cuts.map(([size, cut]) => cutTable(size, cut, show)),
    ],
    caution: CAUTION,
  };
}
