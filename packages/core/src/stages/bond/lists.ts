import { SAME_PLACE } from '../../measure/length.js';
import type { Message } from '../../messages/message.js';
import { picksOf } from '../../walling/units/counting/picks.js';
import { spokenKind } from '../../walling/units/laying/kinds.js';
import type { Piece } from '../../walling/units/laying/row.js';
import type { GaugeWork } from '../gauge/stage.js';
import { LIST } from '../listMessages.js';
import type { ListRow, Spot, WorkList } from '../list.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { BondWork } from './stage.js';

type Laid = SetOutWork & GaugeWork & BondWork;

/** Where a piece stands on the elevation of its run. */
export function spotOf({ gauge }: GaugeWork, run: number, course: number, p: Piece): Spot {
  const c = gauge.courses[course - 1];
  const bottom = p.band?.from ?? (c ? c.bottom + c.bed : 0);
  return { run, x: p.from, y: bottom, w: p.to - p.from, h: (p.band?.to ?? c?.top ?? bottom) - bottom };
}

/** Course by course, from the lowest: how high, what bed, how many units, and what is picked up for it. */
export function courseList({ wall, gauge, runs }: Laid): WorkList {
  const rows = gauge.courses.map((c): ListRow => {
    const laid = runs.flatMap((r) => r.rows[c.number - 1] ?? []);
    const pieces = laid.flatMap((r) => r.pieces);
    return {
      id: String(c.number),
      course: c.number,
      cells: [
        c.number,
        c.top,
        c.bed,
        pieces.length,
        pieces.filter((p) => p.cutFrom !== null).length,
        picksOf(laid, wall.unit),
      ],
      spots: runs.map((r) => ({
        run: r.index,
        x: r.from,
        y: c.bottom + c.bed,
        w: r.to - r.from,
        h: c.top - c.bottom - c.bed,
      })),
    };
  });
  return {
    kind: 'courses',
    name: LIST.courses(),
    empty: LIST['courses-empty'](),
    columns: [
      { key: 'course', name: LIST.course(), is: 'count' },
      { key: 'top', name: LIST.top(), is: 'length' },
      { key: 'bed', name: LIST.bed(), is: 'length' },
      { key: 'units', name: LIST.units(), is: 'count', sums: true },
      { key: 'sawn', name: LIST.sawn(), is: 'count', sums: true },
      { key: 'picks', name: LIST['laid-with'](), is: 'text' },
    ],
    rows,
  };
}

/** Courses as they are said: those that follow one another, or every other one, are not counted out singly. */
export function coursesSaid(courses: readonly number[]): Message {
  const sorted = [...new Set(courses)].sort((a, b) => a - b);
  const parts: [number, number][] = [];
  for (const n of sorted) {
    const last = parts.at(-1);
    if (last && n === last[1] + 1) last[1] = n;
    else parts.push([n, n]);
  }
  return LIST['these-courses']({
    courses: parts.map(([from, to]) => (from === to ? LIST.one({ course: from }) : LIST.span({ from, to }))),
  });
}

interface Cut {
  length: number;
  pieces: Piece[];
  courses: number[];
  spots: Spot[];
  where: Message;
  kind: Message;
}

/** Every piece that is sawn: those of one length, one name and one place on one line, the shortest first. */
export function cutList(work: Laid): WorkList {
  const { wall, runs } = work;
  const cuts = new Map<string, Cut>();
  for (const run of runs)
    run.rows.forEach((row, i) => {
      for (const p of row.pieces) {
        if (p.cutFrom === null) continue;
        const opening = wall.openings[p.opening];
        const where = opening
          ? LIST['jamb-of']({
              side: p.to <= opening.from + wall.unitLength ? 'left' : 'right',
              opening: opening.name,
            })
          : LIST['in-run']({ run: wall.runs[run.index]?.name ?? '' });
        const kind = LIST.kind({ kind: spokenKind(p.kind, wall.unit) });
        const long = Math.round((p.to - p.from) / SAME_PLACE / 10);
        const key = JSON.stringify([long, where, kind]);
        const cut: Cut = cuts.get(key) ?? {
          length: p.to - p.from,
          pieces: [],
          courses: [],
          spots: [],
          where,
          kind,
        };
        cuts.set(key, cut);
        cut.pieces.push(p);
        cut.courses.push(i + 1);
        cut.spots.push(spotOf(work, run.index, i + 1, p));
      }
    });
  return {
    kind: 'cuts',
    name: LIST.cuts(),
    empty: LIST['cuts-empty'](),
    columns: [
      { key: 'length', name: LIST.length(), is: 'length' },
      { key: 'pieces', name: LIST.pieces(), is: 'count', sums: true },
      { key: 'as', name: LIST['cut-as'](), is: 'text' },
      { key: 'courses', name: LIST['in-courses'](), is: 'text' },
      { key: 'where', name: LIST.where(), is: 'text' },
    ],
    rows: [...cuts]
      .sort(([, a], [, b]) => a.length - b.length)
      .map(([id, cut]) => ({
        id,
        course: Math.min(...cut.courses),
        cells: [cut.length, cut.pieces.length, cut.kind, coursesSaid(cut.courses), cut.where],
        spots: cut.spots,
      })),
  };
}
