import { sayMass, showMm, type Show } from '../../measure/format.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import type { SteelStageWork } from './work.js';
import { cutBars, type CutList } from './cutting.js';
import { USE_NAMES, type ScheduleLine } from './schedule.js';
import { schedule, stockOf } from './steel.js';
import type { Message, Say } from '../../messages/message.js';
import { SHEET } from '../paperMessages.js';
import { CAUTION, type PaperSheet, type PaperTable } from '../paper.js';

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

/** How many bars a cut list takes, and how good that is. */
export const proofOf = (cut: CutList): Message =>
  SHEET.proof({ proved: cut.proved ? 'yes' : 'no', bars: cut.bars, bound: cut.bound });

function cutTable(size: string, cut: CutList, show: Show, say: Say): PaperTable {
  return {
    name: say(SHEET['cut-of']({ size, proof: proofOf(cut) })),
    head: [SHEET.bars(), SHEET['cut-into'](), SHEET['left-over']()].map(say),
    figures: [0, 2],
    rows: [
      ...cut.patterns.map((p) => [
        `${p.times} × ${showMm(p.stock, show)}`,
        p.pieces.map((x) => `${x.count} ${x.mark} (${showMm(x.length, show)})`).join(', '),
        showMm(p.left, show),
      ]),
      ...cut.tooLong.map((w) => [
        `${w.count}`,
        say(SHEET['too-long']({ mark: w.mark, length: w.length })),
        '',
      ]),
    ],
  };
}

/** The bar schedule of one wall and how to cut it from stock. */
export function barsSheet(job: string, work: SteelStageWork, show: Show, say: Say): PaperSheet {
  const { wall, steel } = carried(work);
  const lines = schedule(wall, steel);
  const stock = stockOf(wall);
  const cuts = cutLists(lines, stock);
  const { lap, bed } = steel;
  const says: Message[] = [
    ...(lap ? [SHEET['laps-of'](lap)] : []),
    ...(bed
      ? [SHEET['bed-steel']({ net: bed.net, laps: bed.withLaps, pieces: bed.pieces, corners: bed.corners })]
      : []),
    SHEET['bars-note'](),
  ];
  return {
    title: say(SHEET['bars-of']({ wall: wall.name })),
    sub: say(
      SHEET['bars-sub']({
        job,
        stock: stock.map((length) => SHEET['length-of']({ length })),
        mass: lines.reduce((s, l) => s + l.mass, 0),
      }),
    ),
    says: says.map(say),
    drawing: null,
    tables: [
      {
        name: say(SHEET.schedule()),
        head: [
          SHEET.mark(),
          SHEET.size(),
          SHEET.for(),
          SHEET['shape-head'](),
          'A',
          'B',
          SHEET['cut-to'](),
          SHEET.no(),
          SHEET['in-all'](),
          SHEET.mass(),
        ].map(say),
        figures: [4, 5, 6, 7, 8, 9],
        rows: lines.map((l) => [
          l.mark,
          l.size,
          say(USE_NAMES[l.use]),
          say(SHEET.shape({ shape: l.shape })),
          showMm(l.a, show),
          l.b > 0 ? showMm(l.b, show) : '',
          showMm(l.length, show),
          String(l.count),
          showMm(l.total, show),
          sayMass(l.mass, show),
        ]),
      },
      ...cuts.map(([size, cut]) => cutTable(size, cut, show, say)),
    ],
    caution: say(CAUTION),
  };
}
