import { SAME_PLACE } from '../../measure/length.js';
import type { Message } from '../../messages/message.js';
import type { UnitShape } from '../../tables/units.js';
import { picksOf } from '../../walling/units/counting/picks.js';
import { spokenKind } from '../../walling/units/laying/kinds.js';
import type { Piece, Row } from '../../walling/units/laying/row.js';
import {
  everyPiece,
  faceCourseOf,
  laidWith,
  rowIn,
  type LeafCourse,
} from '../../walling/units/leaves/laidWith.js';
import type { GaugeWork } from '../gauge/stage.js';
import { LIST } from '../listMessages.js';
import type { ListRow, Spot, WorkList } from '../list.js';
import type { SetOutWork } from '../set-out/stage.js';
import type { BondWork } from './stage.js';

type Laid = SetOutWork & GaugeWork & BondWork;

/** Where a piece of a leaf stands on the elevation of its run. */
export function spotOf({ leaf, course, run }: LeafCourse & { run: number }, p: Piece): Spot {
  const c = leaf.gauge.courses[course - 1];
  const bottom = p.band?.from ?? (c ? c.bottom + c.bed : 0);
  return { run, x: p.from, y: bottom, w: p.to - p.from, h: (p.band?.to ?? c?.top ?? bottom) - bottom };
}

/** Course by course, from the lowest: how high, what bed, how many units, and what is picked up for it. */
export function courseList(work: Laid): WorkList {
  const { gauge, runs } = work;
  const rows = gauge.courses.map((c): ListRow => {
    const laid = laidWith(work, c.number);
    const rowsOf = (of: readonly LeafCourse[]): Row[] =>
      of.flatMap((at) => runs.flatMap((run) => rowIn(work, at, run.index) ?? []));
    const pieces = rowsOf(laid).flatMap((r) => r.pieces);
    const [face, inner] = [false, true].map((behind) =>
      laid.filter((at) => (at.leaf.heldBy === 'cavity') === behind),
    ) as [LeafCourse[], LeafCourse[]];
    const outside = picksOf(rowsOf(face), work.wall.unit);
    return {
      id: String(c.number),
      course: c.number,
      cells: [
        c.number,
        c.top,
        c.bed,
        pieces.length,
        pieces.filter((p) => p.cutFrom !== null).length,
        inner.length === 0
          ? outside
          : LIST['with-inner']({
              outside,
              inner: picksOf(rowsOf(inner), inner[0]?.leaf.wall.unit as UnitShape),
            }),
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
  /** As its leaf numbers them, and the lowest course of the face one is laid with. */
  courses: number[];
  first: number;
  spots: Spot[];
  where: Message;
  kind: Message;
}

/** Every piece that is sawn: those of one length, one name and one place on one line, the shortest first. */
export function cutList(work: Laid): WorkList {
  const { wall } = work;
  const cuts = new Map<string, Cut>();
  everyPiece(work, (p, at) => {
    if (p.cutFrom === null) return;
    const opening = wall.openings[p.opening];
    const placed = opening
      ? LIST['jamb-of']({
          side: p.to <= opening.from + wall.unitLength ? 'left' : 'right',
          opening: opening.name,
        })
      : LIST['in-run']({ run: wall.runs[at.run]?.name ?? '' });
    const where = at.leaf.heldBy === 'cavity' ? LIST['in-inner']({ where: placed }) : placed;
    const kind = LIST.kind({ kind: spokenKind(p.kind, at.leaf.wall.unit) });
    const long = Math.round((p.to - p.from) / SAME_PLACE / 10);
    const key = JSON.stringify([long, where, kind]);
    const cut: Cut = cuts.get(key) ?? {
      length: p.to - p.from,
      pieces: [],
      courses: [],
      first: Infinity,
      spots: [],
      where,
      kind,
    };
    cuts.set(key, cut);
    cut.pieces.push(p);
    cut.courses.push(at.course);
    cut.first = Math.min(cut.first, faceCourseOf(work, at));
    cut.spots.push(spotOf(at, p));
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
        course: cut.first,
        cells: [cut.length, cut.pieces.length, cut.kind, coursesSaid(cut.courses), cut.where],
        spots: cut.spots,
      })),
  };
}
