import { SAME_PLACE } from '../../../measure/length.js';
import type { SetWall } from '../../../setout/wall.js';
import type { RunEnd, RunEnds } from '../lines/ends.js';
import { THINNEST_PIECE, type Parity, type Span } from '../lines/lines.js';
import type { Piece, Row } from '../laying/row.js';

/**
 * The inner leaf's rows of a run, in the run's own outside-face places. Rows alike are shared, as outside. Round a curve
 * they are where they are seen from the face: `scale` times as long in themselves.
 */
export interface BackLeaf {
  rows: Row[];
  uses: Map<Row, number>;
  /** Its own length for one of the face: other than 1 round a curve. */
  scale?: number;
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

/** How a leaf behind the face lies to it: where its run begins on the face, and how much shorter it is than the face, round a curve. */
export interface Behind {
  inset: number;
  /** Its own length for one of the face: 1 where the run is straight. */
  scale: number;
}

const ON_THE_FACE: Behind = { inset: 0, scale: 1 };

/** A place of the leaf behind, as it is on the face: radially out from it round a curve. */
export const onFace = ({ inset, scale }: Behind, x: number): number => x / scale + inset;

/** A place on the face, as it is on the leaf behind. */
export const fromFace = ({ inset, scale }: Behind, x: number): number => (x - inset) * scale;

/**
 * The inner wythe of a wall whose wythes are only tied, as a wall of its own: every run shorter at an outside corner, longer
 * at an inside one, by one wythe and the collar joint (or `by`, a leaf and a cavity) at a square corner and as geometry has it
 * at others; curves on their own radius; its openings where they were.
 */
export function innerWythe(
  wall: SetWall,
  by: number = wall.unitWidth + wall.head,
): { wall: SetWall; behind: Behind[] } {
  const starts = wall.runs.map(() => 0);
  const ends = wall.runs.map(() => 0);
  for (const { from, to, turn } of wall.line.corners) {
    const off = by * Math.tan((turn * Math.PI) / 360);
    [ends[from], starts[to]] = [off, off];
  }
  const behind = wall.runs.map(({ radius }, i): Behind => ({
    inset: starts[i] as number,
    scale: radius === null ? 1 : (radius - by) / radius,
  }));
  const movedIn = <T extends { run: number; from: number; to: number }>(o: T): T => {
    const at = behind[o.run] ?? ON_THE_FACE;
    return { ...o, from: fromFace(at, o.from), to: fromFace(at, o.to) };
  };
  return {
    behind,
    wall: {
      ...wall,
      wythes: 1,
      thickness: wall.unitWidth,
      runs: wall.runs.map((r, i) => ({
        ...r,
        length: (r.length - (starts[i] as number) - (ends[i] as number)) * (behind[i] as Behind).scale,
        radius: r.radius === null ? null : r.radius - by,
      })),
      openings: wall.openings.map(movedIn),
      // What the mason changed, let in or built on was said of the face.
      changes: [],
      vents: [],
      piers: [],
      branches: [],
      joints: wall.joints.map(movedIn),
      steps: wall.steps.map(movedIn),
      tops: wall.tops.map((t) => ({
        ...movedIn(t),
        segments: t.segments.map((s) => movedIn({ ...s, run: t.run })),
      })),
    },
  };
}
