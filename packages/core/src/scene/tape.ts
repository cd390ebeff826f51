import { showMm, type Show } from '../measure/format.js';
import { goesThrough } from '../walling/units/leaves/bonded.js';
import { onFace } from '../walling/units/leaves/behind.js';
import { courseBeside, rowIn } from '../walling/units/leaves/laidWith.js';
import { behindOf, type Leaf } from '../walling/units/leaves/leaf.js';
import type { Piece, Row } from '../walling/units/laying/row.js';
import type { SetPier, SetWall } from '../stages/set-out/wall.js';
import { cellsOfPiece, insideWidth } from '../stages/steel/cells.js';
import type { WallWork } from '../plan/work.js';
import { endsShown } from '../walling/units/columns.js';
import { line, rect, words, type SceneShape } from '../shapes/shape.js';
import type { Scene } from './scene.js';

export interface TapeMark {
  at: number;
  /** Marks with figures are every second or fifth module, so that they can be read. */
  figure: boolean;
}

/** Marks along the base: every half module, with figures where there is room for `most` of them. */
export function tapeMarks(work: WallWork, run: number, show: Show, most = 12): TapeMark[] {
  const length = work.wall.runs[run]?.length ?? 0;
  const step = show === 'mm' ? (work.wall.unit.family === 'brick' ? 225 : 450) : 203.2;
  const count = Math.floor(length / step + 1e-9);
  const every = [1, 2, 4, 5, 10, 20, 50, 100, 200, 500].find((n) => count / n <= most) ?? 1000;
  return Array.from({ length: count + 1 }, (_, i) => ({ at: i * step, figure: i % every === 0 }));
}

/** Pixels: room a figure on the tape asks, and how far it stands from its mark. */
const FIGURE_WIDE = 44;
const FIGURE_AT = 3;

/** The tape along a run `length` mm long, `high` mm across its width, its lower edge at 0; `px` is millimetres to a pixel of the medium. */
export function tapeShapes(
  marks: readonly TapeMark[],
  length: number,
  { show, high, px }: { show: Show; high: number; px: number },
): SceneShape[] {
  const shapes: SceneShape[] = [rect('tape', 0, 0, length, high)];
  let last = -Infinity;
  for (const mark of marks) {
    // A figure that would run into the last is left out; its mark stays.
    const figured = mark.figure && mark.at - last >= FIGURE_WIDE * px;
    if (figured) last = mark.at;
    shapes.push(line('tape-mark', mark.at, high, mark.at, high * (figured ? 0.6 : 0.8)));
    if (figured && mark.at + FIGURE_WIDE * px < length)
      shapes.push(words('tape-number', mark.at + FIGURE_AT * px, high * 0.33, showMm(mark.at, show)));
  }
  return shapes;
}

/** The tape of a run as a picture of its own. */
export function tapeScene(
  work: WallWork,
  run: number,
  drawn: { show: Show; high: number; px: number },
): Scene {
  const length = work.wall.runs[run]?.length ?? 0;
  return {
    box: { x: 0, y: 0, w: length, h: drawn.high },
    pieces: null,
    shapes: tapeShapes(tapeMarks(work, run, drawn.show), length, drawn),
  };
}

/** The open cells of one piece of a row in plan, its face `y` mm in. */
function cells(wall: SetWall, piece: Piece, row: Row, y: number): SceneShape[] {
  const shell = (wall.unitWidth - insideWidth(wall)) / 2;
  return cellsOfPiece(wall, piece, row.perps).map((c) =>
    rect('cell', c.from, y + shell, c.to - c.from, insideWidth(wall)),
  );
}

/** How a piece lies across the wall: where it begins in from the outside face, and how deep it is, mm. */
export function acrossOf(work: WallWork, leaf: Leaf, run: number, p: Piece): { y: number; deep: number } {
  const { wall } = work;
  const { unitWidth, thickness, head, piers } = wall;
  const pier = piers.find((q) => q.run === run && p.from >= q.from - 1 && p.to <= q.to + 1);
  if (leaf.index > 0)
    return {
      y: pier?.side === 'outside' ? -Math.abs(leaf.offset) : leaf.offset,
      deep: leaf.wall.unitWidth,
    };
  if (goesThrough(wall, p)) return { y: 0, deep: thickness };
  // A unit turned into a pier reaches through it, one way or the other.
  const turned = p.kind === 'header' && wall.wythes === 1 ? pier : undefined;
  return {
    y: turned?.side === 'outside' ? -unitWidth - head : 0,
    deep: turned ? 2 * unitWidth + head : unitWidth,
  };
}

/** The units of a row of a leaf, with their cells. */
function laidRow(work: WallWork, leaf: Leaf, run: number, row: Row | undefined): SceneShape[] {
  return (row?.pieces ?? []).flatMap((p) => {
    const { y, deep } = acrossOf(work, leaf, run, p);
    return [rect('unit-plan', p.from, y, p.to - p.from, deep, p.kind), ...cells(leaf.wall, p, row as Row, y)];
  });
}

/** What stands behind the face of a course, and board in a cavity before it: the course of the leaf at that height. */
function leafBehind(work: WallWork, leaf: Leaf, runIndex: number, number: number): SceneShape[] {
  const { wall } = work;
  const height = work.gauge.courses[number - 1];
  const course = courseBeside(work, leaf, number);
  if (course === null || !leaf.runs.some((r) => r.index === runIndex)) return [];
  const shapes = laidRow(work, leaf, runIndex, rowIn(work, { leaf, course }, runIndex));
  const board = wall.cavity?.board ?? 0;
  if (leaf.heldBy !== 'cavity' || board === 0) return shapes;
  // Board stands where the wall does: not through a door.
  const place = behindOf(leaf, runIndex);
  let at = place.inset;
  const end = onFace(place, leaf.wall.runs[runIndex]?.length ?? 0);
  const gaps = wall.openings
    .filter((o) => o.run === runIndex && height && o.sill < height.top - 1 && o.head > height.bottom + 1)
    .sort((a, b) => a.from - b.from);
  for (const gap of [...gaps, { from: end, to: end }]) {
    if (gap.from > at) shapes.push(rect('board', at, leaf.offset - board, gap.from - at, board));
    at = Math.max(at, gap.to);
  }
  return shapes;
}

/** One course in plan: both leaves where there are two, units with their cells, seen from above. `course` is its number. */
export function coursePlanScene(work: WallWork, runIndex: number, course: number): Scene {
  const run = work.runs.find((r) => r.index === runIndex);
  const { unitWidth, thickness } = work.wall;
  const shapes: SceneShape[] = [];
  // What other runs and walls show in this face lies there too: it is theirs, and counted with them.
  if (run) {
    const { start, between, end } = endsShown(work, run, course - 1);
    for (const s of [start, ...between, end])
      if (s) shapes.push(rect('unit-plan', s.from, 0, s.to - s.from, unitWidth, 'shown'));
  }
  // The outside face is at the foot of the strip, as the wall is seen from outside.
  const [face, ...behind] = work.leaves;
  if (face && run) shapes.push(...laidRow(work, face, runIndex, run.rows[course - 1]));
  for (const leaf of behind) shapes.push(...leafBehind(work, leaf, runIndex, course));
  const proud = (side: SetPier['side']): number =>
    work.wall.piers.some((q) => q.run === runIndex && q.side === side) ? unitWidth + work.wall.head : 0;
  return {
    box: {
      x: 0,
      y: -proud('outside'),
      w: work.wall.runs[runIndex]?.length ?? 0,
      h: (work.wall.cavity?.overall ?? thickness) + proud('outside') + proud('inside'),
    },
    pieces: null,
    shapes,
  };
}
