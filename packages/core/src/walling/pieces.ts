/** Kind of the end of another run's corner unit, seen on this face. It is counted there, not here. */
export const SHOWN = 200;

/** Kinds of stones that are drawn as they may come to lie: none of them is a unit of the wall’s own, and none is counted. */
export const [STONE, THROUGH, QUOIN, COPE] = [201, 202, 203, 204] as const;

/** Whether a piece is a unit whose place is known. */
export const isUnit = (kind: number | undefined): boolean => kind !== undefined && kind < SHOWN;

/**
 * Pieces of one course, or lift, of one run as columns: what a screen draws from, and what crosses from the worker without being
 * copied. Millimetres along the run and above the wall's base; bottoms are the underside of the piece. A piece is the rectangle of
 * its columns; one that is not has its corners in `points`, x and y by turns.
 */
export interface CourseColumns {
  /** Its number, from 1 at the base. */
  course: number;
  count: number;
  from: Float64Array;
  to: Float64Array;
  bottom: Float64Array;
  top: Float64Array;
  kind: Uint8Array;
  sawn: Uint8Array;
  /** Corners of the pieces that are no rectangles, one after another; and where those of each piece begin, in corners: nothing where none has any. */
  points: Float64Array;
  offsets: Uint32Array;
}

const NUMBER = 8;
const PLACE = 4;

const NO_POINTS = new Float64Array(0);
const NO_OFFSETS = new Uint32Array(0);

/** Columns of `count` pieces with `corners` corners on one buffer, so that a course crosses as one. */
export function columnsOn(
  course: number,
  count: number,
  corners = 0,
  buffer: ArrayBuffer = new ArrayBuffer(
    NUMBER * (4 * count + 2 * corners) + (corners > 0 ? PLACE * (count + 1) : 0) + 2 * count,
  ),
): CourseColumns {
  // Most courses have no corners to keep: they share the empty ones.
  const places = NUMBER * (4 * count + 2 * corners);
  const kinds = places + (corners > 0 ? PLACE * (count + 1) : 0);
  return {
    course,
    count,
    from: new Float64Array(buffer, 0, count),
    to: new Float64Array(buffer, NUMBER * count, count),
    bottom: new Float64Array(buffer, NUMBER * 2 * count, count),
    top: new Float64Array(buffer, NUMBER * 3 * count, count),
    points: corners > 0 ? new Float64Array(buffer, NUMBER * 4 * count, 2 * corners) : NO_POINTS,
    offsets: corners > 0 ? new Uint32Array(buffer, places, count + 1) : NO_OFFSETS,
    kind: new Uint8Array(buffer, kinds, count),
    sawn: new Uint8Array(buffer, kinds + count, count),
  };
}

const heights = new WeakMap<CourseColumns, { bottom: number; top: number }>();

/** From how low to how high the pieces of a course stand: stones of a level lie over one another. */
export function heightsOf(c: CourseColumns): { bottom: number; top: number } {
  const had = heights.get(c);
  if (had) return had;
  const made = {
    bottom: c.bottom.reduce((a, b) => Math.min(a, b), Infinity),
    top: c.top.reduce((a, b) => Math.max(a, b), -Infinity),
  };
  heights.set(c, made);
  return made;
}

/** The corners of a piece that is no rectangle, x and y by turns; null for one that is. */
export function cornersOf(c: CourseColumns, piece: number): Float64Array | null {
  const [first = 0, next = 0] = [c.offsets[piece], c.offsets[piece + 1]];
  return next > first ? c.points.subarray(2 * first, 2 * next) : null;
}

/** A course to give away: whoever sends it keeps the one it was copied from. */
export const copyOfCourse = (c: CourseColumns): CourseColumns =>
  columnsOn(c.course, c.count, c.points.length / 2, c.from.buffer.slice(0) as ArrayBuffer);

export const columnBuffer = (c: CourseColumns): ArrayBuffer => c.from.buffer as ArrayBuffer;

const COLUMNS = ['from', 'to', 'bottom', 'top', 'kind', 'sawn', 'points', 'offsets'] as const;

/** Whether two courses are drawn alike. */
export function drawnAlike(a: CourseColumns, b: CourseColumns): boolean {
  const same = (key: (typeof COLUMNS)[number]): boolean => {
    const [x, y] = [a[key], b[key]];
    for (let i = 0; i < x.length; i++) if (x[i] !== y[i]) return false;
    return x.length === y.length;
  };
  return a.course === b.course && a.count === b.count && COLUMNS.every(same);
}

/** The pieces of one course, parted where an opening breaks it: gaps wider than any joint. */
export function courseStretches(c: CourseColumns, widest: number): { from: number; to: number }[][] {
  const pieces = Array.from(c.from, (from, i) => ({ from, to: c.to[i] ?? from }));
  pieces.sort((a, b) => a.from - b.from);
  const stretches: { from: number; to: number }[][] = [];
  for (const p of pieces) {
    const last = stretches.at(-1);
    const before = last?.at(-1);
    if (last && before && p.from - before.to <= widest) last.push(p);
    else stretches.push([p]);
  }
  return stretches;
}
