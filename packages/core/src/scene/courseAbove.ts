import type { Said } from '../messages/message.js';
import { SAME_PLACE, type Mm } from '../measure/length.js';
import { sayMm, type Show } from '../measure/format.js';
import type { WallPlan } from '../plan/plan.js';
import { shapesAbove } from '../plan/says.js';
import { line, path, rect, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import { picksOf } from '../walling/units/counting/picks.js';
import { goesThrough } from '../walling/units/leaves/bonded.js';
import { spokenKind, type SpokenKind } from '../walling/units/laying/kinds.js';
import type { Piece, Row } from '../walling/units/laying/row.js';
import { SAYS } from './messages.js';
import { onPlan } from './onPlan.js';
import { placeOn, plannedRuns, type PlannedRun } from './planLine.js';
import { boxOf, type Scene } from './scene.js';
import { coursePlanScene } from './tape.js';

/** One unit of a course as it is read out: what it is, how long, where it begins along its run. Lengths mm. */
export interface UnitRead {
  kind: SpokenKind;
  sawn: boolean;
  length: Mm;
  from: Mm;
  /** Not as in the course it is held against. */
  fresh: boolean;
}

/** A whole course from above: what is laid out on the scaffold for it. */
export interface CourseAbove {
  course: number;
  courses: number;
  top: Mm;
  bed: Mm;
  unitHeight: Mm;
  scene: Scene;
  /** What is picked up for it, all runs together, and how many units of it are sawn. */
  picks: Said;
  units: number;
  sawn: number;
  /** Uprights that pass through it, ties in the bed on it, and whether steel lies in that bed. */
  bars: number;
  ties: number;
  bedSteel: boolean;
  /** The last course on the same perps, which this is held against; null for the first ones. */
  against: number | null;
  fresh: number;
  /** The run it is begun on, and the unit that goes down first. */
  start: { run: string; first: SpokenKind | null };
  runs: { name: string; units: UnitRead[] }[];
}

/** A length beside its unit stands so far outside the face, and what says where to begin past it; in parts of the wall's thickness. */
const BESIDE = 0.75;
const WAY = 1.9;
/** An arrow along the wall, and its head, in thicknesses. */
const ARROW = 5;
const HEAD = 0.45;

const alike = (a: Piece, b: Piece): boolean =>
  a.kind === b.kind &&
  Math.abs(a.from - b.from) < SAME_PLACE &&
  Math.abs(a.to - b.to) < SAME_PLACE &&
  (a.cutFrom === null) === (b.cutFrom === null);

/** Units of a row that another has not: what the mason must look at, where the rest goes down as it did. */
export function freshIn(row: Row, against: Row | undefined): Piece[] {
  if (!against || row === against) return [];
  let i = 0;
  return row.pieces.filter((piece) => {
    while (i < against.pieces.length && (against.pieces[i] as Piece).from < piece.from - SAME_PLACE) i++;
    const other = against.pieces[i];
    return !other || !alike(piece, other);
  });
}

const isSawn = (p: Piece): boolean => p.cutFrom !== null;

/** Words beside a run that goes up the sheet begin or end at it; along a level one they stand across their place. */
const anchorBeside = (run: PlannedRun, at: Mm): Anchor => {
  const [x] = placeOn(run, at, 0);
  const [out] = placeOn(run, at, -1);
  return out - x > 0.45 ? 'start' : x - out > 0.45 ? 'end' : 'middle';
};

/** Lengths of what is sawn beside it, those too near the last left to the list. */
function lengthsBeside(
  run: PlannedRun,
  pieces: readonly Piece[],
  deep: Mm,
  clear: Mm,
  show: Show,
): SceneShape[] {
  let last = -Infinity;
  return pieces.filter(isSawn).flatMap((p) => {
    const at = (p.from + p.to) / 2;
    if (at - last < clear) return [];
    last = at;
    const [x, y] = placeOn(run, at, -BESIDE * deep);
    return [words('cut-length', x, y, sayMm(p.to - p.from, show), anchorBeside(run, at))];
  });
}

/** An arrow along the first run: this is where the course begins, and which way it is laid. */
function layingWay(run: PlannedRun, deep: Mm): SceneShape[] {
  const to = Math.min(run.length * 0.6, ARROW * deep);
  const at = (along: Mm, off: number): readonly [number, number] => placeOn(run, along, -off * deep);
  const [x, y] = at(to + deep * 0.4, WAY);
  const up = Math.abs(Math.sin(run.heading)) > 0.5;
  return [
    path('lay-way', [at(0, WAY), at(to, WAY)]),
    path('lay-way', [at(to - HEAD * deep, WAY - HEAD), at(to, WAY), at(to - HEAD * deep, WAY + HEAD)]),
    words('lay-from', x, y, SAYS['lay-way'](), up ? 'middle' : Math.cos(run.heading) < 0 ? 'end' : 'start'),
  ];
}

/**
 * One course round the whole wall, seen from above. `px` is millimetres to a pixel of the medium: lengths nearer than
 * they are wide are not written. `course` counts from 1 and is brought into the wall.
 */
export function courseAbove(p: WallPlan, course: number, show: Show, px: Mm): CourseAbove {
  const { wall, gauge } = p;
  const number = Math.min(Math.max(1, course), gauge.courses.length);
  const height = gauge.courses[number - 1];
  const planned = plannedRuns(wall);
  const deep = wall.cavity?.overall ?? wall.thickness;
  const period = p.runs[0]?.lines.length ?? 1;
  const against = number > period ? number - period : null;
  const shapes: SceneShape[] = [];
  const over: SceneShape[] = [];
  const runs: CourseAbove['runs'] = [];
  const rows: Row[] = [];
  for (const run of planned) {
    const laid = p.runs.find((r) => r.index === run.index);
    const row = laid?.rows[number - 1];
    if (!laid || !row) continue;
    rows.push(row);
    const fresh = new Set(freshIn(row, against === null ? undefined : laid.rows[against - 1]));
    const { shapes: plan } = coursePlanScene(p, run.index, number);
    // What another run shows in this face that run draws itself.
    shapes.push(...plan.filter((s) => s.id !== 'shown').map((s) => onPlan(run, s)));
    for (const piece of row.pieces) {
      const across = goesThrough(wall, piece) ? wall.thickness : wall.unitWidth;
      if (isSawn(piece)) over.push(onPlan(run, line('saw-plan', piece.from, 0, piece.to, across)));
      if (fresh.has(piece))
        over.push(onPlan(run, rect('not-as-below', piece.from, 0, piece.to - piece.from, across)));
    }
    over.push(...shapesAbove(p, run.index, number).map((s) => onPlan(run, s)));
    over.push(...lengthsBeside(run, row.pieces, deep, 60 * px, show));
    runs.push({
      name: wall.runs[run.index]?.name ?? '',
      units: row.pieces.map((piece) => ({
        kind: spokenKind(piece.kind, wall.unit),
        sawn: isSawn(piece),
        length: piece.to - piece.from,
        from: piece.from,
        fresh: fresh.has(piece),
      })),
    });
  }
  for (const o of wall.openings) {
    const run = planned[o.run];
    if (!run || !height || o.sill > height.bottom + 1 || o.head < height.top - 1) continue;
    const [x, y] = placeOn(run, (o.from + o.to) / 2, deep / 2);
    over.push(words('opening-name', x, y, o.name, 'middle', o.id));
  }
  const [first] = planned;
  if (first) over.push(...layingWay(first, deep));
  const drawn = [...shapes, ...over];
  const of = (role: SceneShape['role']): number => over.filter((s) => s.role === role).length;
  return {
    course: number,
    courses: gauge.courses.length,
    top: height?.top ?? 0,
    bed: height?.bed ?? 0,
    unitHeight: height?.unitHeight ?? 0,
    scene: { box: boxOf(drawn), pieces: null, shapes: drawn },
    picks: picksOf(rows, wall.unit),
    units: rows.reduce((sum, row) => sum + row.pieces.length, 0),
    sawn: rows.reduce((sum, row) => sum + row.pieces.filter(isSawn).length, 0),
    bars: of('bar-plan'),
    ties: of('tie-plan'),
    bedSteel: of('bed-steel') > 0,
    against,
    fresh: of('not-as-below'),
    start: { run: runs[0]?.name ?? '', first: runs[0]?.units[0]?.kind ?? null },
    runs,
  };
}
