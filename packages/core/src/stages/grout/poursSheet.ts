import { showMm, showVolume, type Show } from '../../measure/format.js';
import { carried } from '../../walling/units/leaves/leaf.js';
import { line, rect, words, type SceneShape } from '../../shapes/shape.js';
import { primeVolume } from './pours.js';
import { groutShapes } from './shapes.js';
import type { GroutStageWork } from './work.js';
import { GROUT_KEY, LIFT_SOURCE } from '../../tables/grout.js';
import type { Message, Say } from '../../messages/message.js';
import { SHEET } from '../paperMessages.js';
import { CAUTION, type PaperSheet } from '../paper.js';

/** The elevation with the filled cells, the beams and each lift numbered in the order it is placed. */
function liftDrawing(work: GroutStageWork, run: number): PaperSheet['drawing'] {
  const { gauge, pours } = carried(work);
  const length = work.wall.runs[run]?.length ?? 0;
  const top = work.gauge.courses.at(-1)?.top ?? 0;
  const shapes: SceneShape[] = [
    rect('tape', 0, 0, length, gauge.courses[gauge.count - 1]?.top ?? 0),
    ...groutShapes(carried(work), run),
    ...work.wall.openings
      .filter((o) => o.run === run)
      .flatMap((o) => [
        rect('opening', o.from, o.sill, o.to - o.from, o.head - o.sill, o.id),
        words('opening-name', (o.from + o.to) / 2, (o.sill + o.head) / 2, o.name, 'middle'),
      ]),
  ];
  let n = 0;
  for (const pour of pours)
    for (const lift of pour.lifts) {
      n++;
      shapes.push(
        line('pole-mark', -150, lift.top, length + 150, lift.top),
        words('pole-number', -120, (lift.bottom + lift.top) / 2, String(n), 'middle'),
      );
    }
  return { box: { x: -260, y: -60, w: length + 420, h: Math.max(work.wall.height, top) + 120 }, shapes };
}

/** The lift drawing and the pours behind it: what goes to the pump or the mixer. */
export function poursSheet(job: string, work: GroutStageWork, run: number, show: Show, say: Say): PaperSheet {
  const { wall, pours } = work;
  const prime = primeVolume(wall.grout?.hose ?? null);
  const rising = carried(work)
    .fills.filter((f) => f.run === run)
    .reduce((sum, f) => sum + f.cells.filter((c) => c.filled && c.rises).length, 0);
  const says: Message[] = [
    SHEET['fill-by-cell'](),
    SHEET.consolidate(),
    SHEET['stop-below']({ key: GROUT_KEY }),
    ...(prime > 0 ? [SHEET.prime({ volume: prime })] : []),
    ...(rising > 0 ? [SHEET.rising({ count: rising })] : []),
    SHEET['steel-first']({ source: LIFT_SOURCE }),
  ];
  let n = 0;
  return {
    title: say(SHEET['grout-of']({ run: wall.runs[run]?.name ?? wall.name })),
    sub: say(
      SHEET['grout-sub']({
        job,
        wall: wall.name,
        aggregate: wall.grout?.aggregate ?? 'fine',
        volume: pours.reduce((s, p) => s + p.filled.used, 0),
      }),
    ),
    says: says.map(say),
    drawing: liftDrawing(work, run),
    tables: [
      {
        name: say(SHEET['pours-and-lifts']()),
        head: [
          SHEET.lift(),
          SHEET.pour(),
          SHEET.courses(),
          SHEET.from(),
          SHEET.to(),
          SHEET.cleanouts(),
          SHEET['grout-pour'](),
          SHEET.placed(),
          SHEET['seen-by'](),
        ].map(say),
        figures: [0, 1, 3, 4, 5, 6],
        rows: pours.flatMap((p) =>
          p.lifts.map((l, k) => {
            n++;
            return [
              String(n),
              String(p.number),
              say(SHEET['from-to']({ from: p.from, to: p.to })),
              showMm(l.bottom, show),
              showMm(l.top, show),
              k === 0 && p.cleanouts > 0 ? String(p.cleanouts) : '',
              k === 0 ? showVolume(p.filled.used, show) : '',
              '',
              '',
            ];
          }),
        ),
      },
    ],
    caution: say(CAUTION),
  };
}
