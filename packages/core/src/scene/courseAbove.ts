import type { Said } from '../messages/message.js';
import { SAME_PLACE, type Mm } from '../measure/length.js';
import { sayMm, type Show } from '../measure/format.js';
import type { WallPlan } from '../plan/plan.js';
import type { Course } from '../stages/gauge/courses.js';
import { shapesAbove } from '../plan/says.js';
import { line, path, rect, words, type Anchor, type SceneShape } from '../shapes/shape.js';
import { picksOf } from '../walling/units/counting/picks.js';
import { courseBeside, laidWith, rowIn, type LeafCourse } from '../walling/units/leaves/laidWith.js';
import { behindCavity, type Leaf } from '../walling/units/leaves/leaf.js';
import { spokenKind, type SpokenKind } from '../walling/units/laying/kinds.js';
import type { Piece, Row } from '../walling/units/laying/row.js';
import { SAYS } from './messages.js';
import { levelPicks } from './picks.js';
import { onPlan } from './onPlan.js';
import { placeOn, plannedRuns, type PlannedRun } from './planLine.js';
import { boxOf, type Scene } from './scene.js';
import { acrossOf, coursePlanScene } from './tape.js';

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
  /** What is picked up for it, all runs together; of a leaf behind a cavity, course by course what is begun with it. */
  picks: Said;
  behind: LeafAbove[];
  /** Units of all of them, and how many are sawn. */
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
  runs: { name: string; leaf: 'face' | 'inner'; units: UnitRead[] }[];
}

/** A course of the leaf behind a cavity: what is picked up for it, or null where it was begun lower down and stands here. */
export interface LeafAbove {
  course: number;
  picks: Said | null;
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
const anchorBeside = (run: PlannedRun, at: Mm, side: number): Anchor => {
  const [x] = placeOn(run, at, 0);
  const [out] = placeOn(run, at, side);
  return out - x > 0.45 ? 'start' : x - out > 0.45 ? 'end' : 'middle';
};

/** Lengths of what is sawn beside it, those too near the last left to the list. */
function lengthsBeside(
  run: PlannedRun,
  pieces: readonly Piece[],
  off: Mm,
  clear: Mm,
  show: Show,
): SceneShape[] {
  let last = -Infinity;
  return pieces.filter(isSawn).flatMap((p) => {
    const at = (p.from + p.to) / 2;
    if (at - last < clear) return [];
    last = at;
    const [x, y] = placeOn(run, at, off);
    return [words('cut-length', x, y, sayMm(p.to - p.from, show), anchorBeside(run, at, Math.sign(off)))];
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

/** The course of the same leaf that one is held against: the last on the same perps, null for the first ones. */
function heldAgainst({ leaf, course }: LeafCourse): LeafCourse | null {
  const period = leaf.runs[0]?.lines.length ?? 1;
  return course > period ? { leaf, course: course - period } : null;
}

/** What is laid of one run in one course of a leaf: its row, and what of it the course it is held against has not. */
interface Laid extends LeafCourse {
  run: PlannedRun;
  row: Row;
  fresh: Set<Piece>;
}

function laidIn(p: WallPlan, number: number, planned: readonly PlannedRun[]): Laid[] {
  return laidWith(p, number).flatMap((at) => {
    const against = heldAgainst(at);
    return planned.flatMap((run) => {
      const row = rowIn(p, at, run.index);
      if (!row || row.pieces.length === 0) return [];
      const fresh = new Set(freshIn(row, against ? rowIn(p, against, run.index) : undefined));
      return [{ ...at, run, row, fresh }];
    });
  });
}

/** The saw through what is cut, an outline round what is new, and lengths beside: outside for the face, inside for what is behind. */
function marksOn(p: WallPlan, { leaf, run, row, fresh }: Laid, clear: Mm, show: Show): SceneShape[] {
  const deep = p.wall.cavity?.overall ?? p.wall.thickness;
  const marks = row.pieces.flatMap((piece) => {
    const { y, deep: through } = acrossOf(p, leaf, run.index, piece);
    return [
      ...(isSawn(piece) ? [line('saw-plan', piece.from, y, piece.to, y + through)] : []),
      ...(fresh.has(piece) ? [rect('not-as-below', piece.from, y, piece.to - piece.from, through)] : []),
    ];
  });
  // Units laid with the face in one wall are sawn and read with it: only a leaf across a cavity has its own side.
  const off = leaf.heldBy === 'cavity' ? (1 + BESIDE) * deep : -BESIDE * deep;
  return [
    ...marks.map((s) => onPlan(run, s)),
    ...(leaf.heldBy === 'bond' ? [] : lengthsBeside(run, row.pieces, off, clear, show)),
  ];
}

/** Openings a course stops at, named in their gaps. */
function gapsNamed(p: WallPlan, height: Course | undefined, planned: readonly PlannedRun[]): SceneShape[] {
  const deep = p.wall.cavity?.overall ?? p.wall.thickness;
  return p.wall.openings.flatMap((o) => {
    const run = planned[o.run];
    if (!run || !height || o.sill > height.bottom + 1 || o.head < height.top - 1) return [];
    const [x, y] = placeOn(run, (o.from + o.to) / 2, deep / 2);
    return [words('opening-name', x, y, o.name, 'middle', o.id)];
  });
}

/** What the leaf behind a cavity does meanwhile: the courses begun with this one, or the one that stands there already. */
function leafBehind(p: WallPlan, number: number, laid: readonly Laid[]): LeafAbove[] {
  const leaf = behindCavity(p);
  if (!leaf) return [];
  const own = [...new Set(laid.filter((l) => l.leaf === leaf).map((l) => l.course))];
  if (own.length > 0)
    return own.map((course) => ({
      course,
      picks: picksOf(
        laid.filter((l) => l.leaf === leaf && l.course === course).map((l) => l.row),
        leaf.wall.unit,
      ),
    }));
  const stands = courseBeside(p, leaf, number);
  return stands === null ? [] : [{ course: stands, picks: null }];
}

/**
 * One course round the whole wall, seen from above, in all its leaves. `px` is millimetres to a pixel of the medium:
 * lengths nearer than they are wide are not written. `course` counts from 1 and is brought into the wall.
 */
export function courseAbove(p: WallPlan, course: number, show: Show, px: Mm): CourseAbove {
  const { wall, gauge } = p;
  const number = Math.min(Math.max(1, course), gauge.courses.length);
  const height = gauge.courses[number - 1];
  const planned = plannedRuns(wall);
  const laid = laidIn(p, number, planned);
  const shapes = planned.flatMap((run) =>
    // What another run shows in this face that run draws itself.
    coursePlanScene(p, run.index, number)
      .shapes.filter((s) => s.id !== 'shown')
      .map((s) => onPlan(run, s)),
  );
  const over = [
    ...laid.flatMap((l) => marksOn(p, l, 60 * px, show)),
    ...planned.flatMap((run) => shapesAbove(p, run.index, number).map((s) => onPlan(run, s))),
    ...gapsNamed(p, height, planned),
    ...(planned[0] ? layingWay(planned[0], wall.cavity?.overall ?? wall.thickness) : []),
  ];
  const drawn = [...shapes, ...over];
  const of = (role: SceneShape['role']): number => over.filter((s) => s.role === role).length;
  const pieces = laid.flatMap((l) => l.row.pieces);
  const runs = laid.map(({ leaf, run, row, fresh }) => ({
    name: wall.runs[run.index]?.name ?? '',
    leaf: leaf.heldBy === 'cavity' ? ('inner' as const) : ('face' as const),
    units: row.pieces.map((piece) => unitRead(piece, leaf, fresh)),
  }));
  return {
    course: number,
    courses: gauge.courses.length,
    top: height?.top ?? 0,
    bed: height?.bed ?? 0,
    unitHeight: height?.unitHeight ?? 0,
    scene: { box: boxOf(drawn), pieces: null, shapes: drawn },
    picks:
      wall.stone && wall.stone.kind !== 'ashlar'
        ? (levelPicks(
            p,
            wall.runs.map((_, i) => i),
          )[number - 1] ?? '')
        : picksOf(
            laid.filter((l) => l.leaf.heldBy !== 'cavity').map((l) => l.row),
            wall.unit,
          ),
    behind: leafBehind(p, number, laid),
    units: pieces.length,
    sawn: pieces.filter(isSawn).length,
    bars: of('bar-plan'),
    ties: of('tie-plan'),
    bedSteel: of('bed-steel') > 0,
    against: p.leaves[0] ? (heldAgainst({ leaf: p.leaves[0], course: number })?.course ?? null) : null,
    fresh: of('not-as-below'),
    start: { run: runs[0]?.name ?? wall.runs[0]?.name ?? '', first: runs[0]?.units[0]?.kind ?? null },
    runs,
  };
}

const unitRead = (piece: Piece, { wall }: Leaf, fresh: ReadonlySet<Piece>): UnitRead => ({
  kind: spokenKind(piece.kind, wall.unit),
  sawn: isSawn(piece),
  length: piece.to - piece.from,
  from: piece.from,
  fresh: fresh.has(piece),
});
