import { carried } from '../../walling/units/leaves/leaf.js';
import { LIST } from '../listMessages.js';
import type { Spot, WorkList } from '../list.js';
import { lineOfBar, USE_NAMES } from './schedule.js';
import { schedule, stretchBars, uprightBars } from './steel.js';
import type { SteelStageWork } from './work.js';

/** How wide a bar is to press, mm. */
const WIDE = 60;

/** Where each line of the schedule stands on the wall, by its mark: uprights in their cells, beams in their courses. */
function spotsByMark(work: SteelStageWork): Map<string, Spot[]> {
  const { wall, steel, gauge } = carried(work);
  const lines = schedule(wall, steel);
  const spots = new Map<string, Spot[]>();
  const put = (mark: string | undefined, spot: Spot): void => {
    if (mark === undefined) return;
    const at = spots.get(mark);
    if (at) at.push(spot);
    else spots.set(mark, [spot]);
  };
  for (const { run, at, shaft } of steel.verticals.flatMap((v) => v.bars))
    for (const mark of new Set(uprightBars(wall, shaft).map((b) => lineOfBar(lines, b)?.mark)))
      put(mark, { run, x: at - WIDE / 2, y: shaft.bottom, w: WIDE, h: shaft.top - shaft.bottom });
  for (const beam of steel.beams)
    for (const s of beam.stretches) {
      const c = gauge.courses[beam.course];
      if (!c) continue;
      for (const mark of new Set(stretchBars(wall, beam, s).map((b) => lineOfBar(lines, b)?.mark)))
        put(mark, {
          run: beam.run,
          x: s.from,
          y: c.bottom + c.bed,
          w: s.to - s.from,
          h: c.top - c.bottom - c.bed,
        });
    }
  return spots;
}

/** Bars by mark, as they are cut and bent. */
export function barList(work: SteelStageWork): WorkList {
  const { wall, steel } = carried(work);
  const spots = spotsByMark(work);
  return {
    kind: 'bars',
    name: LIST.bars(),
    empty: LIST['bars-empty'](),
    columns: [
      { key: 'mark', name: LIST.mark(), is: 'text' },
      { key: 'size', name: LIST.size(), is: 'text' },
      { key: 'for', name: LIST.for(), is: 'text' },
      { key: 'shape', name: LIST.shape(), is: 'text' },
      { key: 'a', name: 'A', is: 'length' },
      { key: 'b', name: 'B', is: 'length' },
      { key: 'length', name: LIST['cut-to'](), is: 'length' },
      { key: 'count', name: LIST.no(), is: 'count', sums: true },
      { key: 'total', name: LIST['in-all'](), is: 'length', sums: true },
      { key: 'mass', name: LIST.mass(), is: 'mass', sums: true },
    ],
    rows: schedule(wall, steel).map((l) => ({
      id: l.mark,
      cells: [
        l.mark,
        l.size,
        USE_NAMES[l.use],
        LIST['shape-is']({ shape: l.shape }),
        l.a,
        l.b > 0 ? l.b : null,
        l.length,
        l.count,
        l.total,
        l.mass,
      ],
      spots: spots.get(l.mark) ?? [],
    })),
  };
}
