import { SAME_PLACE } from '../measure/length.js';
import type { SetWall } from '../setout/wall.js';
import { runEnds, type RunEnd, type RunEnds } from './ends.js';
import { THINNEST_PIECE, type Parity, type Span } from './lines.js';
import type { Piece, Row } from './row.js';

/** The inner leaf's rows of a run, in the run's own outside-face places. Rows alike are shared, as outside. */
export interface BackLeaf {
  rows: Row[];
  uses: Map<Row, number>;
}

/** Bricks that lie across the wall: their backs are seen inside, so nothing stands behind them. */
export const goesThrough = (wall: SetWall, piece: Piece): boolean =>
  wall.wythes === 2 &&
  wall.bond.family === 'header' &&
  (piece.kind === 'header' || piece.kind === 'closer' || (piece.kind === 'half' && !isBat(wall, piece)));

const isBat = (wall: SetWall, piece: Piece): boolean =>
  Math.abs(piece.to - piece.from - wall.unitWidth) > SAME_PLACE;

/** Behind every stretcher of a one-brick wall stands another; headers and closers go through. */
export function backRow(wall: SetWall, row: Row, { from, to }: Span): Row {
  const pieces = row.pieces.flatMap((p): Piece[] => {
    if (goesThrough(wall, p)) return [];
    const [a, b] = [Math.max(p.from, from), Math.min(p.to, to)];
    if (b - a < THINNEST_PIECE) return [];
    const whole = Math.abs(b - a - (p.to - p.from)) < SAME_PLACE;
    const kind = whole
      ? p.kind === 'corner'
        ? 'stretcher'
        : p.kind
      : near(b - a, wall.half)
        ? 'half'
        : 'cut';
    return [
      { ...p, from: a, to: b, kind, cutFrom: kind === 'half' || kind === 'cut' ? 'stretcher' : p.cutFrom },
    ];
  });
  return { pieces, perps: [], bedded: [] };
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.01;

/**
 * Between which places of its outside face a course of a bonded wall is backed by bricks of its own. Behind the quoin
 * it turns an outside corner with stand the other run's; where the other turns it, all it has itself is backed.
 */
export function backedStretch(
  wall: SetWall,
  index: number,
  ends: RunEnds,
  parity: Parity,
): { from: number; to: number } {
  const length = wall.runs[index]?.length ?? 0;
  const off = (end: RunEnd): number =>
    end.other !== null && end[parity] === 'own' && end.past === 0 ? wall.thickness + wall.head : -end.past;
  return { from: off(ends.start), to: length - off(ends.end) };
}

/**
 * The inner wythe of a wall whose wythes are only tied, as a wall of its own: every run shorter at an outside
 * corner, longer at an inside one, by one wythe and the collar joint (or `by`, a leaf and a cavity), and its openings
 * where they were.
 */
export function innerWythe(
  wall: SetWall,
  by: number = wall.unitWidth + wall.head,
): { wall: SetWall; inset: number[] } {
  const ends = runEnds(wall);
  const at = (other: number | null | undefined, past: number): number =>
    other === null || other === undefined ? 0 : past > 0 ? -by : by;
  const inset = wall.runs.map((_, i) => at(ends[i]?.start.other, ends[i]?.start.past ?? 0));
  const off = wall.runs.map((_, i) => at(ends[i]?.end.other, ends[i]?.end.past ?? 0));
  return {
    inset,
    wall: {
      ...wall,
      wythes: 1,
      thickness: wall.unitWidth,
      runs: wall.runs.map((r, i) => ({ ...r, length: r.length - (inset[i] ?? 0) - (off[i] ?? 0) })),
      openings: wall.openings.map((o) => movedIn(o, inset)),
      // What the mason changed, let in or built on was said of the face.
      changes: [],
      vents: [],
      piers: [],
      branches: [],
      joints: wall.joints.map((j) => movedIn(j, inset)),
      steps: wall.steps.map((s) => movedIn(s, inset)),
      tops: wall.tops.map((t) => ({
        ...movedIn(t, inset),
        segments: t.segments.map((s) => movedIn({ ...s, run: t.run }, inset)),
      })),
    },
  };
}

const movedIn = <T extends { run: number; from: number; to: number }>(o: T, inset: readonly number[]): T => ({
  ...o,
  from: o.from - (inset[o.run] ?? 0),
  to: o.to - (inset[o.run] ?? 0),
});
